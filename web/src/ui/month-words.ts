import { msg, type Phrase } from '@dewpot/core/units';

/** A month such as 2026-07 in words. */
export const monthInWords = (month: string): Phrase =>
  msg('money.month', { month: { at: Date.parse(`${month}-15T12:00:00Z`), as: 'month' } });

/** The month that lies so many before another time, as 2026-07. */
export function monthsBefore(now: number, count: number): string {
  const date = new Date(now);
  const month = new Date(Date.UTC(date.getFullYear(), date.getMonth() - count, 1));
  return month.toISOString().slice(0, 7);
}
