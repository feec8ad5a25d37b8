import { msg, type Phrase } from '@dewpot/core/units';

/** A month, as a record has it: the year, then the month. What is none stays as it is. */
export function monthInWords(month: string): Phrase {
  const at = Date.parse(`${month}-15T12:00:00Z`);
  return Number.isNaN(at) ? month : msg('findings.inMonth', { month: { at, as: 'month' } });
}

/** The month that lies so many before another time, as 2026-07. */
export function monthsBefore(now: number, count: number): string {
  const date = new Date(now);
  const month = new Date(Date.UTC(date.getFullYear(), date.getMonth() - count, 1));
  return month.toISOString().slice(0, 7);
}
