import fc from 'fast-check';
import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { shareBand, strengthShare, type BinderClass } from '../../mixing/binders/index.js';
import { bathNote, baths } from './baths.js';
import { calculateMaturity } from './calculate-maturity.js';
import { compareCovers, coverOf, evaporationUnder } from './covers.js';
import { evaporation } from './evaporation.js';
import { weatherWarnings } from './frost-and-heat.js';
import { leaching, PH_TARGET } from './leaching.js';
import { ageOfShare, bearings } from './load-ages.js';
import { ageAlong, hourOfAgeAlong } from './maturity-by-place.js';
import { ageBetween, ageCourse, hourOfAge, nurseSaul, STRICT_DATUM } from './maturity.js';
import { faceWater, mistingPlan, MOST_WETTINGS } from './misting.js';
import { moistCuringInWords, moistCuringEnd, usualMoistCuring } from './moist-curing.js';
import { surfaceRecord } from './surface-dryness.js';

const settings: readonly BinderClass[] = ['portland', 'fast-setting', 'gypsum', 'underlayment', 'patch', 'lime'];
const series = fc
  .array(
    fc.record({
      gap: fc.double({ min: 0.1, max: 6, noNaN: true }),
      temperature: fc.double({ min: -20, max: 40, noNaN: true }),
    }),
    {
      minLength: 2,
      maxLength: 30,
    },
  )
  .map((steps) => {
    let hour = 0;
    return steps.map(({ gap, temperature }) => ({ hour: (hour += gap), temperature }));
  });
const binderClass = fc.constantFrom(...settings);
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('equivalent age of a series', () => {
  it('is additive, and unchanged by resampling on the same straight lines', () => {
    fc.assert(
      fc.property(series, binderClass, share, share, (readings, binder, a, b) => {
        const course = ageCourse(readings, binder);
        const end = readings[readings.length - 1]!.hour;
        const [from, to] = [Math.min(a, b) * end, Math.max(a, b) * end];
        expect(ageBetween(course, 0, from) + ageBetween(course, from, to)).toBeCloseTo(ageBetween(course, 0, to), 6);
        const finer = readings.flatMap((one, i) => {
          const next = readings[i + 1];
          if (!next) return [one];
          const at = (s: number) => ({
            hour: one.hour + s * (next.hour - one.hour),
            temperature: one.temperature + s * (next.temperature - one.temperature),
          });
          return [one, at(0.37), at(0.81)];
        });
        expect(ageBetween(ageCourse(finer, binder), 0, end)).toBeCloseTo(ageBetween(course, 0, end), 3);
      }),
      { numRuns: 60 },
    );
  });

  it('finds the hour of an age again, and never falls, nor does strength', () => {
    fc.assert(
      fc.property(series, binderClass, share, (readings, binder, part) => {
        const course = ageCourse(readings, binder);
        const end = readings[readings.length - 1]!.hour + 10;
        const age = part * ageBetween(course, 0, end);
        const hour = hourOfAge(course, 0, age, end);
        if (age > 1e-6) expect(ageBetween(course, 0, hour!)).toBeCloseTo(age, 4);
        const shares = [0, 0.2, 0.5, 0.9, 1].map((s) => strengthShare(binder, ageBetween(course, 0, s * end)));
        expect(shares).toEqual([...shares].sort((a, b) => a - b));
      }),
      { numRuns: 60 },
    );
  });

  it('finds a very small age on a line that has hardly begun to gather', () => {
    const readings = [{ hour: 0.1, temperature: -10.000302854536878 }, { hour: 5.061210878400465, temperature: 0 }, { hour: 5.161210878400465, temperature: 0 }]; // prettier-ignore
    const course = ageCourse(readings, 'fast-setting');
    for (const age of [1.0000000000000002e-6, 1.1e-6, 1e-4, 0.01])
      expect(ageBetween(course, 0, hourOfAge(course, 0, age, 15.161210878400465)!)).toBeCloseTo(age, 5);
  });

  it('goes on from place to place, and stands still under the stricter datum', () => {
    const [cold, warm] = [5, 25].map((temperature) => ageCourse([{ hour: 0, temperature }], 'portland'));
    const stays = [
      { from: 0, course: cold! },
      { from: 12, course: warm! },
    ];
    const age = ageAlong(stays, 20);
    expect(age).toBeCloseTo(ageBetween(cold!, 0, 12) + ageBetween(warm!, 0, 8), 9);
    expect(hourOfAgeAlong(stays, age, 100)).toBeCloseTo(20, 4);
    expect(hourOfAgeAlong(stays, 1e6, 100)).toBeUndefined();
    const frozen = [{ hour: 0, temperature: -4 }];
    expect(nurseSaul(frozen, 10)).toBeCloseTo(60, 9);
    expect(nurseSaul(frozen, 10, STRICT_DATUM)).toBe(0);
    expect(calculateMaturity(frozen, 10, 'portland', STRICT_DATUM).equivalentAge.value).toBe(0);
  });
});

