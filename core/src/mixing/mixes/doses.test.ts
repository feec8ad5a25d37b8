import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { dose, material, recipe, said, sandCement } from '../../testing/examples.js';
import { additives, checkMaterial, handbookMaterials } from '../materials/index.js';
import {
  batchMass,
  checkMix,
  drySolids,
  goods,
  massesPerPart,
  mixStrength,
  plasticiserCut,
  calculateMix,
  doseInWords,
  scaleMasses,
  solidsMass,
  weighDose,
  type Dose,
  type Mix,
} from './index.js';

const week = { moistCuringDays: 7 };
const dosed = (...doses: Dose[]): Mix => ({ ...sandCement(), doses });
const perPart = (mix: Mix) => massesPerPart(mix, week);
const massOf = (mix: Mix, key: string) => perPart(mix).doses.find(({ dose: { material: of } }) => of.id === key)!.mass;
const issues = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as InputError).issues;
  }
  return [];
};

describe('a dose', () => {
  it.each([
    ['red-oxide', 0.03, 0.03 * 1300, '3 % of binder mass'],
    ['plasticiser', 0.007, 0.007 * 1300, '0.7 % of cement mass'],
    ['acrylic-polymer', 0.07, (0.07 * 1300) / 0.45, '7 % of cement mass, on its solids'],
  ])('of %s is %d of the cement’s 1300 g', (key, amount, grams, words) => {
    expect(massOf(dosed(dose(key, amount)), key)).toBeCloseTo(grams, 9);
    expect(english(doseInWords(dose(key, amount)))).toBe(words);
  });

  it('by fresh volume counts what it adds to that volume itself', () => {
    const mix = dosed(dose('pp-fibre', 0.9), dose('chips', 0.12));
    const batch = perPart(mix);
    expect(massOf(mix, 'pp-fibre')).toBeCloseTo((0.9 * batch.volume) / 1000, 6);
    expect(massOf(mix, 'chips') / 2.7).toBeCloseTo(0.12 * batch.volume, 6);
  });

  it('of a ready-made powder keeps its grams when the product’s binder share is edited', () => {
    const powder = material('fast-setting');
    const at = (binderShare: number) =>
      massOf(
        {
          ...recipe([], { by: 'mass', grade: 5 }),
          lines: [{ material: { ...powder, powder: { ...powder.powder!, binderShare } }, parts: 1 }],
          doses: [dose('red-oxide', 0.03)],
        },
        'red-oxide',
      );
    expect(at(0.45)).toBeCloseTo(30, 9);
    expect(at(0.8)).toBeCloseTo(30, 9);
  });

  it('of bagged sand mix is of the binder in it, as its product says', () => {
    const mix = recipe([['bagged-sand-mix', 10]], { by: 'mass', doses: [dose('red-oxide', 0.05)] });
    expect(massOf(mix, 'red-oxide')).toBeCloseTo(10000 * 0.2 * 0.05, 9);
  });

  it('over its ceiling is warned of; over the hard stop it is refused with the reason', () => {
    expect(said(calculateMix(dosed(dose('red-oxide', 0.06)), week).findings)).toMatch(
      /over the ceiling of 5 %.*thirsty/,
    );
    const [refused] = issues(() => checkMix(dosed(dose('red-oxide', 0.11))));
    expect(english(refused)).toMatchObject({ field: 'doses.0.amount', value: 0.11 });
    expect(english(refused!.message)).toContain('too much powder pigment');
    expect(english(refused!.remedy)).toContain('5 % of binder mass');
  });

  it('of several colours counts together, for the ceiling and for the stop', () => {
    const three = calculateMix(dosed(dose('red-oxide', 0.03), dose('yellow-oxide', 0.03)), week);
    expect(said(three.findings)).toContain('The colours together come to 6 %');
    expect(
      english(issues(() => checkMix(dosed(dose('red-oxide', 0.06), dose('yellow-oxide', 0.06))))[0]),
    ).toMatchObject({
      field: 'doses',
    });
  });

  it.each<[string, Mix, string, RegExp]>([
    ['of nothing', dosed(dose('red-oxide', 0)), 'doses.0.amount', /is 0/],
    ['of no number', dosed(dose('red-oxide', NaN)), 'doses.0.amount', /not a number/],
    ['of over 100 %', dosed(dose('plasticiser', 1.2)), 'doses.0.amount', /too much plasticiser/],
    ['of sand', dosed(dose('sharp-sand', 0.1)), 'doses.0.material', /no additive/],
    ['said twice', dosed(dose('red-oxide', 0.01), dose('red-oxide', 0.02)), 'doses.1.material', /twice/],
    [
      'that stands among the lines',
      recipe([
        ['grey-cement', 1],
        ['red-oxide', 1],
      ]),
      'lines.1.material',
      /among|additive/,
    ],
    [
      'a line that stands there twice',
      recipe([
        ['grey-cement', 1],
        ['grey-cement', 2],
      ]),
      'lines.1.material',
      /twice/,
    ],
  ])('%s is refused by field', (_, mix, field, message) => {
    expect(
      issues(() => checkMix(mix)).some((issue) => issue.field === field && message.test(english(issue.message))),
    ).toBe(true);
  });
});

