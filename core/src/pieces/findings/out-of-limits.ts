import { defined } from '../../foundation/math/index.js';
import { DAY } from '../../foundation/units/index.js';
import type { Cause } from './causes.js';
import { findingContext, likeliestOf } from './explain-fault.js';
import type { FindingRecord } from './finding-record.js';
import type { WatchedMass } from './watch-casts.js';

/** A cast of late whose mass at demoulding was out of its limits, and what most likely made it so. */
export interface OutOfLimits {
  readonly id: string;
  readonly code: string;
  /** Its mass over what was expected, and what that usually is. */
  readonly value: number;
  readonly usual: number;
  readonly cause?: Cause;
}

/** Casts poured so lately are told of, ms. */
const LATELY = 21 * DAY;
/** What makes a cast heavier, and lighter, than it was calculated. */
const HEAVY: readonly Cause[] = ['much-water', 'wetter', 'damp-sand', 'over-vibrated', 'worn-mould'];
const LIGHT: readonly Cause[] = [
  'dried-early',
  'dried-long',
  'uncovered',
  'little-water',
  'stiffer',
  'not-tapped',
  'one-lift',
];

/** The casts of late, the newest first, whose masses are out of their limits. `now`: ms. Handbook 20, "Watching". */
export function outLately(masses: readonly WatchedMass[], records: readonly FindingRecord[], now: number): OutOfLimits[] {
  const late = masses.filter(({ out, at, limits }) => out && limits && at > now - LATELY).reverse();
  if (late.length === 0) return [];
  const context = findingContext(records);
  return late.map(({ id, code, value, limits }) => {
    const usual = defined(limits)[1];
    const cast = defined(records.find((one) => one.id === id));
    const cause = likeliestOf(cast, value > usual ? HEAVY : LIGHT, context);
    return { id, code, value, usual, ...(cause && { cause }) };
  });
} // prettier-ignore