describe('strength', () => {
  it('lies within its band for every binder, and bears what it bears in order', () => {
    for (const binder of settings)
      for (const hours of [1, 10, 100, 1000]) {
        const [low, high] = shareBand(binder, hours);
        expect(low).toBeLessThanOrEqual(strengthShare(binder, hours));
        expect(high).toBeGreaterThanOrEqual(strengthShare(binder, hours));
      }
    const ages = bearings.map((one) => ageOfShare('portland', one.share)!);
    expect(ages).toEqual([...ages].sort((a, b) => a - b));
    expect(strengthShare('patch', ageOfShare('patch', 0.5)!)).toBeCloseTo(0.5, 9);
    expect(ageOfShare('gypsum', 0.9)).toBeUndefined();
  });

  it('is warned for: frost before 3.5 MPa, cold, heat; what is past is told as past', () => {
    const readings = [20, 2, -3, 2, 36, 36, 36].map((temperature, i) => ({ hour: i * 4, temperature }));
    const found = weatherWarnings({
      course: ageCourse(readings, 'portland'),
      binderClass: 'portland',
      poured: 0,
      now: 14,
      until: 40,
      strength: 30,
    });
    expect(english(found).map(({ kind, past }) => [kind, past])).toEqual([
      ['frost', true],
      ['cold', true],
      ['heat', false],
    ]);
    expect(english(found[0]!.told)).toMatch(/froze below 3.5 MPa/);
    const strong = weatherWarnings({
      course: ageCourse(
        [
          { hour: 0, temperature: 20 },
          { hour: 400, temperature: 20 },
          { hour: 404, temperature: -5 },
        ],
        'portland',
      ),
      binderClass: 'portland',
      poured: 0,
      now: 0,
      until: 500,
    });
    expect(strong).toEqual([]);
  });
});

describe('misting', () => {
  it('covers what evaporates in the waking hours, begins at waking, and gives way to a cover above six', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 1, max: 11 }),
        (rate, light, from, long) => {
          const plan = mistingPlan(rate, light, { from, to: from + long });
          const { loss, left } = faceWater(rate, light);
          expect(plan.coverInstead).toBe(plan.wettings > MOST_WETTINGS);
          if (plan.coverInstead) return;
          expect(plan.times.length * left).toBeGreaterThanOrEqual(loss * long - 1e-6);
          expect(plan.times.every((time) => time >= from && time < from + long)).toBe(true);
          if (plan.times.length > 0) expect(plan.times[0]).toBe(from);
        },
      ),
    );
    expect(mistingPlan(0, true).wettings).toBe(0);
    expect(() => mistingPlan(0.2, false, { from: 20, to: 8 })).toThrow(InputError);
  });

  it('done and missed is counted into the record of the face', () => {
    const day = [{ from: 0, to: 24, evaporation: 0.1 }];
    expect(surfaceRecord(day, [], false)).toMatchObject({
      done: 0,
      missed: 7,
      hours: 24,
      dryHours: expect.closeTo(21, 6),
    });
    const kept = surfaceRecord(day, [3, 6, 9, 12, 15, 18, 21], false);
    expect(kept).toMatchObject({ done: 7, missed: 0 });
    expect(kept.wetShare).toBeGreaterThan(0.97);
    expect(surfaceRecord([{ from: 0, to: 24, evaporation: 0 }], [], true).wetShare).toBe(1);
  });
});

describe('covers', () => {
  it('are compared by what they let through, in the air there is', () => {
    const ambient = { concrete: 32, ambient: 30, humidity: 0.35, wind: 20 };
    const open = evaporation(ambient);
    const rates = compareCovers(ambient, true).map(({ rate }) => rate.value);
    expect(rates[0]).toBeCloseTo(1.451, 3);
    expect(rates).toEqual(
      [open, evaporation({ ...ambient, wind: 6 }), 0, 0.05 * open, 0.03 * open, 0].map((rate) =>
        expect.closeTo(rate, 9),
      ),
    );
    expect(english(compareCovers(ambient, true)[0]!.told)).toMatch(/too many to keep up/);
    expect(english(compareCovers(ambient, true)[2]!.told)).toMatch(/while the cloth is damp/);
    expect(evaporationUnder(coverOf('something else'), ambient)).toBe(open);
  });
});

describe('the end of a moist curing', () => {
  it('is by share, days or school, and none for gypsum', () => {
    expect(moistCuringEnd('portland', usualMoistCuring).age / 24).toBeCloseTo(6.91, 2);
    expect(strengthShare('fast-setting', moistCuringEnd('fast-setting').age)).toBeCloseTo(0.7, 9);
    expect(moistCuringEnd('gypsum', { by: 'school', school: 'patient' })).toEqual({ age: 0, days: 0 });
    expect(english(moistCuringInWords({ by: 'school', school: 'hurried' }))).toMatch(/3 days/);
    expect(english(moistCuringInWords(usualMoistCuring))).toBe('until 70 % of 28-day strength');
  });
});

describe('leaching', () => {
  const DAY = 86_400_000;
  it('goes by the strip to 8.5, and foretells by how it fell', () => {
    expect(leaching([], 0)).toMatchObject({ done: false, changes: 3, learned: false });
    expect(
      leaching(
        [
          { at: 0, ph: 12 },
          { at: DAY, ph: 10.5 },
        ],
        1,
      ),
    ).toMatchObject({ changes: 2, learned: true });
    expect(
      leaching(
        [
          { at: DAY, ph: PH_TARGET },
          { at: 0, ph: 11 },
        ],
        3,
      ).done,
    ).toBe(true);
    expect(() => leaching([{ at: 0, ph: 17 }], 0)).toThrow(InputError);
  });

  it('and every bath have their caution; gypsum is told to stay dry', () => {
    for (const bath of Object.values(baths)) expect(english(bath.caution).length).toBeGreaterThan(40);
    expect(english(bathNote('water', 'gypsum'))).toMatch(/softens/);
    expect(english(bathNote('water', 'fast-setting'))).toMatch(/does not need it/);
    expect(bathNote('vinegar', 'portland')).toBeUndefined();
  });
});
