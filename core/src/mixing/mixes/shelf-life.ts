import { lotMonths, isPortlandFamily, type Lot, type Material } from '../materials/index.js';
import { cementAgeFactor } from './strength.js';

/** Months that a fast-setting or gypsum powder keeps closed, at most, and open: weeks. */
const KEEPS_CLOSED = 12;
const KEEPS_OPEN = 1.5;
/** Share of strength left from which age is worth telling. */
const WORTH_TELLING = 0.95;
const WEEKS_A_MONTH = 365.25 / 12 / 7;

/** What the age of a lot means for what is made of it, as a sentence at `now` (ms); undefined where it means nothing. */
export function keepingOf(material: Material, lot: Lot, now: number): string | undefined {
  if (lot.lumpy) return 'Lumpy: do not use it.';
  const months = lotMonths(lot, now);
  const since = lot.openedAt === undefined ? 'Bought' : 'Opened';
  if (isPortlandFamily(material)) {
    const left = cementAgeFactor(months);
    return left < WORTH_TELLING
      ? `${since} ${Math.round(months)} months ago: about ${Math.round(left * 100)} % of its strength is left.`
      : undefined;
  }
  const { family } = material;
  if (family !== 'sulfoaluminate' && family !== 'gypsum') return undefined;
  if (lot.openedAt !== undefined && months > KEEPS_OPEN)
    return `Open for ${Math.round(months * WEEKS_A_MONTH)} weeks: set a spoonful first.`;
  if (lot.openedAt === undefined && months > KEEPS_CLOSED)
    return `Bought ${Math.round(months)} months ago: past what a closed bag keeps.`;
  return undefined;
}
