import { DAY, HOUR } from '../foundation/units/index.js';
import { freeAgain, slotsOf, type CasterWeek, type SchedulingProblem } from '../process/calendar/index.js';

export const evening = { from: 19, to: 21 };
export const everyDay = <T>(one: T) => Array.from({ length: 7 }, () => one);
export const everyEvening: CasterWeek = {
  attended: everyDay({ from: 7, to: 22 }),
  sessions: everyDay(evening),
  exceptions: {},
};
/** A Monday. */
export const MONDAY = Date.UTC(2026, 5, 1);

/** Pots of one mould that come out after 30 h, poured in evenings of two hours: the worked case of the handbook. */
export function pots(count: number, copies: number, evenings = 20): SchedulingProblem {
  const slots = slotsOf([everyEvening], MONDAY, MONDAY + (evenings - 1) * DAY + 20 * HOUR, 'UTC');
  const until = freeAgain(slots, { demould: 30, release: 30 }, [everyEvening], 'UTC');
  return {
    slots,
    lines: [{ key: 'pot', mouldId: 'm', mixKey: 'grey', count, minutes: 12, volume: 2000 }],
    mixes: [{ key: 'grey', bucket: 20, capacity: 8000, mostPieces: 4 }],
    shared: [{ kind: 'copies', of: 'm', room: copies, uses: [{ line: 'pot', each: 1, until }] }],
    fixed: 45,
  };
}
