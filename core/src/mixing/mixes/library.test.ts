import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { dose, material, recipeOfStarter, recipe, said, sandCement } from '../../testing/examples.js';
import { initialSet } from '../binders/index.js';
import {
  compareMixes,
  demandRatio,
  differencesOf,
  gradeOfSpread,
  keepingOf,
  massesPerPart,
  methodOf,
  calculateMix,
  shrunkenMean,
  starters,
  totalWater,
  wettestGrade,
  type Grade,
} from './index.js';

const week = { moistCuringDays: 7 };
const calculated = (key: string) => {
  const starter = starters.find((one) => one.key === key)!;
  return calculateMix(recipeOfStarter(starter), { moistCuringDays: starter.moistCuringDays });
};

describe('the library', () => {
  it('holds ten mixes and more, of every school, each of which can be mixed and says what it is for', () => {
    expect(starters.length).toBeGreaterThanOrEqual(10);
    expect(new Set(starters.map(({ school }) => school))).toEqual(
      new Set([
        'sand-cement',
        'gravelled',
        'hypertufa',
        'lightweight',
        'fast-setting',
        'gypsum',
        'underlayment',
        'patch',
        'bagged',
      ]),
    );
    for (const { key, suits, unfit } of starters) {
      expect(calculated(key).strength.value).toBeGreaterThan(1);
      expect(suits && unfit).toBeTruthy();
    }
  });
  it.each(starters.map(({ key }) => key))('%s warns of nothing as it stands', (key) =>
    expect(calculated(key).findings).toEqual([]),
  );
  it('has gypsum for display alone, strong as it is dry and never at 28 days', () => {
    const { use, strength } = calculated('gypsum');
    expect(use).toBe('display');
    expect(english(strength.working).at(-1)!.label).toMatch(/dried/);
    expect(english(calculated('garden').strength.working).at(-1)!.label).toMatch(/28 days/);
  });
  it('has light mixes that are light, and a paver that bears feet', () => {
    expect(calculated('light').dryDensity.value).toBeLessThan(1.6);
    expect(calculated('paver').use).toBe('foot traffic');
  });
});

describe('how it is mixed', () => {
  const texts = (...given: Parameters<typeof methodOf>) =>
    methodOf(...given)
      .map(({ text }) => english(text))
      .join(' ');
  it('goes by what sets: powder into water where it sets in minutes, water to powder else', () => {
    const gypsum = recipe([['gypsum-cement', 1]], { by: 'mass' });
    expect(texts(gypsum, 'gypsum')).toMatch(
      /Turn the bag.*distilled.*sift the powder into it.*last 10 %.*Pour at once/,
    );
    expect(texts(sandCement(), 'portland')).toMatch(/80 % of the water.*Scrape the bottom.*stand one to three minutes/);
    expect(texts(sandCement(), 'portland', { order: 'powder-to-water' })).toMatch(/sift the powder/);
  });
  it('wets light grains first, teases fibre, and rinses the colour jug with counted water', () => {
    const tufa = {
      ...recipe([
        ['grey-cement', 1],
        ['perlite', 1],
        ['peat', 1],
      ]),
      doses: [dose('pp-fibre', 0.9), dose('red-oxide', 0.03)],
    };
    expect(texts(tufa, 'portland')).toMatch(
      /Pre-wet perlite, coarse and peat, riddled.*Tease.*Blend iron oxide, red into the dry/,
    );
    expect(texts(tufa, 'portland', { colour: 'water' })).toMatch(/into the mixing water.*Rinse the colour jug/);
    expect(texts(tufa, 'portland', { colour: 'late' })).toMatch(/Let it stand.*Swirl iron oxide, red/);
    expect(english(methodOf(tufa, 'portland')).flatMap(({ caution = [] }) => caution)).toContain(
      'Wet mix is caustic: gloves, goggles, long sleeves.',
    );
  });
});

describe('versions', () => {
  it('tell what was changed, put in, left out, and in which order it goes', () => {
    const before = { ...sandCement(5), doses: [dose('red-oxide', 0.03)] };
    const after = recipe(
      [
        ['sharp-sand', 2],
        ['grey-cement', 1],
        ['perlite', 1],
      ],
      { grade: 4, doses: [dose('red-oxide', 0.05)] },
    );
    expect(english(differencesOf(before, after))).toEqual([
      { what: 'Sharp sand', before: '2.5 by volume', after: '2 by volume' },
      { what: 'Iron oxide, red', before: '3 % of binder mass', after: '5 % of binder mass' },
      { what: 'Perlite, coarse', before: 'not in it', after: '1 by volume' },
      { what: 'Order', before: 'Grey Portland cement and Sharp sand', after: 'Sharp sand and Grey Portland cement' },
      { what: 'Consistency', before: 'custard', after: 'icing' },
    ]);
    expect(differencesOf(before, before)).toEqual([]);
  });
});

