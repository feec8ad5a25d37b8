import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { evening, everyDay, everyEvening, MONDAY, pots } from '../../testing/pots-to-schedule.js';
import { firstAttended, slotsOf, type CasterWeek } from './index.js';

describe('a caster’s week', () => {
  it('offers its evenings, and others where a day is an exception', () => {
    const week: CasterWeek = {
      ...everyEvening,
      sessions: [null, evening, null, evening, null, null, null],
      exceptions: { '2026-06-04': { session: null }, '2026-06-06': { session: { from: 9, to: 12.5 } } },
    };
    const slots = slotsOf([week], MONDAY, MONDAY + 8 * DAY + 20 * HOUR, 'Europe/Madrid');
    expect(slots).toEqual([
      { at: Date.UTC(2026, 5, 2, 17), minutes: 120 },
      { at: Date.UTC(2026, 5, 6, 7), minutes: 210 },
      { at: Date.UTC(2026, 5, 9, 17), minutes: 120 },
    ]);
  });

  it('says when somebody is at hand, over the night in which clocks are put forward', () => {
    const week = { ...everyEvening, exceptions: { '2026-03-29': { attended: { from: 9, to: 12 } } } };
    expect(firstAttended(Date.UTC(2026, 2, 28, 23), [week], 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 29, 7));
    expect(firstAttended(Date.UTC(2026, 2, 29, 9, 30), [week], 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 29, 9, 30));
    expect(firstAttended(Date.UTC(2026, 2, 29, 11), [week], 'Europe/Madrid')).toBe(Date.UTC(2026, 2, 30, 5));
    expect(firstAttended(0, [{ ...week, attended: everyDay(null), exceptions: {} }], 'UTC')).toBeUndefined();
  });

  it('has a copy free again once it is out in an attended hour and its release is dry', () => {
    const { shared } = pots(3, 3, 5);
    // Poured on an evening it is hard at one at night, out at seven, and free for the evening of that day.
    expect(shared[0]!.uses[0]!.until).toEqual([2, 3, 4, 5, 5]);
  });

  it('is that of several people together: their evenings are one where they overlap, with the hands of both', () => {
    const early: CasterWeek = { ...everyEvening, sessions: everyDay({ from: 19, to: 21 }) };
    const late: CasterWeek = { ...everyEvening, sessions: [null, { from: 20.5, to: 22 }, { from: 19, to: 21 }, null, { from: 10, to: 11 }, null, null] }; // prettier-ignore
    const slots = slotsOf([early, late], MONDAY, MONDAY + 5 * DAY - 1, 'UTC');
    const told = slots.map(({ at, minutes, people }) => [(at - MONDAY) / HOUR, minutes, people]);
    expect(told).toEqual([
      [19, 120, undefined],
      [43, 180, undefined],
      [67, 120, 2],
      [91, 120, undefined],
      [106, 60, undefined],
      [115, 120, undefined],
    ]);
    const off: CasterWeek = { ...early, attended: everyDay({ from: 12, to: 13 }) };
    expect(firstAttended(MONDAY, [off, late], 'UTC')).toBe(MONDAY + 7 * HOUR);
  });
});
