import { defined, firstPlace, mean } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import { usualAmbient, type MonthNormal, type WholeAmbientReading } from '../ambient/index.js';
import { ageCourse, type AgeCourse } from '../curing/index.js';
import { dryingCourse, dryingPaces, type DryingCourse } from '../sealing/index.js';

/** The air of a place: what was read and what is forecast, hour by hour, and how its months usually are, January first. */
export interface PlaceAir {
  readonly known: readonly WholeAmbientReading[];
  readonly months: readonly (MonthNormal | undefined)[];
}

/** A way in which the air may come otherwise than is expected. */
export interface AirShift {
  /** Warmer by so many standard deviations of the month's daily means. */
  readonly deviations: number;
  /** Share that is added to the humidity. */
  readonly humidity?: number;
  /** Warmer by so many °C, as by heating. */
  readonly warmer?: number;
}

/** Where the readings of a place do not tell how alike its days are. */
const USUAL_SHARE = 0.5;
const USUAL_SPREAD = 3;
/** Days over which the offset of a chain is taken. */
const CHAIN_DAYS = 14;

/** Readings, one an hour from the first on: an hour without one is as the last before it. */
function hourly(known: readonly WholeAmbientReading[]): WholeAmbientReading[] {
  const [first] = known;
  const last = known[known.length - 1];
  if (!first || !last) return [];
  const from = Math.ceil(first.at / HOUR) * HOUR;
  const readings: WholeAmbientReading[] = [];
  let i = 0;
  for (let at = from; at <= last.at; at += HOUR) {
    while ((known[i + 1]?.at ?? Infinity) <= at) i += 1;
    const { temperature, humidity, wind } = known[i] ?? last;
    readings.push({ at, temperature, humidity, wind });
  }
  return readings;
}

/** Air hour by hour, with what it does to pieces from any hour on. Hours since 1970. */
export interface AirCourse {
  readonly readings: readonly WholeAmbientReading[];
  /** The last moment of which anything is known, ms. */
  readonly end: number;
  /** The equivalent age that a binder gathers in it. */
  readonly ageing: (binderClass: BinderClass) => AgeCourse;
  /** How fast pieces dry in it. */
  readonly drying: () => DryingCourse;
}

/** What readings do to pieces; each is worked out when it is first asked. */
export function airCourse(readings: readonly WholeAmbientReading[]): AirCourse {
  const hourly = readings.map(({ at, ...reading }) => ({ ...reading, hour: at / HOUR }));
  const ages = new Map<BinderClass, AgeCourse>();
  let drying: DryingCourse | undefined;
  return {
    readings,
    end: readings[readings.length - 1]?.at ?? -Infinity,
    ageing: (binderClass) => {
      const course = ages.get(binderClass) ?? ageCourse(hourly, binderClass);
      ages.set(binderClass, course);
      return course;
    },
    drying: () => (drying ??= dryingCourse(dryingPaces(hourly))),
  };
}

/** The air of a place, as it may come. */
export type AirOf = (shift?: AirShift) => AirCourse;

/**
 * The air of a place up to a time, ms: as it is known, then as its months usually are. What is shifted is the air from `now` on. A month that
 * is not known ends it. Handbook 18, "Air beyond the forecast". `zone`: IANA name.
 */
export function airOf({ known, months }: PlaceAir, now: number, to: number, zone: string): AirOf {
  let all: readonly WholeAmbientReading[] | undefined;
  const spreadAt = (at: number) => months[new Date(at).getUTCMonth()]?.spread ?? USUAL_SPREAD;
  const made = new Map<string, AirCourse>();
  return ({ deviations, humidity = 0, warmer = 0 } = { deviations: 0 }) => {
    const key = `${deviations} ${humidity} ${warmer}`;
    const there = made.get(key);
    if (there) return there;
    all ??= wholeAir(known, months, now, to, zone);
    const moved = (reading: WholeAmbientReading): WholeAmbientReading =>
      reading.at <= now
        ? reading
        : {
            ...reading,
            temperature: reading.temperature + deviations * spreadAt(reading.at) + warmer,
            humidity: Math.min(1, Math.max(0, reading.humidity + humidity)),
          };
    const course = airCourse(all.map(moved));
    made.set(key, course);
    return course;
  };
}

/** What is known of a place's air, and from there on its usual months, hour by hour. */
function wholeAir(known: PlaceAir['known'], months: PlaceAir['months'], now: number, to: number, zone: string) {
  const read = hourly(known);
  const begin = (read[read.length - 1]?.at ?? Math.floor(now / HOUR) * HOUR - HOUR) + HOUR;
  const times = Array.from({ length: Math.max(0, Math.floor((to - begin) / HOUR)) }, (_, i) => begin + i * HOUR);
  return [...read, ...(usualAmbient(months, times, zone) ?? [])];
}

/** The reading that holds at a time, ms; undefined before the first. */
export const readingAt = ({ readings }: AirCourse, at: number): WholeAmbientReading | undefined =>
  readings[firstPlace(readings.length, (i) => defined(readings[i]).at > at) - 1] ?? readings[0];

/**
 * How far a whole chain lies warmer or colder than usual, in standard deviations of the month's daily means: √ of how alike its days are to one
 * another on average, where the place tells that, else one half. Handbook 18.
 */
export function seasonShare(months: readonly (MonthNormal | undefined)[]): number {
  const alike = months.flatMap((month) => (month && month.days > 0 ? [month.alike] : []));
  if (alike.length === 0) return USUAL_SHARE;
  const likeness = mean(alike);
  const days = Array.from({ length: CHAIN_DAYS }, (_, i) => i);
  return Math.sqrt(mean(days.flatMap((a) => days.map((b) => likeness ** Math.abs(a - b)))));
}
