import { defined } from '@dewpot/core/math';
import {
  colourantOf,
  colourDifference,
  hexOf,
  knownBase,
  lookOf,
  spectrumOf,
  tintedBase,
  type Spectrum,
  type Tint,
} from '@dewpot/core/tints';
import type { ChipReading } from '@dewpot/contract';
import { dice } from './dice.js';

/** A chip that was cast less than this ago is still damp, ms. */
const DRIES_IN = 48 * 3_600_000;
const TOUCHES = 3;
/** How far one touch of the reader strays, share of the reflectance. */
const STRAY = 0.012;

/** A whole number out of a word: what is so of a material is always so. */
const salted = (word: string) => [...word].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 100_003, 7);

/** How strongly a pigment really tints, which nobody knows but the reader: 0.55 to 1.8 of what it is taken to. */
const trueStrength = (name: string) => Math.exp(0.6 * dice(salted(name), 19));

/** How a chip really looks, cured and dry. */
function truth(chip: Tint): Spectrum {
  const base = knownBase(chip.base, { bases: new Map() }).spectrum;
  const lighter = 1 + 0.04 * dice(salted(chip.base.binder.name), 23);
  return tintedBase(
    base.map((r) => Math.min(0.97, r * lighter)),
    chip.doses.map(({ material, amount }) => {
      const colourant = colourantOf(material);
      return {
        colourant: { ...colourant, strength: colourant.strength * trueStrength(material.name) },
        dose: amount * 100,
      };
    }),
  );
}

/**
 * A simulated colour reader, laid on a chip three times. Its world has pigments of its own strength, always the same for
 * the same pigment, so that chips have something to teach. A chip cast less than two days ago reads as it looks wet.
 * @throws InputError where the chip's base has no colour
 */
export function readChip(chip: Tint & { readonly id: string; readonly castAt: number }, now: number): ChipReading {
  const damp = now - chip.castAt < DRIES_IN;
  const face = lookOf(truth(chip), damp ? 'wet' : 'dry');
  const seed = salted(chip.id);
  const touches = Array.from({ length: TOUCHES }, (_, i) =>
    hexOf(
      face.map((r, band) =>
        Math.min(0.985, r * (1 + STRAY * dice(seed + i, 31) + (STRAY / 3) * dice(seed + band, 37 + i))),
      ),
    ),
  );
  const middle = hexOf(
    face.map((_, band) => touches.reduce((sum, touch) => sum + defined(spectrumOf(touch)[band]), 0) / TOUCHES),
  );
  return {
    device: 'Simulated colour reader',
    colour: middle,
    touches,
    spread: Math.max(...touches.map((touch) => colourDifference(touch, middle))),
    damp,
  };
}
