import { tzOffset } from '@date-fns/tz';
import { defined } from '../../foundation/math/index.js';
import { DAY, HOUR, MINUTE } from '../../foundation/units/index.js';
import type { AtHand } from './chain.js';

/** A stretch of a day, local hours from midnight: 19 to 21.5 is from 19:00 to 21:30. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** What of a day is otherwise than its weekday: null where there is none. */
interface DayException {
  readonly attended?: Stretch | null;
  readonly session?: Stretch | null;
}

/** The week of one person. Lists of seven begin with Monday; null where there is none on that day. */
export interface CasterWeek {
  /** When somebody is at hand, to demould or to wet. */
  readonly attended: readonly (Stretch | null)[];
  /** When a session may be held. */
  readonly sessions: readonly (Stretch | null)[];
  /** By local date, YYYY-MM-DD. */
  readonly exceptions: Readonly<Record<string, DayException>>;
}

/** An evening, or any other stretch, in which a session may be held. */
export interface SessionSlot {
  /** When it begins, ms. */
  readonly at: number;
  readonly minutes: number;
  /** Pairs of hands; one where left out. */
  readonly people?: number;
}

/** So many days on, somebody is at hand or never. */
const MOST_DAYS = 400;

/** The local day at a time: its midnight as if it were UTC, ms. */
const localDay = (at: number, zone: string): number =>
  Math.floor((at + tzOffset(zone, new Date(at)) * MINUTE) / DAY) * DAY;

/** A local hour of a local day as a time, ms. Where clocks are put forward over it, the hour that follows. */
function timeOf(day: number, hour: number, zone: string): number {
  const local = day + hour * HOUR;
  const about = local - tzOffset(zone, new Date(local)) * MINUTE;
  return local - tzOffset(zone, new Date(about)) * MINUTE;
}

/** Monday is 0. 1 January 1970 was a Thursday. */
const weekdayOf = (day: number): number => (((day / DAY + 3) % 7) + 7) % 7;

/** What a local day has of one kind: its own where it is an exception, else its weekday's. */
function stretchOf(week: CasterWeek, kind: 'attended' | 'session', day: number): Stretch | undefined {
  const exception = week.exceptions[new Date(day).toISOString().slice(0, 10)]?.[kind];
  const usual = (kind === 'attended' ? week.attended : week.sessions)[weekdayOf(day)];
  return (exception === undefined ? usual : exception) ?? undefined;
}

/** The first moment at or after a time at which somebody is at hand, ms; undefined where nobody is for 400 days. `zone`: IANA name. */
export function firstAttended(at: number, weeks: readonly CasterWeek[], zone: string): number | undefined {
  const first = localDay(at, zone);
  for (let day = first; day < first + MOST_DAYS * DAY; day += DAY) {
    const moments = weeks.flatMap((week) => {
      const stretch = stretchOf(week, 'attended', day);
      return stretch && at <= timeOf(day, stretch.to, zone) ? [Math.max(at, timeOf(day, stretch.from, zone))] : [];
    });
    if (moments.length > 0) return Math.min(...moments);
  }
  return undefined;
}

/**
 * The first moment at or after a time at which somebody is at hand, for times between two, ms; undefined beyond them. The same as
 * `firstAttended`, for whoever asks it often. `zone`: IANA name.
 */
export function atHandBetween(weeks: readonly CasterWeek[], from: number, to: number, zone: string): AtHand {
  const spans: { from: number; to: number }[] = [];
  for (let day = localDay(from, zone) - DAY; day <= localDay(to, zone) + DAY; day += DAY)
    for (const week of weeks) {
      const stretch = stretchOf(week, 'attended', day);
      if (stretch) spans.push({ from: timeOf(day, stretch.from, zone), to: timeOf(day, stretch.to, zone) });
    }
  spans.sort((a, b) => a.from - b.from);
  // The latest end of all that begins before: several people overlap.
  const ends = spans.map(({ to: end }) => end);
  for (let i = 1; i < ends.length; i++) ends[i] = Math.max(defined(ends[i]), defined(ends[i - 1]));
  return (at) => {
    let [low, high] = [0, spans.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (defined(ends[middle]) < at) low = middle + 1;
      else high = middle;
    }
    const span = spans[low];
    return span && Math.max(at, span.from);
  };
}

interface OwnStretch {
  readonly from: number;
  readonly to: number;
}

/** Stretches of several people as sessions: those that overlap are one, with as many hands as work in it together on average. */
function together(stretches: readonly OwnStretch[]): SessionSlot[] {
  const found: { from: number; to: number; worked: number }[] = [];
  for (const { from, to } of [...stretches].sort((a, b) => a.from - b.from)) {
    const last = found[found.length - 1];
    if (last && from < last.to) {
      last.to = Math.max(last.to, to);
      last.worked += to - from;
    } else found.push({ from, to, worked: to - from });
  }
  return found.map(({ from, to, worked }) => {
    const people = Math.max(1, Math.floor(worked / (to - from)));
    return { at: from, minutes: (to - from) / MINUTE, ...(people > 1 && { people }) };
  });
}

/** Every session that may be held from one time to another (ms), in their order; at most 400 days on. */
export function slotsOf(weeks: readonly CasterWeek[], from: number, to: number, zone: string): SessionSlot[] {
  const first = localDay(from, zone);
  const slots: SessionSlot[] = [];
  for (let day = first; day < first + MOST_DAYS * DAY && day <= localDay(to, zone); day += DAY) {
    const stretches = weeks.flatMap((week) => {
      const stretch = stretchOf(week, 'session', day);
      const own = stretch && { from: timeOf(day, stretch.from, zone), to: timeOf(day, stretch.to, zone) };
      return own && own.to > own.from ? [own] : [];
    });
    slots.push(...together(stretches).filter(({ at }) => at >= from && at <= to));
  }
  return slots;
}

/**
 * From which of the slots on a mould that is poured in each of them can be poured again: once it is demoulded, so many hours
 * after the session began and when somebody is at hand, and its release agent is dry. The number of slots where it is none.
 */
export function freeAgain(
  slots: readonly SessionSlot[],
  { demould, release }: { /** h */ readonly demould: number; /** min */ readonly release: number },
  weeks: readonly CasterWeek[],
  zone: string,
): number[] {
  return slots.map(({ at }) => {
    const out = firstAttended(at + demould * HOUR, weeks, zone);
    const free = out === undefined ? Infinity : out + release * MINUTE;
    const next = slots.findIndex((slot) => slot.at >= free);
    return next < 0 ? slots.length : next;
  });
}
