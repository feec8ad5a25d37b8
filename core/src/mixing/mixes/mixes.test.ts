import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { material, said, sandCement } from '../../testing/examples.js';
import type { Material } from '../materials/index.js';
import {
  bulking,
  costPerLitre,
  cementAgeFactor,
  checkMix,
  freshVolume,
  hydration,
  massesPerPart,
  calculateMix,
  scaleMasses,
  strengthOfRatio,
  totalWater,
  useWord,
  batchMass,
  type Grade,
  type Mix,
  type Portion,
} from './index.js';

const week = { moistCuringDays: 7 };

describe('yield', () => {
  it('of 2.5 sharp sand to 1 cement at w/c 0.50 is the worked 2.603 L', () => {
    const sand = { ...material('sharp-sand'), bulk: 1.55 };
    const portions: Portion[] = [
      { material: material('grey-cement'), mass: 1300 },
      { material: sand, mass: 2.5 * 1550 },
    ];
    expect(freshVolume(portions, 650, 0.03) / 1000).toBeCloseTo(2.603, 3);
  });

  it('of the worked hypertufa is 1.843 L, with its water and density', () => {
    const mix: Mix = {
      lines: ['grey-cement', 'perlite', 'peat'].map((key) => ({ material: material(key), parts: 1 })),
      by: 'volume',
      grade: 3,
      exposure: 'outdoors',
      packed: true,
    };
    const { perPart, yield: factor, freshDensity } = calculateMix(mix, week);
    expect(perPart.totalWater / 1000).toBeCloseTo(0.869, 3);
    expect(perPart.absorbed / 1000).toBeCloseTo(0.38, 3);
    expect(perPart.freeWater / 1000).toBeCloseTo(0.489, 3);
    expect(perPart.volume / 1000).toBeCloseTo(1.843, 3);
    expect(factor.value).toBeCloseTo(0.614, 3);
    expect(freshDensity.value).toBeCloseTo(1.313, 3);
  });

  it('shares add up to the whole', () => {
    const { shares } = calculateMix(sandCement(), week);
    expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });
});

describe('strength', () => {
  it('follows the table', () => {
    expect(strengthOfRatio(0.5)).toBeCloseTo(32.5, 1);
    expect(strengthOfRatio(0.41)).toBeCloseTo(41, 0);
    expect(strengthOfRatio(0.57)).toBeCloseTo(27, 0);
    expect(strengthOfRatio(0.2)).toBe(strengthOfRatio(0.35));
  });

  it('has a word for each band', () => {
    expect([useWord(8), useWord(18), useWord(30)]).toEqual(['display', 'garden', 'foot traffic']);
  });

  it('of old cement falls between the handbook’s points', () => {
    expect([0, 3, 4.5, 12, 40].map(cementAgeFactor)).toEqual([1, 1, 0.9, 0.7, 0.6]);
  });
});

describe('water', () => {
  it('rises with every grade, and a learned demand multiplies what is not soaked up', () => {
    const { portions } = massesPerPart(sandCement(), week);
    const amounts = ([1, 2, 3, 4, 5, 6, 7] as Grade[]).map((grade) => totalWater(portions, grade));
    expect(amounts).toEqual([...amounts].sort((a, b) => a - b));
    const soaked = totalWater(portions, 4, { learned: 0 });
    expect(totalWater(portions, 4, { learned: 1.1 }) - soaked).toBeCloseTo(1.1 * (totalWater(portions, 4) - soaked), 9);
  });

  it('over the ceiling is warned of with ways out, not refused', () => {
    const wet = calculateMix({ ...sandCement(7), exposure: 'frost' }, week);
    expect(said(wet.findings)).toContain('plasticiser');
  });

  it('runs straight across a ready-made powder’s range', () => {
    const powder: Material = {
      ...material('grey-cement'),
      kind: 'pre-blend',
      family: 'sulfoaluminate',
      powder: { low: 0.2, high: 0.25, binderShare: 0.45, doseShare: 1 },
    };
    const at = (grade: Grade) => totalWater([{ material: powder, mass: 1000 }], grade);
    expect([at(1), at(2), at(6), at(7)].map((water) => Math.round(water))).toEqual([200, 200, 250, 250]);
    expect(at(4)).toBeGreaterThan(200);
  });

  it('makes lightweight grains float from custard on', () => {
    const light: Mix = {
      ...sandCement(5),
      lines: [...sandCement().lines, { material: material('perlite'), parts: 1 }],
    };
    expect(said(calculateMix(light, week).findings)).toContain('float');
  });
});

