import { tzOffset } from '@date-fns/tz';
import { defined, mean } from '../../foundation/math/index.js';
import { DAY, HOUR, MINUTE } from '../../foundation/units/index.js';
import type { WholeAmbientReading } from './readings.js';

const HOURS = 24;
/** A month that was read on fewer days tells nothing of how it usually is. */
const LEAST_DAYS = 25;
/** Standard deviation of a month's daily means where it is not known, °C. */
const USUAL_SPREAD = 3;
/** Days from one to the next of which the likeness is counted. */
const LAG = 1;

/** The air of one hour of a mean day: °C, share, km/h. */
type HourOfDay = Omit<WholeAmbientReading, 'at'>;

/** How a calendar month usually is in a place. */
export interface MonthNormal {
  /** Its mean day: 24 hours from local midnight on. */
  readonly hours: readonly HourOfDay[];
  /** Standard deviation of its daily mean temperatures, °C. */
  readonly spread: number;
  /** How alike a day is to the one before: autocorrelation of its daily mean temperatures, 0 to 1. */
  readonly alike: number;
  /** Days that it was read on, of any year. */
  readonly days: number;
}

interface Day {
  /** Local midnight as if it were UTC, ms. */
  readonly at: number;
  readonly readings: readonly WholeAmbientReading[];
}

/** Readings by the local day that they were taken on. */
function daysOf(readings: readonly WholeAmbientReading[], zone: string): Day[] {
  const days = new Map<number, WholeAmbientReading[]>();
  for (const reading of readings) {
    const local = reading.at + tzOffset(zone, new Date(reading.at)) * MINUTE;
    const midnight = Math.floor(local / DAY) * DAY;
    const there = days.get(midnight);
    const shifted = { ...reading, at: local };
    if (there) there.push(shifted);
    else days.set(midnight, [shifted]);
  }
  return [...days].map(([at, own]) => ({ at, readings: own })).sort((a, b) => a.at - b.at);
}

const meanOf = (readings: readonly WholeAmbientReading[]): HourOfDay => ({
  temperature: mean(readings.map(({ temperature }) => temperature)),
  humidity: mean(readings.map(({ humidity }) => humidity)),
  wind: mean(readings.map(({ wind }) => wind)),
});

/** The 24 hours of a month's mean day; an hour that was never read is as the hours beside it. */
function meanDay(days: readonly Day[]): HourOfDay[] {
  const byHour = Array.from({ length: HOURS }, (): WholeAmbientReading[] => []);
  for (const { at, readings } of days)
    for (const reading of readings) defined(byHour[Math.floor((reading.at - at) / HOUR)]).push(reading);
  const known = byHour.flatMap((own, hour) => (own.length > 0 ? [{ hour, ...meanOf(own) }] : []));
  const away = (a: number, b: number) => Math.min(Math.abs(a - b), HOURS - Math.abs(a - b));
  return byHour.map((_, hour) => {
    const { hour: __, ...nearest } = known.reduce((best, one) =>
      away(one.hour, hour) < away(best.hour, hour) ? one : best,
    );
    return nearest;
  });
}

/** How far the daily means of a month lie apart, and how alike neighbouring days are. */
function variation(days: readonly Day[]): { spread: number; alike: number } {
  const means = days.map(({ at, readings }) => ({ at, off: meanOf(readings).temperature }));
  const middle = mean(means.map(({ off }) => off));
  const offs = new Map(means.map(({ at, off }) => [at, off - middle]));
  const variance = mean([...offs.values()].map((off) => off * off));
  if (variance === 0) return { spread: 0, alike: 0 };
  const pairs = [...offs].flatMap(([at, off]) => {
    const next = offs.get(at + LAG * DAY);
    return next === undefined ? [] : [off * next];
  });
  const alike = pairs.length === 0 ? 0 : Math.min(1, Math.max(0, mean(pairs) / variance));
  return { spread: Math.sqrt(variance), alike };
}

/**
 * How each calendar month usually is in a place, January first, out of its own readings of any year; undefined for one that was read on fewer
 * than 25 days. `zone`: IANA name. Handbook 18, "Air beyond the forecast".
 */
export function monthNormals(readings: readonly WholeAmbientReading[], zone: string): (MonthNormal | undefined)[] {
  const days = daysOf(readings, zone);
  return Array.from({ length: 12 }, (_, month) => {
    const own = days.filter(({ at }) => new Date(at).getUTCMonth() === month);
    if (own.length < LEAST_DAYS) return undefined;
    return { hours: meanDay(own), ...variation(own), days: own.length };
  });
}

/** How much warmer or colder, and how much damper, a stretch of usual air is taken than its month's mean. */
export interface Lean {
  /** In standard deviations of the month's daily means. */
  readonly deviations: number;
  /** Share that is added to the humidity. */
  readonly humidity: number;
}
/** For the shortest and for the longest that a step usually takes. */
export const leans = {
  low: { deviations: 1, humidity: -0.08 },
  middle: { deviations: 0, humidity: 0 },
  high: { deviations: -1, humidity: 0.08 },
} as const satisfies Record<string, Lean>;

/**
 * The air of a place at times ahead (ms) as its months usually are; undefined where one of their months is not known. `spread` of a
 * month that gives none is 3 °C.
 */
export function usualAmbient(
  normals: readonly ((Pick<MonthNormal, 'hours'> & Partial<Pick<MonthNormal, 'spread'>>) | undefined)[],
  times: readonly number[],
  zone: string,
  { deviations, humidity }: Lean = leans.middle,
): WholeAmbientReading[] | undefined {
  const readings: WholeAmbientReading[] = [];
  for (const at of times) {
    const local = new Date(at + tzOffset(zone, new Date(at)) * MINUTE);
    const normal = normals[local.getUTCMonth()];
    if (!normal) return undefined;
    const hour = defined(normal.hours[local.getUTCHours()]);
    readings.push({
      at,
      temperature: hour.temperature + deviations * (normal.spread ?? USUAL_SPREAD),
      humidity: Math.min(1, Math.max(0, hour.humidity + humidity)),
      wind: hour.wind,
    });
  }
  return readings;
}
