import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { MONDAY } from '../../testing/pots-to-schedule.js';
import { atHandBetween, casterWeek, checkWeek, firstAttended, slotsOf, usualWeek, type KeptWeek } from './index.js';

const DAY = 86_400_000;
const HOUR = 3_600_000;
const week = (over: Partial<KeptWeek>): KeptWeek => ({ ...usualWeek, ...over });
const daysOf = (kept: KeptWeek, days = 14) =>
  slotsOf([casterWeek(kept)], MONDAY, MONDAY + days * DAY - 1, 'UTC').map(({ at }) => Math.floor((at - MONDAY) / DAY));

describe('a week as it is kept', () => {
  it('offers its evenings, those on other days, and none on days away', () => {
    expect(daysOf(usualWeek)).toEqual([1, 3, 5, 8, 10, 12]);
    expect(daysOf(week({ away: [{ date: '2026-06-04' }] }))).toEqual([1, 5, 8, 10, 12]);
    const other = week({ otherSessions: [{ date: '2026-06-07', from: 10, to: 12 }, { date: '2026-06-02' }] });
    expect(daysOf(other)).toEqual([3, 5, 6, 8, 10, 12]);
  });

  it('has nobody at hand on a day away', () => {
    const gone = casterWeek(week({ away: [{ date: '2026-06-02' }] }));
    expect(firstAttended(MONDAY + DAY + 9 * HOUR, [gone], 'UTC')).toBe(MONDAY + 2 * DAY + 7 * HOUR);
  });

  it('is refused by its field where hours end before they begin', () => {
    expect(() => checkWeek(usualWeek)).not.toThrow();
    const fields = (kept: KeptWeek) => {
      try {
        checkWeek(kept);
        return [];
      } catch (error) {
        return error instanceof InputError ? error.issues.map(({ field }) => field) : ['?'];
      }
    };
    const backwards = { weekday: 0, from: 20, to: 19 };
    expect(fields(week({ sessions: [backwards] }))).toEqual(['sessions.0.to']);
    expect(fields(week({ attended: [backwards], otherSessions: [{ date: '2026-06-02', from: 5, to: 5 }] }))).toEqual([
      'attended.0.to',
      'otherSessions.0.to',
    ]);
  });
});

describe('being at hand, asked often', () => {
  it('is the same as asked once, at every quarter of an hour of two weeks over a change of clocks', () => {
    const weeks = [
      casterWeek(week({ away: [{ date: '2026-03-30' }] })),
      casterWeek(week({ attended: [0, 2, 4, 6].map((weekday) => ({ weekday, from: 5.5, to: 23 })) })),
    ];
    const from = Date.UTC(2026, 2, 24);
    const atHand = atHandBetween(weeks, from, from + 14 * DAY, 'Europe/Madrid');
    for (let at = from; at < from + 14 * DAY; at += HOUR / 4)
      expect(atHand(at)).toBe(firstAttended(at, weeks, 'Europe/Madrid'));
  });

  it('is not told beyond the times that it was made for', () => {
    const atHand = atHandBetween([casterWeek(usualWeek)], MONDAY, MONDAY + DAY, 'UTC');
    expect(atHand(MONDAY + 30 * DAY)).toBeUndefined();
    expect(atHandBetween([], MONDAY, MONDAY + DAY, 'UTC')(MONDAY)).toBeUndefined();
  });
});
