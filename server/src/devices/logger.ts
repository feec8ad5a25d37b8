import { DAY, HOUR, MINUTE } from '@dewpot/core/units';
import type { AmbientReading, PlaceKind } from '@dewpot/core/ambient';
import { dice } from './dice.js';
import { ambientIn, drift, weatherAt } from './weather.js';

/** How often the simulated logger takes a reading, ms. */
export const LOGS_EVERY = 10 * MINUTE;

/** A door that opens lets so much of the air outdoors in, for so long. */
const DOOR = { share: 0.35, open: 25 * MINUTE };
/** It opens in about a third of the two-hour stretches of a day. */
const DOOR_EVERY = 2 * HOUR;
/** A flat battery: one stretch of this length in so many. */
const GAP = { length: 8 * HOUR, in: 70 };
/** A sensor that sticks: one stretch in so many. */
const STUCK = { length: 30 * HOUR, in: 50 };

const rounded = (value: number, places: number) => Math.round(value * 10 ** places) / 10 ** places;

const happens = (at: number, length: number, of: number, salt: number) =>
  (dice(Math.floor(at / length), salt) + 1) / 2 < 1 / of;

function doorOpen(at: number, salt: number): boolean {
  const hour = (at % DAY) / HOUR;
  if (hour < 7 || hour > 20) return false;
  return happens(at, DOOR_EVERY, 3, salt) && at % DOOR_EVERY < DOOR.open;
}

/**
 * What the simulated logger in a place reads at a time: the air of its kind, with doors that open, a sensor that sticks now and
 * then, and nothing while its battery is flat. The same for the same time, always; `salt` tells two loggers apart.
 */
function loggerReading(kind: PlaceKind, salt: number, at: number): AmbientReading | undefined {
  if (happens(at, GAP.length, GAP.in, salt + 1)) return undefined;
  const stuck = happens(at, STUCK.length, STUCK.in, salt + 2);
  const when = stuck ? Math.floor(at / STUCK.length) * STUCK.length : at;
  const still = ambientIn(kind, when);
  const open = kind === 'shed' && !stuck && doorOpen(at, salt) ? DOOR.share : 0;
  const outside = weatherAt(when);
  const noise = stuck ? 0 : 0.15 * dice(Math.floor(at / LOGS_EVERY), salt + 3) + 0.3 * drift(at, HOUR, salt + 4);
  return {
    at,
    temperature: rounded(still.temperature * (1 - open) + outside.temperature * open + noise, 1),
    humidity: rounded(still.humidity * (1 - open) + outside.humidity * open - noise / 60, 2),
  };
}

/** What the logger has in its memory after one time and up to another, ms. */
export function loggerMemory(kind: PlaceKind, salt: number, after: number, to: number): AmbientReading[] {
  const first = (Math.floor(after / LOGS_EVERY) + 1) * LOGS_EVERY;
  const count = Math.max(0, Math.floor((to - first) / LOGS_EVERY) + 1);
  return Array.from({ length: count }, (_, i) => loggerReading(kind, salt, first + i * LOGS_EVERY)).filter(
    (reading) => reading !== undefined,
  );
}
