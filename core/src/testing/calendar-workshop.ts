import { DAY, HOUR } from '../foundation/units/index.js';
import { finderOf } from '../mixing/materials/index.js';
import { knownColours } from '../mixing/tints/index.js';
import { usualMoistCuring } from '../process/curing/index.js';
import { usualSetup, type CalendarSources, type OpenLine } from '../process/calendar/index.js';
import { lessonsOf } from '../process/pours/index.js';
import { can, keptMix, material, nestedPot } from './examples.js';
import { everyEvening, MONDAY } from './pots-to-schedule.js';

const [cement, sand] = [material('grey-cement'), material('sharp-sand')];

/** Air that is alike for so many days, °C and a share. */
const steadyAir = (temperature: number, humidity = 0.55, days = 400) =>
  Array.from({ length: days * 24 }, (_, i) => ({ at: MONDAY - 30 * DAY + i * HOUR, temperature, humidity, wind: 0 }));

/** A month as it usually is: alike every hour. */
export const steadyMonths = (temperature: number, spread = 2) =>
  Array.from({ length: 12 }, () => ({
    hours: Array.from({ length: 24 }, () => ({ temperature, humidity: 0.55, wind: 0 })),
    spread,
    alike: 0.6,
    days: 30,
  }));

const find = finderOf([cement, sand]);
export const copies = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ mark: 'ABCDEFGHIJ'[i] ?? '', retired: false, leaks: false }));

/** Pots that somebody wants. */
export const wantedPots = (over: Partial<OpenLine> = {}): OpenLine => ({
  id: 'pots',
  order: 'Fair',
  mouldId: 'pot',
  mixId: 'grey',
  count: 6,
  state: 'cured',
  poured: [],
  ...over,
});

/** A workshop of three copies of one pot and one mix, with every evening from 19:00 to 21:30, in steady air of 18 °C. */
export const calendarWorkshop = (
  over: Partial<CalendarSources> = {},
  pour: Partial<CalendarSources['pour']> = {},
): CalendarSources => ({
  pour: {
    moulds: [
      { id: 'pot', name: 'Nested pot', shape: nestedPot, piece: 'pot', flexibility: 'rigid', copies: copies(3) },
    ],
    mixes: [keptMix('grey', { name: 'Grey' })],
    scoops: [can],
    find,
    tints: [],
    colours: knownColours([], find),
    lots: [],
    lessons: () => lessonsOf([]),
    runs: [],
    workshop: { bucket: 14_000, scaleStep: 1, liftLimit: 25_000 },
    now: MONDAY,
    ...pour,
  },
  lines: [wantedPots()],
  weeks: [{ ...everyEvening, sessions: Array.from({ length: 7 }, () => ({ from: 19, to: 21.5 })) }],
  zone: 'UTC',
  places: [{ id: 'shed', name: 'Shed', air: { known: steadyAir(18, 0.55, 30), months: steadyMonths(18) } }],
  standing: [],
  learned: [{ mouldId: 'pot', mixId: 'grey', risk: 0 }],
  moistCuring: usualMoistCuring,
  setup: usualSetup,
  ...over,
});
