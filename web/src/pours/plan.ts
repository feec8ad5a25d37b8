import { InputError, reckonSheet, type FieldIssue, type PourPlan, type Sheet } from '@dewpot/core';
import { planOf as planFrom, type MixView, type MouldView, type PourInput, type PourView } from '@dewpot/contract';
import type { SessionView } from '@dewpot/contract';
import type { Palette } from '../api/tints';
import { lessonsFor } from '../mixes';

/** Everything that a plan is made from. */
export interface PlanSources {
  readonly moulds: readonly MouldView[];
  readonly mixes: readonly MixView[];
  readonly palette: Palette;
  readonly workshop: SessionView['workshop'];
  readonly pours: readonly PourView[];
  /** ms */
  readonly now: number;
}

/** The plan that a person's choices come to; undefined while something is not chosen. @throws InputError where a tint is gone */
export function planOf(
  input: PourInput,
  { moulds, mixes, palette, workshop, pours, now }: PlanSources,
): PourPlan | undefined {
  const { stores, find, tints, colours } = palette;
  const mix = mixes.find(({ id }) => id === input.mixId);
  const scoop = stores.scoops.find(({ id }) => id === input.scoopId);
  if (!mix || !scoop) return undefined;
  const lessons = lessonsFor(mix.id, pours);
  return planFrom(input, { moulds, mix, scoop, find, tints, colours, lots: stores.lots, lessons, workshop, now });
}

/** A plan that can be poured, with its sheet. */
export interface ReckonedPour {
  readonly plan: PourPlan;
  readonly sheet: Sheet;
  readonly issues?: undefined;
}

export type Reckoned =
  | ReckonedPour
  | { readonly plan?: PourPlan | undefined; readonly sheet?: undefined; readonly issues: readonly FieldIssue[] };

/** The plan of a person's choices with its sheet, or what is wrong with it; undefined while something is not chosen. */
export function reckonChoices(input: PourInput, sources: PlanSources): Reckoned | undefined {
  let plan: PourPlan | undefined;
  try {
    plan = planOf(input, sources);
    return plan && { plan, sheet: reckonSheet(plan) };
  } catch (error) {
    if (error instanceof InputError) return { plan, issues: error.issues };
    throw error;
  }
}
