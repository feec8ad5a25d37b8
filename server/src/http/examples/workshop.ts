import { keys, MORNING } from './keys.js';

const line = keys.orderLine;

/** Examples of what is said of a workshop, its air, its calendar and its money. */
export const workshopExamples = {
  WorkshopName: { workshop: 'Quince Yard' },
  WorkshopChoice: { workshopId: keys.workshop },
  WorkshopSettings: {
    name: 'Quince Yard',
    units: 'metric',
    currency: 'EUR',
    liftLimit: 25_000,
    bucket: 14_000,
    scaleStep: 1,
    zone: 'Europe/Berlin',
    weekStart: 'monday',
    version: 3,
  },
  PlaceInput: { name: 'Shed', kind: 'shed', source: 'typed', typed: { temperature: 18, humidity: 0.6, wind: 0 }, version: 0 },
  ReadingsInput: { readings: [{ at: MORNING, temperature: 17.5, humidity: 0.62 }, { at: MORNING + 600_000, temperature: 17.8 }] },
  CasterWeekInput: {
    attended: [{ weekday: 1, from: 18, to: 21 }],
    sessions: [{ weekday: 6, from: 9, to: 13 }],
    away: [{ date: '2026-08-01' }],
    otherSessions: [{ date: '2026-06-03', from: 17, to: 20 }],
    version: 0,
  },
  OrderInput: {
    name: 'Three pots for the gate',
    placeId: keys.place,
    lines: [{ id: line, mouldId: keys.mould, mixId: keys.mix, count: 3, state: 'sealed', by: MORNING + 2_592_000_000, sealer: 'penetrating', coats: 2 }],
    version: 0,
  },
  CalendarPlanInput: {
    madeAt: MORNING,
    sessions: [{ at: MORNING + 90_000_000, minutes: 70, room: 240, poured: [{ line, count: 3 }] }],
    tasks: [{ task: 'demould', line, count: 3, at: MORNING + 180_000_000, latest: MORNING + 266_400_000 }],
    outcomes: [{ line, wanted: 3, poured: 3, late: 0, chance: 0.93 }],
    chance: 0.93,
    leastSessions: 1,
    version: 0,
  },
  CostingInput: { price: 24, lasts: 40, release: 0.1, minutes: 25, version: 0 },
  ForgottenInput: { group: 'demould', of: [keys.mould, keys.mix] },
}; // prettier-ignore