describe('doses among each other', () => {
  it('a plasticiser cuts the demand for water by the handbook’s points', () => {
    expect([0, 0.003, 0.005, 0.007, 0.01, 0.05].map(plasticiserCut)).toEqual([
      0,
      expect.closeTo(0.12, 9),
      expect.closeTo(0.16, 9),
      0.2,
      0.27,
      0.27,
    ]);
    const [plain, cut] = [perPart(sandCement()), perPart(dosed(dose('plasticiser', 0.007)))];
    expect(cut.totalWater - cut.absorbed).toBeCloseTo(0.8 * (plain.totalWater - plain.absorbed), 9);
  });

  it('a liquid brings its water, which counts but takes no second room', () => {
    const mix = dosed(dose('acrylic-polymer', 0.07));
    const [plain, wet] = [perPart(sandCement()), perPart(mix)];
    const mass = massOf(mix, 'acrylic-polymer');
    expect(wet.liquidWater).toBeCloseTo(mass * 0.55, 9);
    expect(wet.totalWater).toBeCloseTo(plain.totalWater, 9);
    const air = 0.04;
    expect(wet.volume * (1 - air)).toBeCloseTo(plain.volume * (1 - air) + mass / 1.04 - wet.liquidWater, 6);
  });

  it('colour over 5 % and old cement cost strength', () => {
    const strength = (mix: Mix, months = 0) => calculateMix(mix, { ...week, cementMonths: months }).strength.value;
    const five = dosed(dose('carbon-black', 0.05));
    const plain = { ratio: 0.5, lightShare: 0, air: 0.02 };
    expect(mixStrength({ ...plain, pigment: 0.07 })).toBeCloseTo(0.96 * mixStrength(plain), 9);
    expect(mixStrength({ ...plain, pigment: 0.05 })).toBe(mixStrength(plain));
    expect(strength(five, 6)).toBeCloseTo(0.8 * strength(five), 9);
  });

  it('lime counts as cement only where the caster says so', () => {
    const mix = recipe([
      ['grey-cement', 1],
      ['lime', 1],
      ['fine-sand', 4],
    ]);
    const [without, counted] = [calculateMix(mix, week), calculateMix({ ...mix, limeCounts: true }, week)];
    expect(counted.ratio.value).toBeLessThan(without.ratio.value);
    expect(counted.perPart.totalWater).toBe(without.perPart.totalWater);
  });

  it('mass is kept line by line, whatever the doses', () => {
    const some = fc.record({
      oxide: fc.double({ min: 0.001, max: 0.05, noNaN: true }),
      fibre: fc.double({ min: 0.1, max: 1.8, noNaN: true }),
      polymer: fc.double({ min: 0.01, max: 0.15, noNaN: true }),
    });
    fc.assert(
      fc.property(some, fc.double({ min: 0.1, max: 50, noNaN: true }), ({ oxide, fibre, polymer }, factor) => {
        const batch = scaleMasses(
          perPart(dosed(dose('red-oxide', oxide), dose('pp-fibre', fibre), dose('acrylic-polymer', polymer))),
          factor,
        );
        const asWeighed = goods(batch).reduce((sum, { mass }) => sum + mass, 0);
        const tap = batch.totalWater - batch.liquidWater;
        expect(batchMass(batch).fresh).toBeCloseTo(asWeighed + tap, 4);
        expect(drySolids(batch).reduce((sum, { mass }) => sum + mass, 0)).toBeCloseTo(solidsMass(batch), 6);
      }),
    );
  });
});

