import { defined } from '../../foundation/math/index.js';
import { tzOffset } from '@date-fns/tz';
import { MINUTE, HOUR, msg, type Message } from '../../foundation/units/index.js';

export const dateOrders = ['day-first', 'month-first'] as const;
export type DateOrder = (typeof dateOrders)[number];

/** Figures above this are milliseconds, below it seconds since 1970. */
const MILLISECONDS = 1e11;

/** A number with a point or a comma for its decimals; NaN where it is none. */
export function numberOf(text: string): number {
  const plain = text.replace(/[°%\s a-zA-Z/]/g, '');
  if (plain === '') return NaN;
  return Number(plain.includes('.') ? plain.replace(/,/g, '') : plain.replace(',', '.'));
}

const DATE = /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})/;

/** Which way the dates of a file are written: by a day above 12 where there is one, as `usual` where none tells. */
export function orderOfDay(stamps: readonly string[], usual: DateOrder): { dates: DateOrder; told?: Message } {
  const parts = stamps.flatMap((stamp) => {
    const [, a = '', b = ''] = DATE.exec(stamp) ?? [];
    return a === '' || a.length === 4 ? [] : [[Number(a), Number(b)] as const];
  });
  if (parts.length === 0) return { dates: usual };
  if (parts.some(([first]) => first > 12)) return { dates: 'day-first' };
  if (parts.some(([, second]) => second > 12)) return { dates: 'month-first' };
  return {
    dates: usual,
    told: msg('ambient.datesBothWays', { first: usual === 'day-first' ? 'day' : 'month' }),
  };
}

/** Hours, minutes and seconds of a day. */
function clockOf(text: string): [hour: number, minute: number, second: number] | undefined {
  const found = /(\d{1,2}):(\d{2})(?::(\d{2}))?(?:\.\d+)?\s*([ap]m)?/i.exec(text);
  if (!found) return undefined;
  const [, hour, minute, second = '0', half] = found;
  const turned = half ? (Number(hour) % 12) + (/p/i.test(half) ? 12 : 0) : Number(hour);
  return [turned, Number(minute), Number(second)];
}

/** Days of a calendar as written: year, month, day. */
function dayOf(text: string, dates: DateOrder): [year: number, month: number, day: number] | undefined {
  const found = DATE.exec(text);
  if (!found) return undefined;
  const [a, b, c] = found.slice(1).map(Number) as [number, number, number];
  if (defined(found[1]).length === 4) return [a, b, c];
  const year = c < 100 ? 2000 + c : c;
  return dates === 'day-first' ? [year, b, a] : [year, a, b];
}

/**
 * The time of a stamp, ms: with a zone of its own, in seconds or milliseconds since 1970, or by a clock of `zone`. An hour
 * that comes twice when clocks go back is the one that comes after `before`, the time of the row above. Answers why it is none.
 */
export function timeOf(stamp: string, dates: DateOrder, zone: string, before: number): number | Message {
  const none = msg('ambient.notDate', { stamp: stamp.slice(0, 40) });
  if (/^\d{9,14}$/.test(stamp)) return Number(stamp) * (Number(stamp) > MILLISECONDS ? 1 : 1000);
  if (/^\d{4}-\d{2}-\d{2}T.*(?:Z|[+-]\d{2}:?\d{2})$/.test(stamp)) {
    const at = Date.parse(stamp);
    return Number.isNaN(at) ? none : at;
  }
  const [day, clock] = [dayOf(stamp, dates), clockOf(stamp.replace(DATE, ''))];
  if (!day || !clock) return none;
  const wall = Date.UTC(day[0], day[1] - 1, day[2], ...clock);
  const back = new Date(wall);
  if (back.getUTCMonth() !== day[1] - 1 || back.getUTCDate() !== day[2]) return none;
  const possible = [-24, 24]
    .map((hours) => wall - tzOffset(zone, new Date(wall + hours * HOUR)) * MINUTE)
    .filter((at) => tzOffset(zone, new Date(at)) * MINUTE === wall - at);
  if (possible.length === 0) return msg('ambient.skippedHour', { stamp });
  return Math.min(...possible) > before ? Math.min(...possible) : Math.max(...possible);
}
