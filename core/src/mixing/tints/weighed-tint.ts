import { bisect } from '../../foundation/math/index.js';
import { InputError, requireNumber, msg, exactly } from '../../foundation/units/index.js';
import type { Spectrum } from './bands.js';
import { tintedBase, type Colourant } from './colouring.js';
import { colourDifference } from './spectrum.js';

/** A pigment of a tint: per cent of the binder. */
export interface TintDose {
  readonly name: string;
  readonly colourant: Colourant;
  readonly dose: number;
}

/** A tint as a scale of some step gives it for one batch. */
export interface WeighedTint {
  /** g of each pigment on the scale. */
  readonly grams: readonly number[];
  /** How far the rounding takes the colour, ΔE00. */
  readonly away: number;
}

/** Difference from which an eye tells two faces apart, ΔE00. */
export const SEEN = 1;

/** A tint for `binder` g, rounded to a scale's `step` (g), and how far that takes its colour. @throws InputError */
export function weighTint(base: Spectrum, tint: readonly TintDose[], binder: number, step: number): WeighedTint {
  requireNumber('binder', binder, msg('tints.binder'), { above: 0, max: 1e7, unit: 'g' });
  requireNumber('step', step, msg('tints.scaleStep'), { above: 0, max: 1000, unit: 'g' });
  const grams = tint.map(({ dose }) => Math.round((binder * dose) / 100 / step) * step);
  const rounded = tint.map(({ colourant }, i) => ({ colourant, dose: (grams[i]! / binder) * 100 }));
  return { grams, away: colourDifference(tintedBase(base, tint), tintedBase(base, rounded)) };
}

/** Largest binder that is looked at for a batch, g. */
const LARGEST = 200_000;

/**
 * Least binder, g, from which no rounding to a scale's step is seen any more: every larger batch stays under ΔE 1 too.
 * @throws InputError where even the largest batch would show it
 */
export function leastBinder(base: Spectrum, tint: readonly TintDose[], step: number): number {
  const exact = tintedBase(base, tint);
  // The worst that rounding can do to a batch: each pigment off by half a step, one way or the other.
  const corners = Array.from({ length: 2 ** tint.length }, (_, corner) =>
    tint.map((__, i) => ((corner >> i) & 1 ? 1 : -1)),
  );
  const worst = (binder: number) =>
    Math.max(
      ...corners.map((signs) => {
        const off = tint.map(({ colourant, dose }, i) => ({
          colourant,
          dose: Math.max(0, dose + (signs[i]! * step * 50) / binder),
        }));
        return colourDifference(exact, tintedBase(base, off));
      }),
    );
  if (worst(LARGEST) > SEEN)
    throw new InputError([
      {
        field: 'step',
        value: step,
        message: msg('tints.cannotMatch', { step: exactly(step, 'g') }),
        remedy: msg('tints.finerScale'),
      },
    ]);
  const [, high] = bisect((batch) => worst(batch) <= SEEN, 0.01, LARGEST, { width: 0.5 });
  return Math.ceil(high);
}
