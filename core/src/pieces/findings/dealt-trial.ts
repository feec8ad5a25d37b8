import type { Fault, TrialKind, TrialMark, TrialSide } from '../casts/index.js';
import { dealTrial } from './trial.js';

/** One thing that is changed on purpose. `a` is how it is done now, `b` what is expected to be better. */
export interface TrialPlan {
  readonly kind: TrialKind;
  readonly a: string;
  readonly b: string;
  /** The fault that is watched; without one, whether anything is wrong at all. */
  readonly watched?: Fault;
  /** Shares of good casts that are expected of each, 0–1. */
  readonly worse: number;
  readonly better: number;
  /** Casts of this mould alone, and of this mix alone, so that nothing else differs. */
  readonly mouldId?: string;
  readonly mixId?: string;
}

/** What a pour deals of a trial: for each of its items which way each copy gets; none for what the trial is not about. */
export interface DealtTrial extends Pick<TrialPlan, 'kind' | 'a' | 'b'> {
  readonly id: string;
  readonly name: string;
  readonly sides: readonly (readonly TrialSide[])[];
}

interface DealtItem {
  readonly mouldId: string;
  readonly mixId: string;
  readonly count: number;
}

/** Whether a trial is about what a pour makes of a mould. */
export const isOfTrial = (
  { mouldId, mixId }: Pick<TrialPlan, 'mouldId' | 'mixId'>,
  item: Pick<DealtItem, 'mouldId' | 'mixId'>,
): boolean => (mouldId ?? item.mouldId) === item.mouldId && (mixId ?? item.mixId) === item.mixId;

/** Deals the copies of each item of a pour: within each, and over all of them, the sides are never more than one apart. */
export function dealItems(
  trial: TrialPlan,
  items: readonly DealtItem[],
  seed: number,
  before: Readonly<Record<TrialSide, number>>,
): TrialSide[][] {
  const dealt = { ...before };
  return items.map((item, i) => {
    if (!isOfTrial(trial, item)) return [];
    const sides = dealTrial(item.count, seed + i, dealt);
    for (const side of sides) dealt[side]++;
    return sides;
  });
}

/** Which way a copy of one of a pour's items gets; undefined for one that the trial is not about. */
export function markOf({ id, name, kind, sides, ...ways }: DealtTrial, item: number, copy: number): TrialMark | undefined {
  const side = sides[item]?.[copy];
  return side && { id, name, kind, side, way: ways[side] };
} // prettier-ignore

/** What a cast keeps of its trial: the mark, and the release or the cover that it got by it. */
export const markedBy = (mark: TrialMark) => ({
  trial: mark,
  ...(mark.kind !== 'other' && { [mark.kind]: mark.way }),
});

/** The copies of an item that get each way, counted from 1. */
export const copiesOf = ({ sides }: Pick<DealtTrial, 'sides'>, item: number, side: TrialSide): number[] =>
  (sides[item] ?? []).flatMap((one, copy) => (one === side ? [copy + 1] : []));

/** Whether the same copies are dealt: then a pour that is saved again keeps what it was dealt. */
export const isDealtTo = (dealt: DealtTrial, trial: TrialPlan, items: readonly DealtItem[]): boolean =>
  dealt.kind === trial.kind &&
  dealt.a === trial.a &&
  dealt.b === trial.b &&
  items.length === dealt.sides.length &&
  items.every((item, i) => dealt.sides[i]?.length === (isOfTrial(trial, item) ? item.count : 0));
