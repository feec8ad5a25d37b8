import type { WholeAmbientReading } from '@dewpot/core/ambient';
import { InputError, type FieldIssue } from '@dewpot/core/units';
import type { MeasuringChoice, MeasuringWay } from '@dewpot/core/measuring';
import type { Step } from '@dewpot/core/bench';
import type { CandidateMix } from '@dewpot/core/judging';
import {
  candidatesOf,
  judgeContextOf,
  partsOf,
  type BenchPart,
  type LastingAside,
  type PourPart,
} from '@dewpot/core/planning';
import type { FullMould } from '@dewpot/core/pours';
import type { AmbientBasis, PourInput } from '@dewpot/contract';
import { pourSources, type KnownForPours } from '../api/pour-sources';
import type { JudgedPlan, Judging } from '../workers/judge-plan';

/** Everything that a plan is made from. */
export interface PlanSources extends KnownForPours {
  /** What was put aside for a mould with a mix. */
  readonly aside: readonly LastingAside[];
  /** The air hour by hour from now on, where it is known; what is a guess is not. */
  readonly ahead?: readonly WholeAmbientReading[];
  /** What the temperature at the bench rests on. */
  readonly ambientBasis: AmbientBasis;
  /** Moulds in which casts still set. */
  readonly full: readonly FullMould[];
}

/** What is poured of one mix, with its sheet. */
export type SheetPart = BenchPart;

/** What a person chose, mix by mix, as far as it could be made out, and what is wrong with it. */
export interface Chosen {
  readonly parts: readonly PourPart[];
  readonly issues: readonly FieldIssue[];
}

/** What a person's choices come to. */
export interface CalculatedPlan extends Chosen {
  /** Undefined where something is wrong, or until it is calculated. */
  readonly sheets?: readonly SheetPart[];
  readonly steps?: readonly Step[];
  /** How the pour's own mix comes out in each way of measuring. */
  readonly ways?: readonly MeasuringChoice[];
  /** What speaks against each part's moulds with its mix, part by part. */
  readonly judged?: readonly JudgedPlan[];
}

/** The mixes that a plan might take: they go by what all pours taught, and so are gathered once for all that is typed. */
export const candidatesFrom = (sources: PlanSources): CandidateMix[] => candidatesOf(pourSources(sources));

/** What each part of a plan is judged by. */
export const judgingOf = (
  input: PourInput,
  parts: readonly PourPart[],
  sources: PlanSources,
  candidates: readonly CandidateMix[],
): Judging[] =>
  parts.map((part) => ({
    context: judgeContextOf(input, part, sources),
    candidates: candidates.filter(({ id }) => id !== part.mixId),
  }));

/** The parts of a person’s choices; undefined while something is not chosen. */
export function partsChosen(input: PourInput, sources: PlanSources): Chosen | undefined {
  if (!sources.mixes.some(({ id }) => id === input.mixId)) return undefined;
  try {
    return { parts: partsOf(input, pourSources(sources)), issues: [] };
  } catch (error) {
    if (error instanceof InputError) return { parts: [], issues: error.issues };
    throw error;
  }
}

/** What of a pour's parts one of its items is: its mould as it is poured, and the part it belongs to. */
export function itemOf(parts: readonly PourPart[], at: number) {
  for (const part of parts) {
    const item = part.plan.items[part.items.indexOf(at)];
    if (item) return { item, part };
  }
  return undefined;
}

/** How a mix was measured when that was last chosen, else how its like was in this workshop; undefined where nobody ever chose. */
export function measuredBefore(
  mixId: string,
  { past: { measured }, mixes }: Pick<PlanSources, 'past' | 'mixes'>,
): MeasuringWay | undefined {
  const settingOf = (id: string) => mixes.find((mix) => mix.id === id)?.binderClass;
  const own = measured.find((one) => one.mixId === mixId);
  // What is usual in a workshop goes by the binder: gypsum is weighed where cement is scooped.
  const alike = measured.find((one) => settingOf(one.mixId) === settingOf(mixId));
  return (own ?? alike)?.measuring;
}
