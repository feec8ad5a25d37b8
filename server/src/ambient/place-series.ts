import { defined } from '@dewpot/core/math';
import { DAY, HOUR } from '@dewpot/core/units';
import type { BinderClass } from '@dewpot/core/binders';
import {
  cleanSeries,
  follow,
  followed,
  handbookFollowing,
  repeatDays,
  seasonAt,
  type AmbientReading,
  type Bridge,
  type Following,
  type MonthAmbient,
  type PlaceKind,
  type WholeAmbientReading,
} from '@dewpot/core/ambient';
import { ageCourse, type AgeCourse } from '@dewpot/core/curing';
import { GUESSED_AIR, type AmbientBasis, type PlaceInput } from '@dewpot/contract';
import { forecast, timesAhead, weatherAt, weatherBetween } from '../devices/index.js';

/** How a place follows the weather is learned from so much of its past, ms. */
const LEARNS_FROM = 7 * DAY;
/** Past weather of a place that goes by the forecast alone, in steps of so much, ms. */
const STEP = HOUR;

/** The air of a place as its cures are calculated from it: recorded up to now, forecast from there on. */
export interface PlaceSeries {
  readonly recorded: readonly WholeAmbientReading[];
  readonly bridges: readonly Bridge[];
  readonly ahead: readonly WholeAmbientReading[];
  readonly following: Following;
  /** What it rests on. */
  readonly basis: AmbientBasis;
  /** The equivalent age that a binder gathers in it; hours since 1970. */
  readonly course: (binderClass: BinderClass) => AgeCourse;
}

type PlaceBody = Omit<PlaceInput, 'name' | 'version'>;

/** Readings with the humidity and wind that they do not tell, as the place follows the weather. */
function whole(readings: readonly AmbientReading[], following: Following): WholeAmbientReading[] {
  return readings.map((reading) => {
    if (reading.humidity !== undefined && reading.wind !== undefined) return reading as WholeAmbientReading;
    const { humidity, wind } = followed(weatherAt(reading.at), following);
    return {
      at: reading.at,
      temperature: reading.temperature,
      humidity: reading.humidity ?? humidity,
      wind: reading.wind ?? wind,
    };
  });
}

function withCourses(series: Omit<PlaceSeries, 'course'>): PlaceSeries {
  const courses = new Map<BinderClass, AgeCourse>();
  const last = series.recorded[series.recorded.length - 1]?.at ?? -Infinity;
  const temperatures = [...series.recorded, ...series.ahead.filter(({ at }) => at > last)].map(
    ({ at, temperature }) => ({ hour: at / HOUR, temperature }),
  );
  return {
    ...series,
    course: (binderClass) => {
      const known = courses.get(binderClass) ?? ageCourse(temperatures, binderClass);
      courses.set(binderClass, known);
      return known;
    },
  };
}

const steadySeries = (
  basis: AmbientBasis,
  ambient: Omit<WholeAmbientReading, 'at'>,
  from: number,
  now: number,
): PlaceSeries =>
  withCourses({
    basis,
    recorded: [
      { at: from, ...ambient },
      { at: now, ...ambient },
    ],
    bridges: [],
    ahead: timesAhead(now).map((at) => ({ at, ...ambient })),
    following: handbookFollowing.shed,
  });

function seasonSeries(table: readonly MonthAmbient[], from: number, now: number): PlaceSeries {
  const told = (at: number) => ({ at, wind: 0, ...seasonAt(table, at) });
  const days = Array.from({ length: Math.max(0, Math.floor((now - from) / DAY)) + 1 }, (_, i) => told(from + i * DAY));
  return withCourses({
    basis: 'season',
    recorded: [...days, told(now)],
    bridges: [],
    ahead: timesAhead(now).map(told),
    following: handbookFollowing.shed,
  });
}

function forecastSeries(kind: PlaceKind, from: number, now: number): PlaceSeries {
  const usual = handbookFollowing[kind];
  const recorded = weatherBetween(from, now, STEP).map((one) => followed(one, usual));
  return withCourses({
    basis: 'simulated',
    recorded: [...recorded, { ...followed(weatherAt(now), usual), at: now }],
    bridges: [],
    ahead: forecast(now).map((one) => followed(one, usual)),
    following: usual,
  });
}

/** A place with readings of its own, in a workshop of which nobody knows the weather: its last days go on. */
function ownSeries(kind: PlaceKind, readings: readonly AmbientReading[], now: number): PlaceSeries {
  const mended = cleanSeries(readings);
  const recorded = mended.readings.map(({ at, temperature, humidity = GUESSED_AIR.humidity, wind = GUESSED_AIR.wind }) => ({ at, temperature, humidity, wind })); // prettier-ignore
  return withCourses({
    basis: 'measured',
    recorded,
    bridges: mended.bridges,
    ahead: repeatDays(recorded, timesAhead(now)),
    following: handbookFollowing[kind],
  });
}

/** A place whose readings are the simulated logger’s: it follows the simulated weather, and its forecast is that. */
function simulatedSeries(kind: PlaceKind, readings: readonly AmbientReading[], now: number): PlaceSeries {
  const mended = cleanSeries(readings);
  const recent = mended.readings.filter(({ at }) => at > now - LEARNS_FROM);
  const following = follow(hourly(recent), weatherBetween(now - LEARNS_FROM, now), kind);
  return withCourses({
    basis: 'simulated',
    recorded: whole(mended.readings, following),
    bridges: mended.bridges,
    ahead: forecast(now).map((one) => followed(one, following)),
    following,
  });
}

/** The air of a place from its readings since `from`, ms, and what is to be expected from `now` on. */
export function placeSeries(
  { kind, source, typed, season, simulated }: PlaceBody,
  readings: readonly AmbientReading[],
  from: number,
  now: number,
): PlaceSeries {
  if (source === 'typed' && typed) return steadySeries('typed', typed, from, now);
  if (source === 'season' && season) return seasonSeries(season, from, now);
  if (source === 'forecast') return forecastSeries(kind, from, now);
  if (source === 'unknown' || readings.length === 0) return steadySeries('guess', GUESSED_AIR, from, now);
  return simulated ? simulatedSeries(kind, readings, now) : ownSeries(kind, readings, now);
}

/** One reading an hour, at most. */
const hourly = (readings: readonly AmbientReading[]) =>
  readings.filter(({ at }, i) => i === 0 || Math.round(at / HOUR) !== Math.round(defined(readings[i - 1]).at / HOUR));
