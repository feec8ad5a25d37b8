import { tzOffset } from '@date-fns/tz';
import { DAY, HOUR, MINUTE } from '../../foundation/units/index.js';

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

/** A caster's week. Lists of seven begin with Monday; null where there is none on that day. */
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
export function firstAttended(at: number, week: CasterWeek, zone: string): number | undefined {
  const first = localDay(at, zone);
  for (let day = first; day < first + MOST_DAYS * DAY; day += DAY) {
    const stretch = stretchOf(week, 'attended', day);
    if (stretch && at <= timeOf(day, stretch.to, zone)) return Math.max(at, timeOf(day, stretch.from, zone));
  }
  return undefined;
}

/** Every session that may be held from one time to another (ms), in their order; at most 400 days on. */
export function slotsOf(week: CasterWeek, from: number, to: number, zone: string): SessionSlot[] {
  const first = localDay(from, zone);
  const slots: SessionSlot[] = [];
  for (let day = first; day < first + MOST_DAYS * DAY; day += DAY) {
    const stretch = stretchOf(week, 'session', day);
    if (!stretch) continue;
    const [at, end] = [timeOf(day, stretch.from, zone), timeOf(day, stretch.to, zone)];
    if (at > to) break;
    if (at >= from && end > at) slots.push({ at, minutes: (end - at) / MINUTE });
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
  week: CasterWeek,
  zone: string,
): number[] {
  return slots.map(({ at }) => {
    const out = firstAttended(at + demould * HOUR, week, zone);
    const free = out === undefined ? Infinity : out + release * MINUTE;
    const next = slots.findIndex((slot) => slot.at >= free);
    return next < 0 ? slots.length : next;
  });
}
