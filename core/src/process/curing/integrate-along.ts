import { defined, firstPlace } from '../../foundation/math/index.js';
import { requireNumber, MOST_HOURS, msg } from '../../foundation/units/index.js';
import type { TemperatureReading } from './maturity.js';

/** Gauss–Legendre of three points on −1…1. */
const NODES = [-Math.sqrt(0.6), 0, Math.sqrt(0.6)];
const WEIGHTS = [5 / 9, 8 / 9, 5 / 9];
/** Warming or cooling along a piece of a line that is summed at once at most, °C. Three points then tell an Arrhenius speed to 1e-9 of it. */
const PIECE = 5;

/** Which reading is the first at or after an hour; their number where none is. */
export const placeIn = (readings: readonly TemperatureReading[], hour: number): number =>
  firstPlace(readings.length, (i) => defined(readings[i]).hour >= hour);

/** The temperature at an hour: straight between readings, held beyond them. NaN where there are none. */
export function valueAt(readings: readonly TemperatureReading[], hour: number): number {
  const next = placeIn(readings, hour);
  const after = readings[next];
  const before = readings[next - 1];
  if (!before || !after) return (before ?? after)?.temperature ?? NaN;
  return (
    before.temperature + ((after.temperature - before.temperature) * (hour - before.hour)) / (after.hour - before.hour)
  );
}

/** The part of a line that lies above the datum, as its two ends; undefined where none does. */
function above(a: TemperatureReading, b: TemperatureReading, datum: number) {
  if (a.temperature <= datum && b.temperature <= datum) return undefined;
  if (a.temperature >= datum && b.temperature >= datum) return [a, b] as const;
  const share = (datum - a.temperature) / (b.temperature - a.temperature);
  const crossing = { hour: a.hour + share * (b.hour - a.hour), temperature: datum };
  return a.temperature > datum ? ([a, crossing] as const) : ([crossing, b] as const);
}

/** ∫ speed(T) dt along a straight line of temperature, as far as it lies above `datum`; hours and °C. @throws InputError over more than ten years */
export function integrateAlong(
  from: TemperatureReading,
  to: TemperatureReading,
  speed: (temperature: number) => number,
  datum: number,
): number {
  const warm = above(from, to, datum);
  if (!warm) return 0;
  const [a, b] = warm;
  const width = b.hour - a.hour;
  if (!(width <= MOST_HOURS))
    requireNumber('readings', width, msg('curing.timeBetweenReadings'), { max: MOST_HOURS, unit: 'h' });
  const pieces = Math.max(1, Math.ceil(Math.abs(b.temperature - a.temperature) / PIECE));
  const slope = (b.temperature - a.temperature) / pieces;
  let sum = 0;
  for (let piece = 0; piece < pieces; piece++)
    for (let i = 0; i < NODES.length; i++)
      sum += defined(WEIGHTS[i]) * speed(a.temperature + slope * (piece + (defined(NODES[i]) + 1) / 2));
  return (sum * width) / pieces / 2;
}
