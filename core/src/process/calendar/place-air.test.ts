import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { steadyMonths } from '../../testing/calendar-workshop.js';
import { MONDAY } from '../../testing/pots-to-schedule.js';
import { airCourse, airOf, readingAt, seasonShare } from './index.js';

const read = (from: number, hours: number, temperature: number) =>
  Array.from({ length: hours }, (_, i) => ({ at: from + i * HOUR, temperature, humidity: 0.5, wind: 0 }));

describe('the air of a place ahead', () => {
  const now = MONDAY + 12 * HOUR;
  const air = airOf({ known: read(MONDAY, 24, 15), months: steadyMonths(8, 2) }, now, MONDAY + 30 * DAY, 'UTC');

  it('is what is known as far as that goes, and then as its months usually are', () => {
    const { readings, end } = air();
    expect(readings[0]!.at).toBe(MONDAY);
    expect(readingAt(air(), MONDAY + 20 * HOUR)?.temperature).toBe(15);
    expect(readingAt(air(), MONDAY + 3 * DAY)?.temperature).toBe(8);
    expect(end).toBe(MONDAY + 30 * DAY - HOUR);
    // One reading an hour, without a gap where one goes over into the other.
    readings.slice(1).forEach(({ at }, i) => expect(at - readings[i]!.at).toBe(HOUR));
  });

  it('is shifted from now on alone, by the spread of its month, and its humidity stays a share', () => {
    const cold = air({ deviations: -1, humidity: 0.6 });
    expect(readingAt(cold, MONDAY + 2 * HOUR)?.temperature).toBe(15);
    expect(readingAt(cold, MONDAY + 20 * HOUR)?.temperature).toBe(13);
    expect(readingAt(cold, MONDAY + 3 * DAY)).toMatchObject({ temperature: 6, humidity: 1 });
    expect(readingAt(air({ deviations: 0, warmer: 5 }), MONDAY + 3 * DAY)?.temperature).toBe(13);
  });

  it('is worked out once for each way in which it may come', () => {
    expect(air({ deviations: -1 })).toBe(air({ deviations: -1 }));
    expect(air({ deviations: -1 })).not.toBe(air());
    const course = air();
    expect(course.ageing('portland')).toBe(course.ageing('portland'));
    expect(course.drying()).toBe(course.drying());
  });

  it('has an hour without a reading as the last before it', () => {
    const known = [...read(MONDAY, 2, 10), ...read(MONDAY + 6 * HOUR, 2, 20)];
    const gap = airOf({ known, months: [] }, MONDAY, MONDAY + DAY, 'UTC')();
    expect(gap.readings.map(({ temperature }) => temperature)).toEqual([10, 10, 10, 10, 10, 10, 20, 20]);
  });

  it('ends where a month is not known, and is none where nothing is', () => {
    const months = steadyMonths(8).map((month, i) => (i === 6 ? undefined : month));
    expect(airOf({ known: read(MONDAY, 24, 15), months }, now, MONDAY + 60 * DAY, 'UTC')().readings).toHaveLength(24);
    const none = airOf({ known: [], months: [] }, now, MONDAY + DAY, 'UTC')();
    expect(none).toMatchObject({ readings: [], end: -Infinity });
    expect(readingAt(none, now)).toBeUndefined();
    expect(readingAt(airCourse(read(MONDAY, 3, 15)), MONDAY - DAY)?.at).toBe(MONDAY);
  });
});

describe('how far a season lies off what is usual', () => {
  it('goes by how alike its days are: unlike days are evened out, days all alike are not', () => {
    const alike = (share: number) => seasonShare(steadyMonths(10).map((month) => ({ ...month, alike: share })));
    expect(alike(1)).toBe(1);
    expect(alike(0)).toBeCloseTo(Math.sqrt(1 / 14), 10);
    expect(alike(0.6)).toBeGreaterThan(alike(0.3));
    expect(alike(0.6)).toBeLessThan(0.6);
  });

  it('is one half where the place does not tell', () => {
    expect(seasonShare([])).toBe(0.5);
    expect(seasonShare(steadyMonths(10).map((month) => ({ ...month, days: 0 })))).toBe(0.5);
  });
});
