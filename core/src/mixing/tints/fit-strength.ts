import { minimumBetween } from '../../foundation/math/index.js';
import { InputError, msg } from '../../foundation/units/index.js';
import type { Spectrum } from './bands.js';
import { tintedBase, type Colourant, type Dosed } from './colouring.js';
import { colourDifference } from './spectrum.js';

/** A chip that was cast with a pigment: its base, its dose in per cent of the binder, its measured colour as #rrggbb. */
export interface Chip {
  readonly base: Spectrum;
  readonly dose: number;
  readonly measured: string;
  /** What else is in it, by strengths that stand. */
  readonly others?: readonly Dosed[];
}

/** A pigment's strength as its chips tell it. */
export interface FittedStrength {
  readonly strength: number;
  readonly chips: number;
  /** Mean ΔE00 of the chips, by the strength before and by the fitted one. */
  readonly before: number;
  readonly after: number;
}

/** Doubt of a strength that no chip told of, on its logarithm; each chip narrows it. */
const PRIOR_DOUBT = 0.7;
/** Error of one chip's measured colour, ΔE00. */
const CHIP_ERROR = 1.5;
/** Steps of the search for a strength. */
const STEPS = 60;
const WEAKEST = Math.log(1);
const STRONGEST = Math.log(2000);

const off = (colourant: Colourant, { base, dose, measured, others = [] }: Chip, strength: number) =>
  colourDifference(tintedBase(base, [{ colourant: { ...colourant, strength }, dose }, ...others]), measured);

/**
 * Strength of a pigment from its chips: least squares of their ΔE00, drawn to the strength it is taken to have while they are few.
 * @throws InputError on a chip without a dose
 */
export function fitStrength(colourant: Colourant, chips: readonly Chip[]): FittedStrength {
  const undosed = chips.findIndex(({ dose }) => !(dose > 0));
  if (undosed >= 0)
    throw new InputError([
      {
        field: `chips.${undosed}.dose`,
        value: chips[undosed]!.dose,
        message: msg('tints.chipWithoutPigment'),
        remedy: msg('tints.enterDose'),
      },
    ]);
  const mean = (strength: number) =>
    chips.length === 0 ? 0 : chips.reduce((sum, chip) => sum + off(colourant, chip, strength), 0) / chips.length;
  if (chips.length === 0) return { strength: colourant.strength, chips: 0, before: 0, after: 0 };
  const away = (log: number) =>
    chips.reduce((sum, chip) => sum + (off(colourant, chip, Math.exp(log)) / CHIP_ERROR) ** 2, 0) +
    ((log - Math.log(colourant.strength)) / PRIOR_DOUBT) ** 2;
  const strength = Math.exp(minimumBetween(away, WEAKEST, STRONGEST, STEPS));
  return { strength, chips: chips.length, before: mean(colourant.strength), after: mean(strength) };
}

/** A tint's band of doubt: the colour where its pigments pull as little, and as much, as they might. */
export interface Doubt {
  readonly weaker: Spectrum;
  readonly stronger: Spectrum;
}

/** The band of colours that a tint may come to, by how many chips each of its pigments has. */
export function doubtOf(
  base: Spectrum,
  doses: readonly { readonly colourant: Colourant; readonly dose: number; readonly chips: number }[],
): Doubt {
  const at = (sign: number) =>
    tintedBase(
      base,
      doses.map(({ colourant, dose, chips }) => ({
        dose,
        colourant: {
          ...colourant,
          strength: colourant.strength * Math.exp((sign * PRIOR_DOUBT) / Math.sqrt(1 + 4 * chips)),
        },
      })),
    );
  return { weaker: at(-1), stronger: at(1) };
}
