import { msg, quantity, type Message } from '../../foundation/units/index.js';
import { lotMonths, isPortlandFamily, type Lot, type Material } from '../materials/index.js';
import { cementAgeFactor } from './strength.js';

/** Months that a fast-setting or gypsum powder keeps closed, at most, and open: weeks. */
const KEEPS_CLOSED = 12;
const KEEPS_OPEN = 1.5;
/** Share of strength left from which age is worth telling. */
const WORTH_TELLING = 0.95;
const WEEKS_A_MONTH = 365.25 / 12 / 7;

/** What the age of a lot means for what is made of it, as a sentence at `now` (ms); undefined where it means nothing. */
export function keepingOf(material: Material, lot: Lot, now: number): Message | undefined {
  if (lot.lumpy) return msg('mixes.lumpy');
  const months = lotMonths(lot, now);
  if (isPortlandFamily(material)) {
    const left = cementAgeFactor(months);
    return left < WORTH_TELLING
      ? msg('mixes.ageLeft', {
          opened: lot.openedAt === undefined ? 'no' : 'yes',
          months: Math.round(months),
          left: quantity(Math.round(left * 100), '%', 0),
        })
      : undefined;
  }
  const { family } = material;
  if (family !== 'sulfoaluminate' && family !== 'gypsum') return undefined;
  if (lot.openedAt !== undefined && months > KEEPS_OPEN)
    return msg('mixes.openFor', { months: Math.round(months * WEEKS_A_MONTH) });
  if (lot.openedAt === undefined && months > KEEPS_CLOSED)
    return msg('mixes.closedTooLong', { months: Math.round(months) });
  return undefined;
}