describe('damp sand', () => {
  it.each([
    [0, 1],
    [0.05, 1.3],
    [0.035, 1.24],
    [0.18, 1],
    [0.25, 1],
  ])('at %d of moisture swells by %d', (w, factor) => {
    expect(bulking('fine', w)).toBeCloseTo(factor, 9);
  });
  it('swells two thirds as much where it is sharp, and not at all where it is no sand', () => {
    expect(bulking('sharp', 0.05)).toBeCloseTo(1.2, 9);
    expect(bulking('none', 0.05)).toBe(1);
    expect(() => bulking('fine', 0.5)).toThrow(InputError);
  });
});

describe('mass', () => {
  it('is kept when a batch is scaled there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 100, noNaN: true }), (k) => {
        const batch = massesPerPart(sandCement(), week);
        const back = scaleMasses(scaleMasses(batch, k), 1 / k);
        expect(back.volume).toBeCloseTo(batch.volume, 6);
        expect(batchMass(back).fresh).toBeCloseTo(batchMass(batch).fresh, 6);
      }),
    );
  });

  it('is the same told by volume and by mass', () => {
    const byVolume = sandCement();
    const byMass: Mix = {
      ...byVolume,
      by: 'mass',
      lines: byVolume.lines.map(({ material: m, parts }) => ({ material: m, parts: parts * m.bulk })),
    };
    expect(massesPerPart(byMass, week).volume).toBeCloseTo(massesPerPart(byVolume, week).volume, 9);
  });

  it('when dry lies between the solids and the fresh mass', () => {
    const batch = massesPerPart(sandCement(), week);
    const { fresh, dry } = batchMass(batch);
    expect(dry).toBeLessThan(fresh);
    expect(batch.bound).toBeCloseTo(1300 * 0.23 * hydration(7), 6);
  });
});

describe('a mix that cannot be mixed is refused', () => {
  const fields = (mix: Mix) => {
    try {
      checkMix(mix);
    } catch (error) {
      return (error as InputError).issues.map(({ field }) => field);
    }
    return [];
  };
  it('without a binder, with zero parts, or with no lines', () => {
    const [cement, sand] = sandCement().lines;
    expect(fields({ ...sandCement(), lines: [{ ...cement!, parts: 0 }, sand!] })).toEqual(['lines.0.parts', 'lines']);
    expect(fields({ ...sandCement(), lines: [sand!] })).toEqual(['lines']);
    expect(fields({ ...sandCement(), lines: [] })).toEqual(['lines']);
    expect(fields(sandCement())).toEqual([]);
  });
});

describe('cost', () => {
  const batch = massesPerPart(sandCement(), { moistCuringDays: 7 });
  const lots = [{ materialId: 'grey-cement', bought: 25000, left: 25000, price: 7.5, boughtAt: 0 }];
  it('of a litre is that of what goes into it; what has no lot is told', () => {
    const cost = costPerLitre(batch, lots)!;
    const cement = batch.portions[0]!.mass * (1000 / batch.volume);
    expect(cost.value).toBeCloseTo((cement * 7.5) / 25000, 9);
    expect(english(cost.working[1])).toMatchObject({ label: 'Sharp sand', value: 0, how: 'no lot with a price' });
    expect(cost.working.at(-1)!.value).toBe(cost.value);
    expect(costPerLitre(batch, [])).toBeUndefined();
  });
});
