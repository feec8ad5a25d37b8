import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nestedPot } from '../testing/examples.js';
import { InputError } from '../units/index.js';
import {
  ballast,
  baseThickness,
  checkMould,
  displacedVolume,
  faces,
  fullVolume,
  heightFor,
  reckonMould,
  silhouette,
  solidVolume,
  thinnestWall,
  volumeTo,
  type MouldShape,
} from './index.js';

const pots = fc
  .record({
    bottom: fc.double({ min: 60, max: 600, noNaN: true }),
    flare: fc.double({ min: 0, max: 80, noNaN: true }),
    height: fc.double({ min: 60, max: 500, noNaN: true }),
    wall: fc.double({ min: 5, max: 20, noNaN: true }),
    base: fc.double({ min: 8, max: 30, noNaN: true }),
  })
  .map(({ bottom, flare, height, wall, base }): MouldShape => ({
    outer: { kind: 'round-frustum', bottomDiameter: bottom, topDiameter: bottom + flare, height },
    cores: [
      {
        name: 'The core',
        bottom: base,
        solid: {
          kind: 'round-frustum',
          bottomDiameter: bottom - 2 * wall,
          topDiameter: bottom + flare - 2 * wall,
          height: height - base,
        },
      },
    ],
    inserts: [],
  }));

function issuesOf(work: () => unknown) {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.issues;
    throw error;
  }
  return [];
}

describe('the nested pot', () => {
  it('has the volumes of the worked figures', () => {
    expect(solidVolume(nestedPot.outer)).toBeCloseTo(4599.29, 2);
    expect(displacedVolume(nestedPot, 'cores')).toBeCloseTo(2579.3, 2);
    expect(displacedVolume(nestedPot, 'all') - displacedVolume(nestedPot, 'cores')).toBeCloseTo(5.1, 2);
    expect(fullVolume(nestedPot)).toBeCloseTo(2014.89, 2);
  });

  it('fills to 60 and 100 mm as worked', () => {
    expect(volumeTo(nestedPot, 60)).toBeCloseTo(758.25, 2);
    expect(volumeTo(nestedPot, 100)).toBeCloseTo(1154.79, 2);
  });

  it.each([
    [0.25, 33.05],
    [0.5, 85.4],
    [0.75, 134.16],
  ])('holds %d of its volume at %d mm', (share, height) => {
    expect(heightFor(nestedPot, share * fullVolume(nestedPot))).toBeCloseTo(height, 2);
  });

  it('wants 6.65 kg of ballast, which does not fit inside the core as sand', () => {
    const held = ballast(nestedPot, 2.15)!;
    expect(held.mass.value / 1000).toBeCloseTo(6.65, 2);
    expect(held.fits).toBe(false);
    expect(held.advice).toContain('bar');
  });

  it('needs less ballast above a set lift and with a heavy core', () => {
    const bare = ballast(nestedPot, 2.15)!.mass.value;
    expect(ballast(nestedPot, 2.15, 500)!.mass.value).toBeCloseTo(bare - 500, 6);
    expect(ballast(nestedPot, 2.15, 0, 100)!.mass.value).toBeLessThan(bare);
    expect(ballast(nestedPot, 2.15, 0, 180)!.mass.value).toBe(0);
  });

  it('measures its wall square to the slope', () => {
    expect(thinnestWall(nestedPot)!.thickness).toBeCloseTo(20 * Math.cos(Math.atan(1 / 9)), 6);
    expect(baseThickness(nestedPot)).toBe(18);
  });

  it('shows a working whose last line is the figure', () => {
    const { volume } = reckonMould(nestedPot, { stuff: 'rigid', piece: 'pot' });
    expect(volume.working.at(-1)!.value).toBe(volume.value);
    expect(volume.basis.kind).toBe('computed');
  });
});

describe('any pot', () => {
  it('has a fill curve that rises strictly and inverts to 0.01 mm', () => {
    fc.assert(
      fc.property(pots, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (shape, share) => {
        const height = share * shape.outer.height;
        const volume = volumeTo(shape, height);
        expect(volumeTo(shape, height + 0.5 * (shape.outer.height - height))).toBeGreaterThan(volume);
        expect(Math.abs(heightFor(shape, volume) - height)).toBeLessThan(0.01);
      }),
    );
  });

  it('holds what the outer holds less what stands in it', () => {
    fc.assert(
      fc.property(pots, (shape) => {
        expect(fullVolume(shape) + displacedVolume(shape, 'all')).toBeCloseTo(solidVolume(shape.outer), 3);
      }),
    );
  });

  it('grows with the cube of its size', () => {
    fc.assert(
      fc.property(pots, fc.double({ min: 0.5, max: 2, noNaN: true }), (shape, k) => {
        const grow = (solid: MouldShape['outer']) => ({
          ...solid,
          bottomDiameter: solid.bottomDiameter * k,
          topDiameter: solid.topDiameter * k,
          height: solid.height * k,
        });
        const grown: MouldShape = {
          outer: grow(shape.outer),
          cores: shape.cores.map((core) => ({ ...core, bottom: core.bottom * k, solid: grow(core.solid) })),
          inserts: [],
        };
        expect(fullVolume(grown) / fullVolume(shape)).toBeCloseTo(k ** 3, 6);
      }),
    );
  });

  it('counts overlapping cores once', () => {
    const twice = { ...nestedPot, cores: [...nestedPot.cores, ...nestedPot.cores] };
    expect(fullVolume(twice)).toBeCloseTo(fullVolume(nestedPot), 6);
  });
});

