import { useMemo } from 'react';
import { InputError, reckonMix, type Mix, type MixConditions, type MixFigures } from '@dewpot/core';
import type { MixInput } from '@dewpot/contract';
import { conditionsFor, resolveMix, type Known } from './resolve';

/** A recipe as it is edited, with all that follows from it. */
export interface ReckonedMix {
  readonly mix: Mix;
  readonly conditions: MixConditions;
  /** Undefined while it cannot be mixed. */
  readonly figures?: MixFigures;
  /** What is wrong, by field. */
  readonly errors: Readonly<Record<string, string>>;
}

function reckon(draft: MixInput, known: Known): ReckonedMix {
  const mix = resolveMix(draft, known.stores.materials);
  const conditions = conditionsFor(mix, draft.dampDays, known);
  try {
    return { mix, conditions, figures: reckonMix(mix, conditions), errors: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const told = error.issues.map(({ field, message, remedy }) => [field, `${message} ${remedy}`] as const);
    return { mix, conditions, errors: Object.fromEntries(told) };
  }
}

/** Reckons a recipe anew whenever it changes. */
export const useReckonedMix = (draft: MixInput, known: Known): ReckonedMix =>
  useMemo(() => reckon(draft, known), [draft, known]);
