import { defined } from '../../foundation/math/index.js';
import { DAY } from '../../foundation/units/index.js';
/** The air of a month in a place: mean temperature in °C, humidity as a share. */
export interface MonthAmbient {
  readonly temperature: number;
  readonly humidity: number;
}

const MONTHS = 12;
/** Days of a year before each month begins, and at its end. */
const BEGINS = [0, 31, 59.25, 90.25, 120.25, 151.25, 181.25, 212.25, 243.25, 273.25, 304.25, 334.25, 365.25];

/** Days since the year began. */
const dayOfYear = (at: number) => (at - Date.UTC(new Date(at).getUTCFullYear(), 0, 1)) / DAY;
const middle = (month: number) => (defined(BEGINS[month]) + defined(BEGINS[month + 1])) / 2;

/** The air at a time (ms) by a table of twelve months, January first: straight between the middles of months. */
export function seasonAt(table: readonly MonthAmbient[], at: number): MonthAmbient {
  const day = dayOfYear(at);
  const next = Array.from({ length: MONTHS }, (_, month) => month).find((month) => middle(month) > day) ?? 0;
  const before = (next + MONTHS - 1) % MONTHS;
  const from = middle(before) - (middle(before) > day ? defined(BEGINS[MONTHS]) : 0);
  const to = middle(next) + (middle(next) <= from ? defined(BEGINS[MONTHS]) : 0);
  const share = (day - from) / (to - from);
  const between = (a: number, b: number) => a + (b - a) * share;
  const [a, b] = [defined(table[before]), defined(table[next])];
  return { temperature: between(a.temperature, b.temperature), humidity: between(a.humidity, b.humidity) };
}