describe('faces and outline', () => {
  it('of a plain cylinder are those of the textbook', () => {
    const plain: MouldShape = {
      outer: { kind: 'round-frustum', bottomDiameter: 100, topDiameter: 100, height: 50 },
      cores: [],
      inserts: [],
    };
    const areas = faces(plain);
    expect(areas.outer).toBeCloseTo(Math.PI * 100 * 50, 6);
    expect(areas.base).toBeCloseTo(Math.PI * 2500, 6);
    expect(areas.open).toBeCloseTo(areas.base, 6);
    expect(areas.inner).toBe(0);
    expect(silhouette(plain)).toHaveLength(4);
  });

  it('of a pot take the hole out of base and floor', () => {
    const bare = faces({ ...nestedPot, inserts: [] });
    const drilled = faces(nestedPot);
    const hole = Math.PI * 9.5 ** 2;
    expect(bare.base - drilled.base).toBeCloseTo(hole, 6);
    expect(bare.inner - drilled.inner).toBeCloseTo(hole, 6);
  });
});

describe('a mould that cannot be cast is refused by name', () => {
  const core = nestedPot.cores[0]!;
  const wideCore = { ...core, solid: { ...core.solid, topDiameter: 210 } };
  const plug = nestedPot.inserts[0]!;
  it.each<[string, MouldShape, string]>([
    ['zero height', { ...nestedPot, outer: { ...nestedPot.outer, height: 0 } }, 'outer.height'],
    ['negative diameter', { ...nestedPot, outer: { ...nestedPot.outer, topDiameter: -5 } }, 'outer.topDiameter'],
    ['a pot of 5 m', { ...nestedPot, outer: { ...nestedPot.outer, height: 5000 } }, 'outer.height'],
    ['not a number', { ...nestedPot, outer: { ...nestedPot.outer, height: NaN } }, 'outer.height'],
    ['a core wider than the mould', { ...nestedPot, cores: [wideCore] }, 'cores.0.solid.topDiameter'],
    [
      'a plug wider than the base',
      { ...nestedPot, inserts: [{ ...plug, solid: { ...plug.solid, bottomDiameter: 170 } }] },
      'inserts.0.solid.bottomDiameter',
    ],
    ['a core above the rim', { ...nestedPot, cores: [{ ...core, bottom: 200 }] }, 'cores.0.bottom'],
  ])('%s', (_, shape, field) => {
    const issues = issuesOf(() => checkMould(shape));
    expect(issues.map((issue) => issue.field)).toContain(field);
    expect(issues.every(({ remedy }) => remedy.length > 10)).toBe(true);
  });

  it('and a fill line above the rim too', () => {
    expect(issuesOf(() => volumeTo(nestedPot, 181))[0]!.field).toBe('height');
  });
});

describe('warnings', () => {
  it('name a wall under the guide, an undercut, a straight core and a soft tall wall', () => {
    const thin: MouldShape = {
      ...nestedPot,
      cores: [
        { ...nestedPot.cores[0]!, solid: { ...nestedPot.cores[0]!.solid, bottomDiameter: 146, topDiameter: 182 } },
      ],
    };
    expect(reckonMould(thin, { stuff: 'rigid', piece: 'pot' }).warnings.join()).toContain('thinnest');
    const narrowing: MouldShape = {
      outer: { kind: 'round-frustum', bottomDiameter: 200, topDiameter: 160, height: 100 },
      cores: [],
      inserts: [],
    };
    expect(reckonMould(narrowing, { stuff: 'rigid', piece: 'slab' }).warnings.join()).toContain('narrows');
    expect(reckonMould(narrowing, { stuff: 'flexible', piece: 'slab' }).warnings).toEqual([
      expect.stringContaining('sleeve'),
    ]);
    const straight: MouldShape = {
      ...nestedPot,
      cores: [
        { ...nestedPot.cores[0]!, solid: { ...nestedPot.cores[0]!.solid, bottomDiameter: 124, topDiameter: 124 } },
      ],
    };
    expect(reckonMould(straight, { stuff: 'rigid', piece: 'pot' }).warnings.join()).toContain('no draft');
  });
});
