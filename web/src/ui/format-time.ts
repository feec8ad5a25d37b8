import { msg, quantity, type Message, type MessageValue, type Moment } from '@dewpot/core/units';
import { differenceInCalendarDays } from 'date-fns';

const plain = (value: MessageValue) => msg('units.plain', { value });
const moment = (at: number, as: Moment['as']) => plain({ at, as });

/** The clock alone: "16:00". */
export const clockOf = (at: number): Message => moment(at, 'clock');
/** The day of the week alone: "Thu". */
export const weekdayOf = (at: number): Message => moment(at, 'weekday');
/** The day of the week with the clock: "Thu 16:00". */
export const weekdayClock = (at: number): Message =>
  msg('today.weekdayAt', { weekday: weekdayOf(at), clock: clockOf(at) });
/** Exact, for a hover. */
export const exactTime = (at: number): Message => moment(at, 'exact');

/** Days from which on a date tells its year. */
const FAR = 300;

const dateOf = (at: number, days: number) => moment(at, Math.abs(days) > FAR ? 'day' : 'date');

/** A time as people say it: "today 16:00", "tomorrow 09:00", "Thu 16:00", "3 Dec". */
export function whenOf(at: number, now: number): Message {
  const days = differenceInCalendarDays(at, now);
  const clock = clockOf(at);
  if (days === 0) return msg('today.todayAt', { clock });
  if (days === 1) return msg('today.tomorrowAt', { clock });
  if (days === -1) return msg('today.yesterdayAt', { clock });
  if (days > 1 && days < 7) return weekdayClock(at);
  return dateOf(at, days);
}

/** The day alone: "today", "tomorrow", "Thursday", "3 Dec". */
export function dayOf(at: number, now: number): Message {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return msg('today.today');
  if (days === 1) return msg('today.tomorrow');
  if (days === -1) return msg('today.yesterday');
  return days > 1 && days < 7 ? moment(at, 'longWeekday') : dateOf(at, days);
}

/** A span, ms, as people say it: "3 h", "2 days". */
export function spanOf(ms: number): Message {
  const hours = ms / 3_600_000;
  if (hours < 1) return plain(quantity(Math.max(1, hours * 60), 'min', 0));
  if (hours < 36) return plain(quantity(hours, 'h', 0));
  return plain(quantity(hours / 24, 'days', 0));
}
