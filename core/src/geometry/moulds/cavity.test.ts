import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { cone, nested, nestedPot, said } from '../../testing/examples.js';
import { alone, box, fieldsOf, star } from '../../testing/shapes.js';
import { moveFaces, solidVolume, type PolyhedronName, type Solid } from '../solids/index.js';
import {
  ballast,
  ballastByLift,
  cavityOf,
  computedVolume,
  displacedVolume,
  faces,
  fullVolume,
  heightFor,
  layerHeights,
  liftsThatFit,
  narrowestGap,
  pieceView,
  calculateMould,
  rimOf,
  sectionCut,
  thinnestWall,
  undercut,
  volumeByMass,
  volumeTo,
  type MouldShape,
} from './index.js';

const every: [string, Solid][] = [
  ['a cone', cone(160, 200, 180)],
  ['a box with round corners', { ...box(400, 200, 180, 20), topLength: 420 } as Solid],
  ['a hexagon', { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 }],
  ['a shallow bowl', { kind: 'cap', rimDiameter: 330, depth: 90 }],
  ['a deep bowl', { kind: 'half-ellipsoid', rimDiameter: 240, depth: 150 }],
  [
    'a turned profile with a step',
    {
      kind: 'revolution',
      smooth: true,
      points: [
        { height: 0, radius: 50 },
        { height: 60, radius: 80 },
        { height: 60, radius: 95 },
        { height: 150, radius: 100 },
      ],
    },
  ],
  ['a star with draft', { kind: 'prism', outline: star, depth: 60, draft: 8 }],
  ['a ring', { kind: 'ring', innerDiameter: 260, width: 45, depth: 40 }],
  ['a bow', { kind: 'arc', radius: 400, angle: 60, width: 90, depth: 60 }],
  ['a spiral', { kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 35, depth: 25 }],
  ['a dodecahedron', { kind: 'polyhedron', which: 'dodecahedron', edge: 70, open: 'pentagon' }],
  ['a leaf', { kind: 'leaf', area: 90000, middle: 20, edge: 12 }],
  ['a known volume', { kind: 'known-volume', volume: 1200, length: 160, width: 120, height: 90 }],
];

describe.each(every)('%s', (_, solid) => {
  const shape = alone(solid);
  it('holds by its sections what its closed form says', () => {
    expect(computedVolume(shape) / solidVolume(solid)).toBeCloseTo(1, 6);
  });
  it('fills strictly, and the inverse comes back to 0.01 mm', () => {
    const rim = rimOf(shape);
    let last = 0;
    for (const share of [0.11, 0.37, 0.5, 0.73, 0.98]) {
      const volume = volumeTo(shape, rim * share);
      expect(volume).toBeGreaterThan(last);
      expect(Math.abs(heightFor(shape, volume) - rim * share)).toBeLessThan(0.01);
      last = volume;
    }
  });
  it('is drawn: a section that closes, a silhouette as wide as it is', () => {
    const [outer] = sectionCut(shape);
    expect(outer!.outlines.length).toBeGreaterThan(0);
    const view = pieceView(shape);
    const widest = Math.max(...view.sides.map(({ left, right }) => right - left));
    expect(widest).toBeLessThanOrEqual(view.width + 1e-9);
    expect(view.top.length + view.foot.length).toBeGreaterThan(0);
  });
});

describe('solids of equal faces', () => {
  const names: [PolyhedronName, 'triangle' | 'square' | 'pentagon'][] = [
    ['tetrahedron', 'triangle'],
    ['cube', 'square'],
    ['octahedron', 'triangle'],
    ['cuboctahedron', 'square'],
    ['cuboctahedron', 'triangle'],
    ['rhombicuboctahedron', 'square'],
    ['icosahedron', 'triangle'],
    ['dodecahedron', 'pentagon'],
  ];
  it.each(names)('%s open at a %s: its sections make its volume, its faces its surface', (which, open) => {
    const shape = alone({ kind: 'polyhedron', which, edge: 80, open });
    expect(computedVolume(shape) / solidVolume(shape.outer)).toBeCloseTo(1, 9);
    const grown = moveFaces(shape.outer, 1e-3)!;
    const { outer, base } = faces(shape);
    // Moving every face but the open one by a hair adds their area times the hair.
    expect(((computedVolume(alone(grown)) - computedVolume(shape)) * 1000) / 1e-3 / (outer + base)).toBeCloseTo(1, 3);
  });
  it('want the open face chosen, of a kind that they have', () => {
    const open = (face: string) => alone({ kind: 'polyhedron', which: 'cube', edge: 80, open: face as 'square' });
    expect(fieldsOf(open('triangle'))).toEqual(['outer.open']);
    expect(fieldsOf(open(undefined as unknown as string))).toEqual(['outer.open']);
    expect(fieldsOf(open('square'))).toEqual([]);
  });
});

