import { describe, expect, it } from 'vitest';
import { cone, nested, nestedPot, said } from '../../testing/examples.js';
import { alone, box, fieldsOf, star } from '../../testing/shapes.js';
import type { FaceName, PolyhedronName } from '../solids/index.js';
import { calculateMould, type MouldOptions, type MouldShape } from './index.js';

const equalFaces = (which: PolyhedronName, open: FaceName) => ({ kind: 'polyhedron', which, edge: 90, open }) as const;
const told = (shape: MouldShape, options: Partial<MouldOptions> = {}) =>
  said(calculateMould(shape, { flexibility: 'rigid', piece: 'pot', ...options }).findings);

describe('what to beware of', () => {
  it.each<[string, MouldShape, Partial<MouldOptions>, RegExp | '']>([
    ['a sound pot', nestedPot, {}, ''],
    ['a thin one', nested([160, 200, 180], [146, 182], 18), {}, /thinnest place is .* at least 12 mm/],
    ['thin hypertufa', nestedPot, { piece: 'hypertufa-pot' }, /at least 35 mm/],
    ['a slab thin for its span', alone(box(600, 600, 45)), { piece: 'slab' }, /at least a tenth/],
    ['a slab thick enough', alone(box(380, 380, 45)), { piece: 'slab' }, ''],
    [
      'a thin leaf',
      alone({ kind: 'leaf', area: 90000, middle: 14, edge: 12 }),
      { piece: 'leaf', flexibility: 'flexible' },
      /20 mm in the middle/,
    ],
    ['a rigid mould that narrows', alone(cone(200, 160, 50)), {}, /cannot release the cast/],
    ['the same of boards', alone(cone(200, 160, 50)), { flexibility: 'apart' }, ''],
    ['a soft one that narrows much', alone(cone(200, 100, 60)), { flexibility: 'flexible' }, /must stretch/],
    [
      'a core that widens downwards',
      nested([200, 200, 100], [140, 120], 30),
      { flexibility: 'apart' },
      /locked into the cast/,
    ],
    [
      'a pipe in a pipe',
      nested([152, 152, 200], [110, 110], 0),
      { piece: 'dish' },
      /The outer mould has no draft.*The core has no draft/,
    ],
    ['a low straight mould', alone(box(200, 200, 45)), { piece: 'slab' }, ''],
    ['a tall soft mould', alone(cone(100, 120, 200)), { flexibility: 'flexible' }, /Support this mould/],
    ['the same in a sleeve', alone(cone(100, 120, 200)), { flexibility: 'flexible', sleeve: true }, ''],
    ['a solid that stands on a face', alone(equalFaces('cuboctahedron', 'triangle')), { flexibility: 'apart' }, ''],
    [
      'a solid that stands on a corner',
      alone(equalFaces('tetrahedron', 'triangle')),
      { flexibility: 'apart' },
      /no flat bottom/,
    ],
    ['a round bowl', alone({ kind: 'cap', rimDiameter: 300, depth: 90 }), { piece: 'ornament' }, /no flat bottom/],
    ['coarse grain', nestedPot, { largestGrain: 10 }, /narrowest gap passes/],
    ['grain for its mesh', nestedPot, { largestGrain: 4, meshOpening: 5 }, /the mesh passes/],
    ['fine grain', nestedPot, { largestGrain: 4, meshOpening: 12 }, ''],
    ['a volume far off', { ...nestedPot, measured: { by: 'water', volume: 2500 } }, {}, /differ by 24 %/],
    ['a volume near', { ...nestedPot, measured: { by: 'water', volume: 2060 } }, {}, ''],
  ])('%s', (_, shape, options, expected) => {
    if (expected === '') expect(told(shape, options)).toBe('');
    else expect(told(shape, options)).toMatch(expected);
  });

  it('a soft inner tub is pressed inwards, and wants its sand', () => {
    const soft = { ...nestedPot, cores: [{ ...nestedPot.cores[0]!, soft: true }] };
    expect(told(soft)).toMatch(/soft and is pressed inwards with 3.8 kPa. Fill it with the sand/);
    expect(told(soft, { density: 0.9 })).not.toMatch(/pressed inwards/);
  });
  it('a shell is pressed, not poured: nothing floats and nothing bulges', () => {
    const shell: MouldShape = { ...alone(box(350, 250, 200)), pressed: { side: 'over', thickness: 40 } };
    const figures = calculateMould(shell, { flexibility: 'flexible', piece: 'hypertufa-pot' });
    expect(figures.ballast).toBeUndefined();
    expect(figures.findings).toEqual([]);
  });
});

