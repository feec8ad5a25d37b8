import {
  ageCourse,
  follow,
  followed,
  handbookFollowing,
  mend,
  type AgeCourse,
  type AirReading,
  type Bridge,
  type Following,
  type SettingClass,
} from '@dewpot/core';
import type { PlaceInput, WholeAirReading } from '@dewpot/contract';
import { forecast, weatherAt, weatherBetween } from '../devices/index.js';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** How a place follows the weather is learned from so much of its past, ms. */
const LEARNS_FROM = 7 * DAY;
/** Past weather of a place that goes by the forecast alone, in steps of so much, ms. */
const STEP = HOUR;

/** The air of a place as its cures are reckoned from it: recorded up to now, forecast from there on. */
export interface PlaceSeries {
  readonly recorded: readonly WholeAirReading[];
  readonly bridges: readonly Bridge[];
  readonly ahead: readonly WholeAirReading[];
  readonly following: Following;
  /** The equivalent age that a binder gathers in it; hours since 1970. */
  readonly course: (setting: SettingClass) => AgeCourse;
}

type PlaceBody = Omit<PlaceInput, 'name' | 'version'>;

/** Readings with the humidity and wind that they do not tell, as the place follows the weather. */
function whole(readings: readonly AirReading[], following: Following): WholeAirReading[] {
  return readings.map((reading) => {
    if (reading.humidity !== undefined && reading.wind !== undefined) return reading as WholeAirReading;
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
  const courses = new Map<SettingClass, AgeCourse>();
  const last = series.recorded[series.recorded.length - 1]?.at ?? -Infinity;
  const temperatures = [...series.recorded, ...series.ahead.filter(({ at }) => at > last)].map(
    ({ at, temperature }) => ({ hour: at / HOUR, temperature }),
  );
  return {
    ...series,
    course: (setting) => {
      const known = courses.get(setting) ?? ageCourse(temperatures, setting);
      courses.set(setting, known);
      return known;
    },
  };
}

const typedSeries = (typed: Omit<WholeAirReading, 'at'>, from: number, now: number): PlaceSeries => ({
  ...withCourses({
    recorded: [
      { at: from, ...typed },
      { at: now, ...typed },
    ],
    bridges: [],
    ahead: forecast(now).map(({ at }) => ({ at, ...typed })),
    following: handbookFollowing.shed,
  }),
});

/** The air of a place from its readings since `from`, ms, and the forecast from `now` on. */
export function placeSeries(
  { kind, source, typed }: PlaceBody,
  readings: readonly AirReading[],
  from: number,
  now: number,
): PlaceSeries {
  if (source === 'typed' && typed) return typedSeries(typed, from, now);
  const usual = handbookFollowing[kind];
  if (source === 'forecast') {
    const recorded = weatherBetween(from, now, STEP).map((one) => followed(one, usual));
    return withCourses({
      recorded: [...recorded, { ...followed(weatherAt(now), usual), at: now }],
      bridges: [],
      ahead: forecast(now).map((one) => followed(one, usual)),
      following: usual,
    });
  }
  const mended = mend(readings);
  const recent = mended.readings.filter(({ at }) => at > now - LEARNS_FROM);
  const following = follow(hourly(recent), weatherBetween(now - LEARNS_FROM, now), kind);
  return withCourses({
    recorded: whole(mended.readings, following),
    bridges: mended.bridges,
    ahead: forecast(now).map((one) => followed(one, following)),
    following,
  });
}

/** One reading an hour, at most. */
const hourly = (readings: readonly AirReading[]) =>
  readings.filter(({ at }, i) => i === 0 || Math.round(at / HOUR) !== Math.round(readings[i - 1]!.at / HOUR));
