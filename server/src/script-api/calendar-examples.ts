import { DAY, HOUR } from '@dewpot/core/units';

/** A Monday, at midnight. */
const MONDAY = 1_780_272_000_000;
const everyDay = (from: number, to: number) => [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from, to }));
const week = { attended: everyDay(7, 22), sessions: everyDay(19, 21), zone: 'UTC' };

/** An example of each question about the calendar, shown in the API's document and answered by its tests. */
export const calendarExamples = {
  schedule: {
    week,
    from: MONDAY,
    to: MONDAY + 15 * DAY,
    fixed: 45,
    moulds: [{ id: 'pot', copies: 3, demould: 30, release: 30 }],
    mixes: [{ id: 'grey', bucket: 20, capacity: 8000, mostPieces: 4 }],
    lines: [{ id: 'pots', mouldId: 'pot', mixId: 'grey', count: 24, minutes: 12, volume: 2000 }],
  },
  pieces: { wanted: 24, risk: 0.1 },
  chain: {
    pouredAt: MONDAY + 19 * HOUR,
    binderClass: 'portland',
    demouldAge: 24,
    curingAge: 168,
    dry: 4000,
    loss: 260,
    sealer: 'acrylic',
    coats: 2,
    air: Array.from({ length: 60 * 24 }, (_, i) => ({ at: MONDAY + i * HOUR, temperature: 16, humidity: 0.6 })),
    week,
  },
};