describe('further figures', () => {
  it('a jar to its fill line, in mL and in wax', () => {
    const { jar, planting } = calculateMould(nestedPot, { flexibility: 'rigid', piece: 'small-pot', fillGap: 10 });
    expect(jar!.held.value).toBeGreaterThan(planting!.value);
    expect(jar!.wax.value / jar!.held.value).toBeCloseTo(0.9, 9);
    const solid = calculateMould(alone(box(200, 100, 50)), { flexibility: 'rigid', piece: 'slab', fillGap: 10 });
    expect([solid.jar, solid.planting, solid.ballast, solid.wall]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });
  it('its mass in a mix, fresh and dry, and its outer size', () => {
    const figures = calculateMould(nestedPot, { flexibility: 'rigid', piece: 'pot', density: 2.2, dryDensity: 2 });
    expect(figures.mass.value / figures.volume.value).toBeCloseTo(2.2, 9);
    expect(figures.dryMass!.value / figures.volume.value).toBeCloseTo(2, 9);
    expect(figures.size).toMatchObject({ length: expect.closeTo(200, 6), width: expect.closeTo(200, 6), height: 180 });
  });
  it('every figure ends its working with itself', () => {
    const figures = calculateMould(nestedPot, { flexibility: 'rigid', piece: 'pot', dryDensity: 2, fillGap: 10 });
    for (const one of [
      figures.volume,
      figures.mass,
      figures.dryMass!,
      figures.gap,
      figures.planting!,
      figures.pressure,
    ])
      expect(one.working.at(-1)!.value).toBe(one.value);
  });
});

describe('places and patterns that cannot be are refused by field', () => {
  const plug = { name: 'Plugs', bottom: 0, solid: cone(12, 12, 18) };
  const withInsert = (over: object) => ({ ...nestedPot, inserts: [{ ...plug, ...over }] });
  it.each<[string, object, string]>([
    ['a turn of two rounds', { turn: 700 }, 'inserts.0.turn'],
    ['no place', { x: NaN }, 'inserts.0.x'],
    ['half a plug', { pattern: { kind: 'circle', count: 2.5, radius: 20 } }, 'inserts.0.pattern.count'],
    ['a hundred plugs', { pattern: { kind: 'row', count: 100, step: 20 } }, 'inserts.0.pattern.count'],
    ['a circle of no radius', { pattern: { kind: 'circle', count: 3, radius: NaN } }, 'inserts.0.pattern.radius'],
    ['a row that stands still', { pattern: { kind: 'row', count: 3, step: 0 } }, 'inserts.0.pattern.step'],
    ['above the rim', { bottom: 300 }, 'inserts.0.bottom'],
  ])('%s', (_, over, field) => {
    expect(fieldsOf(withInsert(over))).toContain(field);
  });
  it.each<[string, MouldShape['outer'], string]>([
    ['an outline of two points', { kind: 'prism', outline: star.slice(0, 2), depth: 40, draft: 0 }, 'outer.outline'],
    ['a draft past upright', { kind: 'prism', outline: star, depth: 40, draft: 80 }, 'outer.draft'],
    [
      'a strip wider than its bend',
      { kind: 'spiral', startRadius: 10, pitch: 60, turns: 2, width: 30, depth: 20 },
      'outer.startRadius',
    ],
    ['a pipe of no run', { kind: 'lying-pipe', diameter: 20, run: 0 }, 'outer.run'],
    ['a mound that sinks', { kind: 'leaf', area: 900, middle: 20, edge: 12, rise: -5 }, 'outer.rise'],
    ['a kind that is none', { kind: 'pyramid' } as unknown as MouldShape['outer'], 'outer.kind'],
  ])('%s', (_, outer, field) => {
    expect(fieldsOf(alone(outer))).toContain(field);
  });
});
