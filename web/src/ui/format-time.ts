import { differenceInCalendarDays } from 'date-fns';

/** Writes a time, ms, with these parts of it. */
const writer = (parts: Intl.DateTimeFormatOptions) => {
  const { format } = new Intl.DateTimeFormat('en-GB', parts);
  return (at: number) => format(at);
};

/** The clock alone: "16:00". */
export const sayClock = writer({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
/** The day of the week alone: "Thu". */
export const sayWeekday = writer({ weekday: 'short' });
const longWeekday = writer({ weekday: 'long' });
const date = writer({ day: 'numeric', month: 'short' });
const dateOfYear = writer({ day: 'numeric', month: 'short', year: 'numeric' });
const longDate = writer({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });

/** Days from which on a date tells its year. */
const FAR = 300;

const farOrNear = (at: number, days: number) => (Math.abs(days) > FAR ? dateOfYear(at) : date(at));

/** A time as people say it: "today 16:00", "tomorrow 09:00", "Thu 16:00", "3 Dec". */
export function sayWhen(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const clock = sayClock(at);
  if (days === 0) return `today ${clock}`;
  if (days === 1) return `tomorrow ${clock}`;
  if (days === -1) return `yesterday ${clock}`;
  if (days > 1 && days < 7) return `${sayWeekday(at)} ${clock}`;
  return farOrNear(at, days);
}

/** The day alone: "today", "tomorrow", "Thu", "3 Dec". */
export function sayDay(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 1 && days < 7 ? longWeekday(at) : farOrNear(at, days);
}

/** A span as people say it: "3 h", "2 days". */
export function saySpan(ms: number): string {
  const hours = ms / 3_600_000;
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min`;
  if (hours < 36) return `${Math.round(hours)} h`;
  return `${Math.round(hours / 24)} days`;
}

/** Exact, for a hover. */
export const exactly = (at: number): string => `${longDate(at)}, ${sayClock(at)}`;
