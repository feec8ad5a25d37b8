import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { planLayerWait } from '../../process/pours/index.js';
import { dose, material, recipe, threePots } from '../../testing/examples.js';
import { handbookTimes, initialSet, potLife } from '../binders/index.js';
import { checkMaterial } from '../materials/index.js';
import {
  checkMix,
  differencesOf,
  massesPerPart,
  calculateMix,
  timesAt20,
  typedInitialSet,
  usualBinderClass,
  potLifeAndSet,
  type Mix,
} from './index.js';

const week = { moistCuringDays: 7 };
const bag = { ...material('fast-setting'), times: { potLife: 25, initialSet: 0.6 } };
const quick: Mix = recipe([['fast-setting', 1]], { lines: [{ material: bag, parts: 1 }] });
const garden = recipe([
  ['grey-cement', 1],
  ['sharp-sand', 2.5],
]);

const refused = (act: () => void) => {
  try {
    act();
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ field }) => field);
    throw error;
  }
  return [];
};

describe('pot life and initial set', () => {
  it('are the handbook’s where nobody says otherwise', () => {
    const { potLife: life, initialSet: set } = potLifeAndSet(garden, 'portland', 20);
    expect([life.value, set.value, life.basis.kind]).toEqual([60, 4.5, 'handbook']);
    expect(typedInitialSet(garden, 'portland')).toBeUndefined();
  });

  it('are the bag’s where it says them, and follow the temperature like any other', () => {
    const { potLife: life, initialSet: set } = potLifeAndSet(quick, 'fast-setting', 30);
    expect(life.value).toBeCloseTo(potLife('fast-setting', 30, 25), 9);
    expect(set.value).toBeCloseTo(initialSet('fast-setting', 30, 0.6), 9);
    expect(life.value).toBeLessThan(25);
    expect(english([life.basis.kind, life.working[0]!.how])).toEqual(['typed', 'from the bag']);
    expect(typedInitialSet(quick, 'fast-setting')).toBe(0.6);
  });

  it('are the mix’s own where the caster entered them for it, each by itself', () => {
    const own = { ...quick, times: { potLife: 40 } };
    expect(timesAt20(own, 'fast-setting')).toEqual({ potLife: 40, initialSet: 0.6 });
  });

  it('of two bags are those of the quicker one', () => {
    const slow = { ...material('grey-cement'), times: { potLife: 90, initialSet: 5 } };
    const both = { ...quick, lines: [...quick.lines, { material: slow, parts: 1 }] };
    expect(timesAt20(both, 'portland')).toEqual({ potLife: 25, initialSet: 0.6 });
  });

  it('of a bag are shortened by an accelerator as the handbook’s are', () => {
    const cement = { ...material('grey-cement'), times: { potLife: 90, initialSet: 6 } };
    const mix = {
      ...garden,
      lines: [{ material: cement, parts: 1 }, garden.lines[1]!],
      doses: [dose('accelerator', 0.01)],
    };
    expect(timesAt20(mix, 'portland')).toEqual({ potLife: 60, initialSet: 4 });
    expect(handbookTimes('portland', true)).toEqual({ potLife: 40, initialSet: 3 });
    expect(handbookTimes('gypsum', true)).toEqual(handbookTimes('gypsum'));
  });

  it('move the wait between two layers', () => {
    const { mix, ...plan } = threePots();
    const wait = (times: Mix['times']) =>
      planLayerWait({ ...plan, temperature: 20, mix: { ...mix, ...(times && { times }) } }, 'blended');
    expect(wait({ initialSet: 9 }).to.value).toBeCloseTo(2 * wait(undefined).to.value, 9);
  });

  it('that cannot be are refused, by field', () => {
    expect(refused(() => checkMix({ ...garden, times: { potLife: 0 } }))).toEqual(['times.potLife']);
    expect(refused(() => checkMix({ ...garden, times: { potLife: 90, initialSet: 1 } }))).toEqual(['times.potLife']);
    const wrong = { ...bag, times: { initialSet: 300 } };
    expect(refused(() => checkMaterial(wrong, 'materials.3'))).toEqual(['materials.3.times.initialSet']);
  });

  it('are among the differences of two versions', () => {
    expect(english(differencesOf(garden, { ...garden, times: { potLife: 45 } }))).toEqual([
      { what: 'Pot life', before: 'by its binder', after: '45 min' },
    ]);
  });
});

describe('how a mix sets', () => {
  it.each([
    ['grey-cement', 'portland'],
    ['high-early-cement', 'high-early'],
    ['gypsum-cement', 'gypsum'],
    ['fast-setting', 'fast-setting'],
    ['lime', 'lime'],
    ['patch', undefined],
  ] as const)('by %s is %s', (binder, binderClass) => {
    expect(
      usualBinderClass(
        recipe([
          [binder, 1],
          ['fine-sand', 2],
        ]),
      ),
    ).toBe(binderClass);
  });
  it('goes by the binder that there is most of', () => {
    expect(
      usualBinderClass(
        recipe([
          ['grey-cement', 3],
          ['lime', 1],
        ]),
      ),
    ).toBe('portland');
    expect(usualBinderClass(recipe([['fine-sand', 3]]))).toBeUndefined();
  });
});

describe('a wanted water to cement', () => {
  it('makes the water, whatever the consistency', () => {
    const batch = massesPerPart(garden, { ...week, ratio: 0.5 });
    // A litre of cement is 1300 g, 2.5 L of sharp sand 4000 g: 650 g of free water, and 32 that the sand soaks up.
    expect([batch.freeWater, batch.totalWater]).toEqual([expect.closeTo(650, 6), expect.closeTo(682, 6)]);
    const { ratio } = calculateMix(garden, { ...week, ratio: 0.5 });
    expect([ratio.value, ratio.basis.kind]).toEqual([0.5, 'typed']);
    expect(refused(() => massesPerPart(garden, { ...week, ratio: 3 }))).toEqual(['ratio']);
  });
});
