import { differenceInCalendarDays, format } from 'date-fns';

/** A time as people say it: "today 16:00", "tomorrow 09:00", "Thu 16:00", "3 Dec". */
export function sayWhen(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  const clock = format(at, 'HH:mm');
  if (days === 0) return `today ${clock}`;
  if (days === 1) return `tomorrow ${clock}`;
  if (days === -1) return `yesterday ${clock}`;
  if (days > 1 && days < 7) return `${format(at, 'EEE')} ${clock}`;
  return format(at, Math.abs(days) > 300 ? 'd MMM yyyy' : 'd MMM');
}

/** The day alone: "today", "tomorrow", "Thu", "3 Dec". */
export function sayDay(at: number, now: number): string {
  const days = differenceInCalendarDays(at, now);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return format(at, days > 1 && days < 7 ? 'EEEE' : Math.abs(days) > 300 ? 'd MMM yyyy' : 'd MMM');
}

/** A span as people say it: "3 h", "2 days". */
export function saySpan(ms: number): string {
  const hours = ms / 3_600_000;
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min`;
  if (hours < 36) return `${Math.round(hours)} h`;
  return `${Math.round(hours / 24)} days`;
}

/** Exact, for a hover. */
export const exactly = (at: number) => format(at, 'EEEE d MMMM yyyy, HH:mm');
