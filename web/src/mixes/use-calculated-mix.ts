import { useMemo } from 'react';
import { InputError, issueInWords, type Message } from '@dewpot/core/units';
import { calculateMix, type Mix, type MixConditions, type MixFigures } from '@dewpot/core/mixes';
import type { MixInput } from '@dewpot/contract';
import { conditionsFor, resolveMix, type MixKnowledge } from './resolve';

/** A recipe as it is edited, with all that follows from it. */
export interface CalculatedMix {
  readonly mix: Mix;
  readonly conditions: MixConditions;
  /** Undefined while it cannot be mixed. */
  readonly figures?: MixFigures;
  /** What is wrong, by field. */
  readonly errors: Readonly<Record<string, Message>>;
}

function calculate(draft: MixInput, known: MixKnowledge): CalculatedMix {
  const mix = resolveMix(draft, known.store.materials);
  const conditions = conditionsFor(mix, draft.moistCuringDays, known);
  try {
    return { mix, conditions, figures: calculateMix(mix, conditions), errors: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const told = error.issues.map(({ field, message, remedy }) => [field, issueInWords({ message, remedy })] as const);
    return { mix, conditions, errors: Object.fromEntries(told) };
  }
}

/** Calculates a recipe again whenever it changes. */
export const useCalculatedMix = (draft: MixInput, known: MixKnowledge): CalculatedMix =>
  useMemo(() => calculate(draft, known), [draft, known]);
