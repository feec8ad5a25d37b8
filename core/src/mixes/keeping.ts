import { lotMonths, type Lot } from '../stores/index.js';
import type { Material } from './material.js';
import { cementAgeFactor } from './strength.js';

/** Months that a fast-setting or gypsum powder keeps closed, at most, and open: weeks. */
const KEEPS_CLOSED = 12;
const KEEPS_OPEN = 1.5;
/** Share of strength left from which age is worth telling. */
const WORTH_TELLING = 0.95;
const WEEKS_A_MONTH = 365.25 / 12 / 7;

/** What the age of a lot means for what is made of it, as a sentence at `now` (ms); undefined where it means nothing. */
export function keepingOf({ family }: Material, lot: Lot, now: number): string | undefined {
  if (lot.lumpy) return 'Lumpy: do not use it.';
  const months = lotMonths(lot, now);
  const since = lot.openedAt === undefined ? 'Bought' : 'Opened';
  if (family === 'portland') {
    const left = cementAgeFactor(months);
    return left < WORTH_TELLING
      ? `${since} ${Math.round(months)} months ago: about ${Math.round(left * 100)} % of its strength is left.`
      : undefined;
  }
  if (family !== 'sulfoaluminate' && family !== 'gypsum') return undefined;
  if (lot.openedAt !== undefined && months > KEEPS_OPEN)
    return `Open for ${Math.round(months * WEEKS_A_MONTH)} weeks: set a spoonful first.`;
  if (lot.openedAt === undefined && months > KEEPS_CLOSED)
    return `Bought ${Math.round(months)} months ago: past what a closed bag keeps.`;
  return undefined;
}
