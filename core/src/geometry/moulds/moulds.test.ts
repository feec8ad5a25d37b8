import fc from 'fast-check';
import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { cone, nested, nestedPot, said } from '../../testing/examples.js';
import { solidVolume } from '../solids/index.js';
import {
  ballast,
  baseThickness,
  checkMould,
  displacedVolume,
  faces,
  fullVolume,
  heightFor,
  calculateMould,
  rimOf,
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
  .map(({ bottom, flare, height, wall, base }) => {
    const outer = [bottom, bottom + flare, height] as const;
    const core = [bottom - 2 * wall, bottom + flare - 2 * wall] as const;
    return {
      shape: nested(outer, core, base),
      grown: (k: number) => nested([outer[0] * k, outer[1] * k, height * k], [core[0] * k, core[1] * k], base * k),
    };
  });

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
    expect(english(held.advice)).toContain('bar');
  });

  it('needs less ballast above a set lift and with a heavy core', () => {
    const bare = ballast(nestedPot, 2.15)!.mass.value;
    expect(ballast(nestedPot, 2.15, { coreMass: 500 })!.mass.value).toBeCloseTo(bare - 500, 6);
    expect(ballast(nestedPot, 2.15, { from: 100 })!.mass.value).toBeLessThan(bare);
    expect(ballast(nestedPot, 2.15, { from: 180 })!.mass.value).toBe(0);
    const sharp = ballast(nestedPot, 2.15, { sand: { name: 'Sharp sand', bulk: 1.6 } })!;
    expect([sharp.sandName, sharp.sand.value]).toEqual(['Sharp sand', expect.closeTo(bare / 1.6, 6)]);
    expect(ballast(nestedPot, 2.15)!.sand.value).toBeCloseTo(bare / 1.5, 6);
    expect(refusal(() => ballast(nestedPot, 2.15, { sand: { name: 'Sand', bulk: 0 } }))).toMatch(/sand\.bulk/);
  });

  it('measures its wall square to the slope', () => {
    expect(thinnestWall(nestedPot)!.thickness).toBeCloseTo(20 * Math.cos(Math.atan(1 / 9)), 6);
    expect(baseThickness(nestedPot)).toBe(18);
  });

  it('shows a working whose last line is the figure', () => {
    const { volume } = calculateMould(nestedPot, { flexibility: 'rigid', piece: 'pot' });
    expect(volume.working.at(-1)!.value).toBe(volume.value);
    expect(volume.basis.kind).toBe('computed');
  });
});

describe('any pot', () => {
  it('has a fill curve that rises strictly and inverts to 0.01 mm', () => {
    fc.assert(
      fc.property(pots, fc.double({ min: 0.01, max: 0.99, noNaN: true }), ({ shape }, share) => {
        const height = share * rimOf(shape);
        const volume = volumeTo(shape, height);
        expect(volumeTo(shape, height + 0.5 * (rimOf(shape) - height))).toBeGreaterThan(volume);
        expect(Math.abs(heightFor(shape, volume) - height)).toBeLessThan(0.01);
      }),
    );
  });

  it('holds what the outer holds less what stands in it', () => {
    fc.assert(
      fc.property(pots, ({ shape }) => {
        expect(fullVolume(shape) + displacedVolume(shape, 'all')).toBeCloseTo(solidVolume(shape.outer), 3);
      }),
    );
  });

  it('grows with the cube of its size', () => {
    fc.assert(
      fc.property(pots, fc.double({ min: 0.5, max: 2, noNaN: true }), ({ shape, grown }, k) => {
        expect(fullVolume(grown(k)) / fullVolume(shape)).toBeCloseTo(k ** 3, 6);
        const [small, large] = [faces(shape), faces(grown(k))];
        for (const side of ['outer', 'inner', 'base', 'open'] as const)
          expect(large[side] / small[side]).toBeCloseTo(k ** 2, 5);
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
    const plain: MouldShape = { outer: cone(100, 100, 50), cores: [], inserts: [] };
    const areas = faces(plain);
    expect(areas.outer).toBeCloseTo(Math.PI * 100 * 50, 6);
    expect(areas.base).toBeCloseTo(Math.PI * 2500, 6);
    expect(areas.open).toBeCloseTo(areas.base, 6);
    expect(areas.inner).toBe(0);
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
  const plug = nestedPot.inserts[0]!;
  const outer = (...sizes: [number, number, number]) => ({ ...nestedPot, outer: cone(...sizes) });
  it.each<[string, MouldShape, string]>([
    ['zero height', outer(160, 200, 0), 'outer.height'],
    ['negative diameter', outer(160, -5, 180), 'outer.topDiameter'],
    ['a pot of 5 m', outer(160, 200, 5000), 'outer.height'],
    ['not a number', outer(160, 200, NaN), 'outer.height'],
    [
      'a core wider than the mould',
      { ...nestedPot, cores: [{ ...core, solid: cone(124, 210, 162) }] },
      'cores.0.solid.topDiameter',
    ],
    [
      'a plug wider than the base',
      { ...nestedPot, inserts: [{ ...plug, solid: cone(170, 19, 18) }] },
      'inserts.0.solid.bottomDiameter',
    ],
    ['a core above the rim', { ...nestedPot, cores: [{ ...core, bottom: 200 }] }, 'cores.0.bottom'],
  ])('%s', (_, shape, field) => {
    const issues = issuesOf(() => checkMould(shape));
    expect(issues.map((issue) => issue.field)).toContain(field);
    expect(issues.every(({ remedy }) => english(remedy).length > 10)).toBe(true);
  });

  it('and a fill line above the rim too', () => {
    expect(issuesOf(() => volumeTo(nestedPot, 181))[0]!.field).toBe('height');
  });
});

describe('warnings', () => {
  it('name a wall under the guide, an undercut, a straight core and a soft tall wall', () => {
    const thin = nested([160, 200, 180], [146, 182], 18);
    expect(said(calculateMould(thin, { flexibility: 'rigid', piece: 'pot' }).findings)).toContain('thinnest');
    const narrowing: MouldShape = { outer: cone(200, 160, 100), cores: [], inserts: [] };
    expect(said(calculateMould(narrowing, { flexibility: 'rigid', piece: 'slab' }).findings)).toContain('Undercut');
    expect(english(calculateMould(narrowing, { flexibility: 'flexible', piece: 'slab' }).findings)).toMatchObject([
      { text: expect.stringContaining('Support this mould') },
    ]);
    const straight = nested([160, 200, 180], [124, 124], 18);
    expect(said(calculateMould(straight, { flexibility: 'rigid', piece: 'pot' }).findings)).toContain('no draft');
  });
});