describe('several blanks', () => {
  const trough: MouldShape = {
    outer: { ...box(400, 200, 180), topLength: 420, topWidth: 220 } as Solid,
    cores: [{ name: 'The core', bottom: 35, solid: { ...box(330, 130, 145), topLength: 345, topWidth: 145 } as Solid }],
    inserts: [],
  };
  it('the trough of the worked figures', () => {
    expect(fullVolume(trough)).toBeCloseTo(8772.4, 1);
  });
  it('four drain plugs on a circle take four times one', () => {
    const plug = { name: 'Drain plug', bottom: 0, solid: cone(20, 20, 35) };
    const four = { ...trough, inserts: [{ ...plug, pattern: { kind: 'circle', count: 4, radius: 50 } as const }] };
    const row = { ...trough, inserts: [{ ...plug, pattern: { kind: 'row', count: 3, step: 90 } as const }] };
    const one = (Math.PI * 100 * 35) / 1000;
    expect(fullVolume(trough) - fullVolume(four)).toBeCloseTo(4 * one, 5);
    expect(fullVolume(trough) - fullVolume(row)).toBeCloseTo(3 * one, 5);
    expect(cavityOf(four).inserts.map(({ placed }) => [placed.x, placed.y].map((n) => Math.round(n!) + 0))).toEqual([
      [50, 0],
      [0, 50],
      [-50, 0],
      [0, -50],
    ]);
    expect(faces(four).holes).toBeCloseTo(4 * Math.PI * 20 * 35, 3);
  });
  it('a slab with two pipes through it is the box less the pipes', () => {
    const pipe = (bottom: number, y: number) => ({
      name: 'A pipe',
      bottom,
      y,
      solid: { kind: 'lying-pipe', diameter: 25, run: 500 } as const,
    });
    const slab = { ...alone(box(500, 300, 60)), inserts: [pipe(15, -80), pipe(15, 80)] };
    expect(fullVolume(slab)).toBeCloseTo(9000 - (2 * Math.PI * 12.5 ** 2 * 500) / 1000, 4);
    expect(fieldsOf(slab)).toEqual([]);
    const crossed = {
      ...slab,
      inserts: [
        pipe(15, 0),
        {
          ...pipe(20, 0),
          name: 'Another pipe',
          turn: 90,
          solid: { kind: 'lying-pipe', diameter: 25, run: 300 } as const,
        },
      ],
    };
    expect(fieldsOf(crossed)).toEqual(['inserts.0.bottom']);
    expect(fieldsOf({ ...slab, inserts: [pipe(45, 0)] })).toEqual(['inserts.0.bottom']);
  });
  it('off the axis are measured to the wall that is nearest', () => {
    const off = { ...nestedPot, inserts: [], cores: [{ ...nestedPot.cores[0]!, solid: cone(100, 100, 162), x: 20 }] };
    expect(thinnestWall(off)!.thickness).toBeCloseTo((82 - 70) * Math.cos(Math.atan(1 / 9)), 1);
    const pair = {
      ...alone(box(300, 200, 100)),
      cores: [-60, 60].map((x) => ({ name: 'A room', bottom: 15, x, solid: box(100, 160, 85) })),
    };
    expect(narrowestGap(pair)).toBe(15);
    expect(narrowestGap({ ...pair, cores: pair.cores.map((core) => ({ ...core, x: core.x * 0.9 })) })).toBeCloseTo(
      8,
      6,
    );
  });
  it('outside the mould, or wider than it, are refused by field', () => {
    const core = nestedPot.cores[0]!;
    const far = { ...core, x: 60 };
    expect(fieldsOf({ ...nestedPot, cores: [far] })[0]).toMatch(/^cores\.0\.solid/);
    const lost = { name: 'A block', bottom: 20, x: 400, solid: box(20, 20, 20) };
    expect(fieldsOf({ ...nestedPot, inserts: [lost] })).toEqual(['inserts.0.solid.bottomLength']);
    expect(fieldsOf({ ...nestedPot, cores: [{ ...core, bottom: -4 }] })).toEqual(['cores.0.bottom']);
  });
  it('stood on their heads keep their volume', () => {
    const dome = { name: 'A dome', bottom: 20, solid: { kind: 'cap', rimDiameter: 80, depth: 30 } as const };
    const up = { ...alone(box(200, 200, 80)), inserts: [dome] };
    const over = { ...up, inserts: [{ ...dome, over: true }] };
    expect(computedVolume(over)).toBeCloseTo(computedVolume(up), 6);
    expect(volumeTo(over, 30)).toBeLessThan(volumeTo(up, 30));
  });
});

