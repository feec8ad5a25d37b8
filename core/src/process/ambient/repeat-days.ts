import { mean } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { AmbientReading } from './readings.js';

const HOURS = 24;
/** Days whose course is taken to go on. */
const DAYS = 3;

/**
 * The air of a place at times ahead (ms) as its last three days ran: the mean of the same hours of the day, or of all of them
 * where that hour was never read. Empty without a reading.
 */
export function repeatDays(
  readings: readonly Required<AmbientReading>[],
  times: readonly number[],
): Required<AmbientReading>[] {
  const last = readings[readings.length - 1];
  if (!last) return [];
  const recent = readings.filter(({ at }) => at > last.at - DAYS * HOURS * HOUR);
  const hourOf = (at: number) => Math.floor(at / HOUR) % HOURS;
  return times.map((at) => {
    const sameHour = recent.filter((reading) => hourOf(reading.at) === hourOf(at));
    const alike = sameHour.length > 0 ? sameHour : recent;
    const of = (key: 'temperature' | 'humidity' | 'wind') => mean(alike.map((reading) => reading[key]));
    return { at, temperature: of('temperature'), humidity: of('humidity'), wind: of('wind') };
  });
}
