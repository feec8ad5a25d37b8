import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { strengthShare, type BinderClass } from '../../mixing/binders/index.js';
import { agesAt, equivalentAge, calculateMaturity } from './index.js';

const settings: BinderClass[] = ['portland', 'fast-setting', 'gypsum', 'underlayment', 'patch', 'lime'];
const weather = fc
  .array(fc.integer({ min: -15, max: 35 }), { minLength: 2, maxLength: 12 })
  .map((temperatures) => temperatures.map((temperature, i) => ({ hour: i * 12, temperature })));

describe('ages in one walk', () => {
  it('are those of each hour by itself', () => {
    fc.assert(
      fc.property(weather, fc.constantFrom(...settings), (readings, binderClass) => {
        const hours = [0, 6, 24, 60, 100];
        const walked = agesAt(readings, hours, binderClass);
        for (const [i, hour] of hours.entries()) {
          const alone = equivalentAge(readings, hour, binderClass);
          expect(Math.abs(walked[i]! - alone)).toBeLessThanOrEqual(0.01 * Math.max(1, alone));
        }
      }),
    );
  });
  it('never fall', () => {
    fc.assert(
      fc.property(weather, (readings) => {
        // A hair for rounding: below freezing the age stands still.
        const ages = agesAt(readings, [0, 10, 20, 40, 80], 'portland');
        for (const [i, age] of ages.slice(1).entries()) expect(age).toBeGreaterThanOrEqual(ages[i]! * (1 - 1e-12));
      }),
    );
  });
});

describe('the mean of each hour in place of six readings', () => {
  it('ages a piece alike to half a per cent over its first two days, through a cold night and a draught', () => {
    const swing = (hour: number) => 14 + 9 * Math.sin((hour / 24) * 2 * Math.PI) + 1.5 * Math.sin(hour * 9);
    const six = Array.from({ length: 49 * 6 }, (_, i) => ({ hour: i / 6, temperature: swing(i / 6) }));
    const means = Array.from({ length: 49 }, (_, hour) => {
      const within = six.slice(hour * 6, hour * 6 + 6);
      return { hour: hour + 0.5, temperature: within.reduce((sum, { temperature }) => sum + temperature, 0) / 6 };
    });
    for (const binderClass of settings) {
      const [every, hourly] = [six, means].map((readings) => equivalentAge(readings, 48, binderClass));
      expect(Math.abs(hourly! / every! - 1), binderClass).toBeLessThan(0.005);
    }
  });
});

describe('maturity', () => {
  it('at 20 °C for a day is a day, and Portland then has a fifth of its strength', () => {
    const { equivalentAge: age, strengthShare: share } = calculateMaturity(
      [{ hour: 0, temperature: 20 }],
      24,
      'portland',
    );
    expect(age.value).toBeCloseTo(24, 9);
    expect(share.value).toBeCloseTo(20.6, 1);
    expect(age.working.at(-1)!.value).toBe(age.value);
    expect(share.working.at(-1)!.value).toBe(share.value);
    expect(age.working[1]!.value).toBeCloseTo(720, 6);
  });
  it('strength rises with age for every binder', () => {
    for (const binderClass of settings) {
      const shares = [0, 0.5, 2, 10, 100, 1000].map((hours) => strengthShare(binderClass, hours));
      for (const [i, share] of shares.slice(1).entries()) expect(share).toBeGreaterThanOrEqual(shares[i]!);
    }
  });
});
