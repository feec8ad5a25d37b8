import { defined, firstPlace } from '../../foundation/math/index.js';
import { activation, arrhenius, type BinderClass } from '../../mixing/binders/index.js';
import { integrateAlong, placeIn, valueAt } from './integrate-along.js';

/** A temperature at a time: hours from any beginning, mostly the pour; °C. */
export interface TemperatureReading {
  readonly hour: number;
  readonly temperature: number;
}

/** Below this temperature reaction is taken to stand still, °C: the Nurse–Saul datum. */
export const DATUM = -10;
/** The datum of the stricter school, °C. */
export const STRICT_DATUM = 0;

/** The equivalent age that a binder gathers along a series of temperatures, ready to be asked at any hour. */
export interface AgeCourse {
  readonly readings: readonly TemperatureReading[];
  /** Equivalent hours at 20 °C gathered at each reading since the first. */
  readonly ages: Float64Array;
  readonly speed: (temperature: number) => number;
  readonly datum: number;
}

function courseOf(
  readings: readonly TemperatureReading[],
  speed: (temperature: number) => number,
  datum: number,
): AgeCourse {
  const ages = new Float64Array(readings.length);
  for (let i = 1; i < readings.length; i++)
    ages[i] = defined(ages[i - 1]) + integrateAlong(defined(readings[i - 1]), defined(readings[i]), speed, datum);
  return { readings, ages, speed, datum };
}

/**
 * The course of equivalent age at 20 °C along readings in the order of time: Σ exp(−Q·(1/T − 1/293.15))·Δt (ASTM C1074).
 * Temperature runs straight between readings and holds beyond them; below the datum nothing accrues.
 */
export function ageCourse(readings: readonly TemperatureReading[], binderClass: BinderClass, datum = DATUM): AgeCourse {
  return courseOf(readings, (temperature) => arrhenius(temperature, activation[binderClass]), datum);
}

const speedAt = ({ speed, datum }: AgeCourse, temperature: number) => (temperature > datum ? speed(temperature) : 0);

/** What a course has gathered by an hour since its first reading; under 0 before it. */
export function gatheredAt(course: AgeCourse, hour: number): number {
  const { readings, ages, speed, datum } = course;
  const last = readings.length - 1;
  if (last < 0) return 0;
  const next = placeIn(readings, hour);
  if (next === 0) return (hour - defined(readings[0]).hour) * speedAt(course, defined(readings[0]).temperature);
  const before = defined(readings[next - 1]);
  if (next > last) return defined(ages[last]) + (hour - before.hour) * speedAt(course, before.temperature);
  return defined(ages[next - 1]) + integrateAlong(before, { hour, temperature: valueAt(readings, hour) }, speed, datum);
}

/** Equivalent hours at 20 °C gathered between two hours of a course. Additive: what lies between is the sum of its parts. */
export const ageBetween = (course: AgeCourse, from: number, to: number): number =>
  to <= from ? 0 : gatheredAt(course, to) - gatheredAt(course, from);

const NARROWINGS = 100;
/** Near enough, hours. */
const CLOSE = 1e-6;

/** The hour at which a piece poured at `from` has gathered `age`; undefined where that is not reached by `until`. */
export function hourOfAge(course: AgeCourse, from: number, age: number, until: number): number | undefined {
  const { readings, ages } = course;
  if (readings.length === 0 || ageBetween(course, from, until) < age) return undefined;
  const goal = gatheredAt(course, from) + age;
  const next = firstPlace(ages.length, (i) => defined(ages[i]) >= goal);
  const start = Math.max(from, readings[next - 1]?.hour ?? from);
  const end = Math.min(until, readings[next]?.hour ?? until);
  return within(course, Math.min(start, end), end, goal);
}

/**
 * Narrows a stretch down to the hour at which `goal` is gathered: by the straight line between its ends, which is nearly what it is,
 * and by halves in turn, since a straight line alone stands still where it has hardly begun to gather.
 */
function within(course: AgeCourse, start: number, end: number, goal: number): number {
  let [low, high] = [start, end];
  let [atLow, atHigh] = [gatheredAt(course, low), gatheredAt(course, high)];
  for (let i = 0; i < NARROWINGS && high - low > CLOSE; i++) {
    if (atHigh <= atLow) return low;
    const share = i % 2 ? 1 / 2 : (goal - atLow) / (atHigh - atLow);
    const hour = low + (high - low) * share;
    const at = gatheredAt(course, hour);
    if (Math.abs(at - goal) < CLOSE) return hour;
    if (at < goal) [low, atLow] = [hour, at];
    else [high, atHigh] = [hour, at];
  }
  return high;
}

/** Equivalent age at 20 °C, hours, `hours` after hour 0 of the readings. */
export function equivalentAge(
  readings: readonly TemperatureReading[],
  hours: number,
  binderClass: BinderClass,
): number {
  return ageBetween(ageCourse(readings, binderClass), 0, hours);
}

/** Nurse–Saul maturity, °C·h: Σ (T − T₀)·Δt with T₀ = −10 °C, or 0 °C in the stricter school. */
export function nurseSaul(readings: readonly TemperatureReading[], hours: number, datum = DATUM): number {
  return ageBetween(
    courseOf(readings, (temperature) => temperature - datum, datum),
    0,
    hours,
  );
}

/**
 * Hours after the pour at which the equivalent age reaches each of `ages` (hours);
 * undefined for those not reached within `horizon` hours.
 */
export function hoursToReach(
  readings: readonly TemperatureReading[],
  ages: readonly number[],
  binderClass: BinderClass,
  horizon = 24 * 60,
): (number | undefined)[] {
  const course = ageCourse(readings, binderClass);
  return ages.map((age) => hourOfAge(course, 0, age, horizon));
}

/** Equivalent age at 20 °C, hours, at each of `hours` after the pour. */
export function agesAt(
  readings: readonly TemperatureReading[],
  hours: readonly number[],
  binderClass: BinderClass,
): number[] {
  const course = ageCourse(readings, binderClass);
  return hours.map((hour) => ageBetween(course, 0, hour));
}