describe('a weighed dose', () => {
  const batch = perPart(dosed(dose('red-oxide', 0.03), dose('plasticiser', 0.007)));
  it('is told on the scale and in level spoons, with the error of each', () => {
    const oxide = weighDose(batch.doses[0]!, 1, batch);
    expect(oxide).toMatchObject({ onScale: 39, scaleError: expect.closeTo(0, 9), spoons: 9.75 });
    expect(oxide.spoonError).toBeCloseTo(0, 9);
    expect(english(oxide.mass.working).at(-1)).toMatchObject({ label: 'On a scale of 1 g', value: 39 });
    expect(weighDose(batch.doses[1]!, 1, batch).milliliters).toBeCloseTo(9.1 / 1.07, 9);
  });
  it('is told in level spoons up to ten, and by the scale beyond', () => {
    const large = scaleMasses(batch, 2);
    expect(weighDose(large.doses[0]!, 1, large).spoons).toBeUndefined();
    expect(weighDose(large.doses[0]!, 1, large).onScale).toBe(78);
  });
  it('too small for scale and spoon is taken from a stock, which holds it', () => {
    const small = scaleMasses(batch, 0.01);
    const { stock, advice, mass } = weighDose(small.doses[0]!, 1, small);
    expect((stock!.powder * stock!.dose) / stock!.water).toBeCloseTo(mass.value, 9);
    expect(english(advice)).toMatch(/stir 50 g of it into 100 mL of water and use 1 mL/);
    const coarse = weighDose(batch.doses[0]!, 100, batch);
    expect(coarse.stock).toBeUndefined();
    expect(english(coarse.advice)).toMatch(/use the level spoon/);
  });
  it('too small for the scale says so, and a scale of no step is refused', () => {
    const small = scaleMasses(batch, 0.01);
    expect(english(weighDose(small.doses[0]!, 1, small).advice)).toMatch(/too coarse/);
    expect(() => weighDose(small.doses[0]!, 0, small)).toThrow(InputError);
  });
});

describe('materials', () => {
  it('of the handbook all pass their own check', () => {
    for (const { key: _, ...one } of handbookMaterials)
      expect(() => checkMaterial({ ...one, name: english(one.name) })).not.toThrow();
    expect(new Set(handbookMaterials.map(({ key }) => key)).size).toBe(handbookMaterials.length);
    for (const { low, usual, ceiling, stop } of Object.values(additives)) {
      expect(low).toBeLessThanOrEqual(usual);
      expect(usual).toBeLessThan(ceiling);
      expect(ceiling).toBeLessThan(stop);
    }
  });
  it.each([
    ['bulk', { bulk: -1 }],
    ['bulk', { bulk: NaN }],
    ['bulk', { bulk: 3, particle: 2.65 }],
    ['particle', { particle: 0 }],
    ['name', { name: ' ' }],
    ['solids', { solids: 1.5 }],
    ['additive', { kind: 'additive' as const }],
    ['powder', { kind: 'pre-blend' as const }],
    ['powder.low', { kind: 'pre-blend' as const, powder: { low: 0.3, high: 0.2, binderShare: 1, doseShare: 1 } }],
  ])('with a wrong %s are refused by name', (field, over) => {
    expect(issues(() => checkMaterial({ ...material('sharp-sand'), ...over })).map((issue) => issue.field)).toContain(
      field,
    );
  });
});