describe('ballast by lifts', () => {
  it('asks in all no more than one pour, and each lift only for its own', () => {
    const lifts = ballastByLift(nestedPot, 2.15, 3);
    expect(lifts).toHaveLength(3);
    const whole = ballast(nestedPot, 2.15)!.mass.value;
    expect(lifts.reduce((sum, one) => sum + one.ballast.mass.value, 0)).toBeCloseTo(whole, 5);
    expect(liftsThatFit(nestedPot, 2.15)).toBe(3);
    expect(calculateMould(nestedPot, { flexibility: 'rigid', piece: 'pot' }).lifts).toBe(3);
  });
});

describe('a mould that was measured', () => {
  const measured: MouldShape = { ...nestedPot, measured: { by: 'water', volume: volumeByMass('water', 2150).value } };
  it('holds what it took, its fill curve drawn to that', () => {
    expect(fullVolume(measured)).toBe(2150);
    expect(volumeTo(measured, 60) / volumeTo(nestedPot, 60)).toBeCloseTo(2150 / computedVolume(nestedPot), 9);
    expect(heightFor(measured, volumeTo(measured, 100))).toBeCloseTo(100, 2);
  });
  it('keeps both, and warns where they differ by more than 5 %', () => {
    const told = calculateMould(measured, { flexibility: 'rigid', piece: 'pot' });
    expect(told.volume.basis.kind).toBe('measured');
    expect(told.computed!.value).toBeCloseTo(2014.89, 2);
    expect(said(told.findings)).toContain('differ by 7 %');
  });
  it('by sand goes by its bulk density', () => {
    expect(volumeByMass('sand', 3100, 1.55).value).toBeCloseTo(2000, 9);
    expect(() => volumeByMass('water', -1)).toThrow(InputError);
  });
});

describe('layers', () => {
  it('end where the fill curve says', () => {
    expect(layerHeights(nestedPot, [0.25, 0.25, 0.25, 0.25])).toEqual(
      [33.05, 85.4, 134.16, 180].map((z) => expect.closeTo(z, 1)),
    );
  });
  it('of any pot share out its volume', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.95, noNaN: true }), (share) => {
        const [first] = layerHeights(nestedPot, [share, 1 - share]);
        expect(volumeTo(nestedPot, first!) / fullVolume(nestedPot)).toBeCloseTo(share, 3);
      }),
    );
  });
});

describe('an undercut', () => {
  it('is seen wherever the wall comes in above, not only at the rim', () => {
    const waist: Solid = {
      kind: 'revolution',
      smooth: false,
      points: [
        { height: 0, radius: 90 },
        { height: 50, radius: 60 },
        { height: 120, radius: 110 },
      ],
    };
    const held = undercut(alone(waist))!;
    expect(held.overhang).toBeCloseTo(30, 0);
    expect(held.height).toBeCloseTo(50, 0);
    expect(undercut(alone({ kind: 'polyhedron', which: 'dodecahedron', edge: 70, open: 'pentagon' }))).toBeDefined();
    expect(undercut(alone(box(200, 100, 50)))).toBeUndefined();
    expect(undercut(alone({ kind: 'leaf', area: 90000, middle: 20, edge: 12 }))).toBeUndefined();
  });
});

describe('a nested pair', () => {
  it('displaces below a fluid’s top only what stands in it', () => {
    const shape = nested([160, 200, 180], [124, 160], 18);
    expect(displacedVolume(shape, 'cores', 0, 18)).toBe(0);
    expect(displacedVolume(shape, 'cores', 0, 100) + displacedVolume(shape, 'cores', 100)).toBeCloseTo(
      displacedVolume(shape, 'cores'),
      6,
    );
  });
});
