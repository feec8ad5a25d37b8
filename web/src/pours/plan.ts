import { InputError, reckonSheet, scoopAs, type FieldIssue, type PourPlan, type Sheet } from '@dewpot/core';
import type { MixView, MouldView, PourInput, PourView, SessionView, StoresView } from '@dewpot/contract';
import { conditionsFor, lessonsFor, resolveMix } from '../mixes';

/** Everything that a plan is made from. */
export interface PlanSources {
  readonly moulds: readonly MouldView[];
  readonly mixes: readonly MixView[];
  readonly stores: StoresView;
  readonly workshop: SessionView['workshop'];
  readonly pours: readonly PourView[];
  /** ms */
  readonly now: number;
}

/** The plan that a person's choices come to; undefined while something is not chosen. */
export function planOf(
  input: PourInput,
  { moulds, mixes, stores, workshop, pours, now }: PlanSources,
): PourPlan | undefined {
  const mix = mixes.find(({ id }) => id === input.mixId);
  const scoop = stores.scoops.find(({ id }) => id === input.scoopId);
  if (!mix || !scoop) return undefined;
  const resolved = { ...resolveMix(mix, stores.materials), grade: input.grade };
  const lessons = lessonsFor(mix.id, pours);
  return {
    items: input.items.flatMap(({ mouldId, count, fillTo }) => {
      const mould = moulds.find(({ id }) => id === mouldId);
      return mould
        ? [
            {
              mouldId,
              name: mould.name,
              shape: mould.shape,
              piece: mould.piece,
              count,
              ...(fillTo !== undefined && { fillTo }),
            },
          ]
        : [];
    }),
    mix: resolved,
    setting: mix.setting,
    spare: input.spare,
    moisture: input.moisture,
    scoop: scoopAs(scoop, input.heaped),
    step: input.step,
    bucket: workshop.bucket,
    temperature: input.temperature,
    conditions: conditionsFor(resolved, mix.dampDays, { stores, lessons, now }),
    learnedYield: lessons.yield,
    ...(mix.ways && { ways: mix.ways }),
    scaleStep: workshop.scaleStep,
    lots: stores.lots,
    liftLimit: workshop.liftLimit,
  };
}

export type Reckoned =
  | { readonly sheet: Sheet; readonly issues?: undefined }
  | { readonly sheet?: undefined; readonly issues: readonly FieldIssue[] };

/** The sheet of a plan, or what is wrong with it. */
export function sheetOf(plan: PourPlan): Reckoned {
  try {
    return { sheet: reckonSheet(plan) };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    throw error;
  }
}
