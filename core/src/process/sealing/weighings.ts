import { defined } from '../../foundation/math/index.js';
import {
  plausibleCurves,
  quantiles,
  massOn,
  weighingError,
  type DryDownCurve,
  type DryDownPrior,
  type Weighing,
} from './dry-down-fit.js';

/** A weighing that does not belong to its piece's curve, and what was to be expected there, g. */
export interface StrayWeighing {
  readonly hour: number;
  readonly mass: number;
  readonly expected: number;
}

/** Weighings in order of time, as they count. */
export interface SettledWeighings {
  readonly kept: readonly Weighing[];
  readonly strays: readonly StrayWeighing[];
  readonly curves: readonly DryDownCurve[];
  /** How far each that is kept lies off the median curve, in its own errors. */
  readonly off: readonly number[];
}

/** A weighing agrees within so many of its errors from the median curve. */
export const AGREES_WITHIN = 3;
/** Moist air adds no more than this share to a piece's mass. */
const MOST_FROM_AIR = 0.01;
/** Fewer weighings than this do not show which of them is wrong. */
const TELLS_APART = 4;
const SUSPECTS = 3;

/** A gain beyond the scale's error is damp air: it counts as held. More than air can give is left as it was read. */
export function gainsHeld(weighings: readonly Weighing[]): Weighing[] {
  const held: Weighing[] = [];
  for (const weighing of weighings) {
    const before = held[held.length - 1];
    const gain = before ? weighing.mass - before.mass : 0;
    const noise = before ? 2 * Math.hypot(weighingError(weighing), weighingError(before)) : 0;
    const isAmbient = before !== undefined && gain > noise && gain <= noise + MOST_FROM_AIR * before.mass;
    held.push(isAmbient ? { ...weighing, mass: before.mass } : weighing);
  }
  return held;
}

/** Median of the curves at each weighing, g, and half the width of its 80 % band. */
function expectedAt(curves: readonly DryDownCurve[], start: number, hour: number): { middle: number; half: number } {
  const [low, middle, high] = quantiles(
    curves.map((curve) => massOn(curve, hour - start)),
    [0.1, 0.5, 0.9],
  ) as [number, number, number];
  return { middle, half: (high - low) / 2 };
}

/** How far each weighing lies off the median curve, in its own errors. */
function errorsOff(weighings: readonly Weighing[], curves: readonly DryDownCurve[]): number[] {
  const start = defined(weighings[0]).hour;
  return weighings.map(
    (weighing) => Math.abs(weighing.mass - expectedAt(curves, start, weighing.hour).middle) / weighingError(weighing),
  );
}

/** The one weighing without which all the others agree and from which they lie far; undefined where there is none. */
function strayOf(weighings: readonly Weighing[], off: readonly number[], prior: DryDownPrior) {
  const suspects = off
    .map((errors, i) => ({ errors, i }))
    .filter(({ errors }) => errors > AGREES_WITHIN)
    .sort((a, b) => b.errors - a.errors)
    .slice(0, SUSPECTS);
  for (const { i } of suspects) {
    const suspect = defined(weighings[i]);
    const kept = weighings.filter((_, k) => k !== i);
    const without = plausibleCurves(kept, prior);
    const { middle, half } = expectedAt(without, defined(kept[0]).hour, suspect.hour);
    const spread = Math.hypot(weighingError(suspect), half / 1.2816);
    if (Math.abs(suspect.mass - middle) <= 2 * AGREES_WITHIN * spread) continue;
    if (errorsOff(kept, without).every((errors) => errors <= AGREES_WITHIN))
      return { kept, without, stray: { hour: suspect.hour, mass: suspect.mass, expected: middle } };
  }
  return undefined;
}

/**
 * Weighings as they count, and the curves that stand for them: gains held, and what cannot be this piece's set aside by name as
 * long as the rest agree without it. Given in order of time, at least one.
 */
export function settleWeighings(given: readonly Weighing[], prior: DryDownPrior): SettledWeighings {
  let kept: readonly Weighing[] = gainsHeld(given);
  let curves: readonly DryDownCurve[] = plausibleCurves(kept, prior);
  let off = errorsOff(kept, curves);
  const strays: StrayWeighing[] = [];
  while (kept.length >= TELLS_APART) {
    const found = strayOf(kept, off, prior);
    if (!found) break;
    strays.push(found.stray);
    // What is held is decided again without the stray: it may have been the low one that made the rest look like gains.
    kept = gainsHeld(given.filter(({ hour }) => !strays.some((stray) => stray.hour === hour)));
    curves = plausibleCurves(kept, prior);
    off = errorsOff(kept, curves);
  }
  return { kept, strays, curves, off };
}
