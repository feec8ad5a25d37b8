import { InputError, type FieldIssue, type Step } from '@dewpot/core';
import { benchOf, type BenchOf, type PourInput, type PourPart } from '@dewpot/contract';

/** The sheets and the steps of a pour's parts, or what is wrong with them. */
export type PlanAnswer =
  | { readonly sheets: BenchOf['parts']; readonly steps: readonly Step[]; readonly issues: readonly [] }
  | { readonly issues: readonly FieldIssue[] };

/** Reckons a pour's parts: the heavy half of a plan, in a worker where there is one. */
export function reckonParts(parts: readonly PourPart[], input: PourInput): PlanAnswer {
  try {
    const { parts: sheets, steps } = benchOf({ parts, input });
    return { sheets, steps, issues: [] };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    throw error;
  }
}
