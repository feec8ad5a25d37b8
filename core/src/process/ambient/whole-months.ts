import type { MonthNormal } from './month-normals.js';
import type { WholeAmbientReading } from './readings.js';
import type { MonthAmbient } from './season.js';

const MONTHS = 12;
const HOURS = 24;
/** Standard deviation of a month's daily means where nobody measured it, °C. */
const USUAL_SPREAD = 3;

/** A month of which only its mean is known: alike all day. */
const flat = ({ temperature, humidity }: MonthAmbient, wind = 0): MonthNormal => ({
  hours: Array.from({ length: HOURS }, () => ({ temperature, humidity, wind })),
  spread: USUAL_SPREAD,
  alike: 0,
  days: 0,
});

/** The months of a table, January first. */
export const monthsOfTable = (table: readonly MonthAmbient[]): MonthNormal[] => table.map((month) => flat(month));

/** Months that are all alike. */
export const monthsAlike = ({ wind, ...air }: Omit<WholeAmbientReading, 'at'>): MonthNormal[] =>
  Array.from({ length: MONTHS }, () => flat(air, wind));

/** Months as they were read, and those that were not as they are known otherwise. */
export const wholeMonths = (
  read: readonly (MonthNormal | undefined)[],
  others: readonly MonthNormal[],
): (MonthNormal | undefined)[] => Array.from({ length: MONTHS }, (_, month) => read[month] ?? others[month]);
