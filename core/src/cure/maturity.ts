import { requireNumber } from '../units/index.js';
import type { SettingClass } from './strength-share.js';

/** Apparent activation energy over the gas constant, K. */
export const activation: Record<SettingClass, number> = {
  portland: 5000,
  patch: 5000,
  lime: 5000,
  'fast-setting': 4200,
  underlayment: 4200,
  gypsum: 3500,
};

const KELVIN = 273.15;
const REFERENCE = 293.15;

/** A temperature at a time: hours since the pour, °C. */
export interface TemperatureReading {
  readonly hour: number;
  readonly temperature: number;
}

/** How fast a binder reacts at a temperature against 20 °C (Arrhenius, ASTM C1074). `q` in K. */
export function rate(temperature: number, q: number): number {
  requireNumber('temperature', temperature, 'The temperature', { min: -40, max: 90, unit: '°C' });
  return Math.exp(-q * (1 / (temperature + KELVIN) - 1 / REFERENCE));
}

/** Below this temperature reaction is taken to stand still, °C: the Nurse–Saul datum. */
export const DATUM = -10;

function temperatureAt(readings: readonly TemperatureReading[], hour: number): number {
  let next = 0;
  let end = readings.length;
  while (next < end) {
    const middle = (next + end) >> 1;
    if (readings[middle]!.hour < hour) next = middle + 1;
    else end = middle;
  }
  if (next === 0) return readings[0]?.temperature ?? NaN;
  if (next === readings.length) return readings[readings.length - 1]!.temperature;
  const a = readings[next - 1]!;
  const b = readings[next]!;
  return a.temperature + ((b.temperature - a.temperature) * (hour - a.hour)) / (b.hour - a.hour);
}

/** Width of a step of the sums, hours. Weather changes slower than this. */
const STEP = 0.25;

function accumulate(
  readings: readonly TemperatureReading[],
  from: number,
  to: number,
  speed: (t: number) => number,
): number {
  if (readings.length === 0 || to <= from) return 0;
  const steps = Math.ceil((to - from) / STEP);
  const width = (to - from) / steps;
  let total = 0;
  for (let i = 0; i < steps; i++) {
    const t = temperatureAt(readings, from + (i + 0.5) * width);
    if (t > DATUM) total += speed(t) * width;
  }
  return total;
}

/**
 * Equivalent age at 20 °C, hours, `hours` after the pour: Σ exp(−Q·(1/T − 1/293.15))·Δt (ASTM C1074).
 * Temperature runs straight between readings and holds beyond them; below −10 °C nothing accrues.
 */
export function equivalentAge(readings: readonly TemperatureReading[], hours: number, setting: SettingClass): number {
  return accumulate(readings, 0, hours, (t) => rate(t, activation[setting]));
}

/** Nurse–Saul maturity, °C·h: Σ (T − T₀)·Δt with T₀ = −10 °C. */
export function nurseSaul(readings: readonly TemperatureReading[], hours: number): number {
  return accumulate(readings, 0, hours, (t) => t - DATUM);
}

/**
 * Hours after the pour at which the equivalent age reaches each of `ages` (hours, rising);
 * undefined for those not reached within `horizon` hours.
 */
export function hoursToReach(
  readings: readonly TemperatureReading[],
  ages: readonly number[],
  setting: SettingClass,
  horizon = 24 * 60,
): (number | undefined)[] {
  const reached: (number | undefined)[] = [];
  let age = 0;
  for (let hour = 0; hour < horizon && reached.length < ages.length; hour += STEP) {
    const t = temperatureAt(readings, hour + STEP / 2);
    const speed = t > DATUM ? rate(t, activation[setting]) : 0;
    while (reached.length < ages.length && age + speed * STEP >= ages[reached.length]!) {
      reached.push(speed > 0 ? hour + Math.max(0, ages[reached.length]! - age) / speed : hour);
    }
    age += speed * STEP;
  }
  return ages.map((_, i) => reached[i]);
}

/** Equivalent age at 20 °C, hours, at each of `hours` after the pour, rising: `equivalentAge` in one walk. */
export function agesAt(
  readings: readonly TemperatureReading[],
  hours: readonly number[],
  setting: SettingClass,
): number[] {
  let age = 0;
  return hours.map((to, i) => {
    age += accumulate(readings, hours[i - 1] ?? 0, to, (t) => rate(t, activation[setting]));
    return age;
  });
}