describe('side by side', () => {
  const by = { temperature: 20, lots: [], volume: 2000 };
  const garden = { name: 'Garden', mix: sandCement(), binderClass: 'portland' as const, conditions: week };
  it('mixes are told by the same properties, and what is not known is left open', () => {
    const hurried = { ...garden, mix: { ...sandCement(), doses: [dose('accelerator', 0.01)] } };
    const rows = compareMixes([garden, hurried], by);
    const row = (key: string) => rows.find((one) => one.key === key)!.values;
    expect(row('set')).toEqual([4.5, 3]);
    expect(row('cost')).toEqual([undefined, undefined]);
    expect(row('piece')[0]).toBeCloseTo(row('dry')[0]! * 2000, 9);
  });
  it('are one to four', () => {
    expect(refusal(() => compareMixes([], by))).toMatch(/mixes/);
    expect(refusal(() => compareMixes([garden, garden, garden, garden, garden], by))).toMatch(/mixes is 5/);
  });
  it('set later in the cold', () => expect(initialSet('portland', 10)).toBeCloseTo(4.5 / 0.5475, 2));
});

describe('what batches taught', () => {
  it('is nothing at first, and is drawn to their mean as they come', () => {
    expect(shrunkenMean([])).toEqual({ factor: 1, batches: 0 });
    expect(shrunkenMean([1.2])).toEqual({ factor: expect.closeTo(1.05, 9), batches: 1 });
    expect(shrunkenMean(Array.from({ length: 27 }, () => 1.2)).factor).toBeCloseTo(1.18, 9);
  });
  it('is the thirst against the handbook’s: a batch that took what was calculated shows 1', () => {
    const { portions } = massesPerPart(sandCement(), week);
    for (const cut of [0, 0.2])
      expect(
        demandRatio({ solids: portions, totalWater: totalWater(portions, 6, { cut, learned: 1.1 }), grade: 6, cut }),
      ).toBeCloseTo(1.1, 9);
  });
});

describe('wetness', () => {
  it('is told by a spread test: the nearest grade', () => {
    expect([80, 96, 125, 160, 230, 290].map((puddle) => gradeOfSpread(puddle, 80).grade)).toEqual([1, 3, 4, 5, 6, 7]);
    expect(refusal(() => gradeOfSpread(70, 80))).toMatch(/puddle/);
    expect(refusal(() => gradeOfSpread(70, 0))).toMatch(/cup/);
  });
  it('that can be reached under the ceiling falls with frost and rises with plasticiser', () => {
    const wettest = (...doses: ReturnType<typeof dose>[]): Grade | undefined => {
      const mix = { ...sandCement(), exposure: 'frost' as const, doses };
      return wettestGrade(mix, massesPerPart(mix, week));
    };
    expect(wettest(dose('plasticiser', 0.007))!).toBeGreaterThan(wettest() ?? 0);
    const powder = recipe([['fast-setting', 1]], { by: 'mass' });
    expect(wettestGrade(powder, massesPerPart(powder, week))).toBe(6);
    const thirsty = {
      ...recipe([
        ['grey-cement', 1],
        ['fine-sand', 9],
      ]),
      exposure: 'frost' as const,
    };
    expect(wettestGrade(thirsty, massesPerPart(thirsty, week))).toBeUndefined();
  });
  it('beyond a ready-made powder’s range is warned of, at either end', () => {
    const powder = recipe([['fast-setting', 1]], { by: 'mass' });
    const warned = (factor: number) =>
      said(calculateMix(powder, { ...week, learnedDemand: { factor, batches: 4 } }).findings);
    expect(warned(1.3)).toMatch(/more water than stands on the bag/);
    expect(warned(0.8)).toMatch(/dry pockets/);
    expect(warned(1)).toBe('');
    expect(material('fast-setting').powder!.low).toBe(0.2);
  });
});

describe('how a lot keeps', () => {
  const month = (365.25 / 12) * 24 * 3_600_000;
  const lot = { materialId: 'x', bought: 1, left: 1, price: 1, boughtAt: 0 };
  it.each([
    ['grey-cement', {}, 2, undefined],
    ['grey-cement', {}, 6, /80 % of its strength/],
    ['grey-cement', { openedAt: 5 * month }, 6, undefined],
    ['grey-cement', { lumpy: true }, 0, /do not use/],
    ['gypsum-cement', { openedAt: 0 }, 3, /Open for 13 weeks/],
    ['gypsum-cement', {}, 3, undefined],
    ['fast-setting', {}, 14, /past what a closed bag keeps/],
    ['sharp-sand', {}, 90, undefined],
  ])('%s %o after %d months: %s', (key, over, months, told) => {
    const said = keepingOf(material(key), { ...lot, ...over }, months * month);
    if (told) expect(english(said)).toMatch(told);
    else expect(said).toBeUndefined();
  });
});
