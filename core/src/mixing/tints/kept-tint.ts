import { InputError } from '../../foundation/units/index.js';
import type { FindMaterial } from '../materials/index.js';
import { dosesOf, type KeptDose, type KeptMix, type Mix } from '../mixes/index.js';
import { learnColours, type KnownColours, type MeasuredChip } from './known-colours.js';
import { dryColour } from './calculate-tint.js';
import type { Tint } from './tint.js';

/** Pigments on a base as they are kept: materials by their keys. */
export interface KeptColour {
  readonly base: { readonly binderId: string; readonly sandId?: string };
  readonly doses: readonly KeptDose[];
}

/** A tint of a workshop as a plan needs it. */
export interface KeptTint extends KeptColour {
  readonly id: string;
  readonly name: string;
  /** Which version of the tint it is. */
  readonly revision: number;
}

/** How a chip's colour was measured, the surest first. */
export const colourMeasuredBy = ['reader', 'photo', 'photo-unsure', 'eye'] as const;
export type ColourMeasuredBy = (typeof colourMeasuredBy)[number];

/** A test chip as it is kept, measured once it is dry. */
export interface KeptChip extends KeptColour {
  readonly measured?: { readonly colour: string; readonly by: ColourMeasuredBy };
  /** What it taught was forgotten. */
  readonly forgotten?: boolean;
}

/** A tint with its materials in place of their keys; undefined where its binder is gone. */
export function tintOf({ base: { binderId, sandId }, doses }: KeptColour, find: FindMaterial): Tint | undefined {
  const binder = find(binderId);
  const sand = sandId === undefined ? undefined : find(sandId);
  return binder && { base: { binder, ...(sand && { sand }) }, doses: dosesOf(doses, find) };
}

/** Whether a way to measure is good enough to learn from. */
export const sureOf = (by: ColourMeasuredBy): boolean => by === 'reader' || by === 'photo';

/** What a workshop's chips teach: those that were measured and can be relied on. */
export function knownColours(chips: readonly KeptChip[], find: FindMaterial): KnownColours {
  return learnColours(
    chips.flatMap((kept): MeasuredChip[] => {
      const chip = tintOf(kept, find);
      const { measured, forgotten = false } = kept;
      return chip && measured && sureOf(measured.by) && !forgotten ? [{ ...chip, measured: measured.colour }] : [];
    }),
  );
}

/** How a mix dries, #rrggbb: as it was seen, or where nobody has seen it as its materials make it. */
export function mixColour(
  { colour, colourCalculated }: Pick<KeptMix, 'colour' | 'colourCalculated'>,
  mix: Mix,
  known: KnownColours,
): string {
  if (!colourCalculated) return colour;
  try {
    return dryColour(mix, known);
  } catch (error) {
    if (error instanceof InputError) return colour;
    throw error;
  }
}
