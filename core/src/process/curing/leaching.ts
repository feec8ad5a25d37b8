import { Checker, msg, type Message, fixed } from '../../foundation/units/index.js';

/** A reading of a test strip, at a time, ms. */
export interface PhReading {
  readonly at: number;
  readonly ph: number;
}

/** At this pH or lower, plants, fish and birds take no harm. */
export const PH_TARGET = 8.5;
/** Soaks that the handbook counts on, each 24 to 48 h with fresh water. */
const USUAL_SOAKS = 3;
/** How far pH falls at a change of water, by the handbook, until two readings show it. */
const USUAL_FALL = 1;
const LEAST_FALL = 0.1;
const STRONG = 12.5;

/** How far the leaching of a piece is. */
export interface Leaching {
  readonly done: boolean;
  /** Changes of water that are calculated still to be needed. */
  readonly changes: number;
  readonly learned: boolean;
  readonly told: Message;
}

/**
 * How far a piece is leached for plants, fish or birds: the target is pH 8.5 by strip; each soak is 24 to 48 h. The fall from
 * reading to reading foretells how many changes are left. `soaks` counts changes of water so far. @throws InputError
 */
export function leaching(readings: readonly PhReading[], soaks: number): Leaching {
  const check = new Checker();
  readings.forEach(({ ph }, i) => check.number(`readings.${i}.ph`, ph, msg('curing.ph'), { min: 4, max: 14 }));
  check.done();
  const sorted = [...readings].sort((a, b) => a.at - b.at);
  const last = sorted[sorted.length - 1];
  if (last && last.ph <= PH_TARGET)
    return { done: true, changes: 0, learned: true, told: msg('curing.phFit', { ph: fixed(last.ph, 1) }) };
  const first = sorted[0];
  const learned = sorted.length > 1;
  const fall = learned && first && last ? Math.max(LEAST_FALL, (first.ph - last.ph) / (sorted.length - 1)) : USUAL_FALL;
  const toFall = (last?.ph ?? Math.max(PH_TARGET + 1, STRONG - soaks * USUAL_FALL)) - PH_TARGET;
  const changes = last ? Math.max(1, Math.ceil(toFall / fall)) : Math.max(1, USUAL_SOAKS - soaks);
  return {
    done: false,
    changes,
    learned,
    told: last ? msg('curing.phChanges', { ph: fixed(last.ph, 1), changes }) : msg('curing.dipStrip', { changes }),
  };
}
