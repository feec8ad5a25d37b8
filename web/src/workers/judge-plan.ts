import { InputError } from '@dewpot/core/units';
import {
  figuresToJudge,
  judgePour,
  mixesThatFit,
  type CandidateMix,
  type FittingMix,
  type JudgeContext,
  type Judgement,
  type PourFigures,
} from '@dewpot/core/judging';
import type { PourPlan } from '@dewpot/core/pours';

/** What a plan is judged by, and the mixes that might be taken in place of its own. */
export interface Judging {
  readonly context: JudgeContext;
  readonly candidates: readonly CandidateMix[];
}

/** What speaks against a plan, what is not known, and the mixes in which less speaks against it. */
export interface JudgedPlan extends Judgement {
  readonly fitting: readonly FittingMix[];
}

const wantsAnotherMix = ({ findings }: Judgement) =>
  findings.some(
    ({ aside, remedies }) => aside === undefined && remedies.some(({ change }) => change && 'mix' in change),
  );

/** Judges a plan; other mixes are looked at only where one would help. */
export function judgePlan(plan: PourPlan, figures: PourFigures, { context, candidates }: Judging): JudgedPlan {
  const judgement = judgePour(plan, figures, context);
  const fitting = wantsAnotherMix(judgement) ? mixesThatFit(plan, figures, context, candidates) : [];
  return { ...judgement, fitting };
}

/** Judges a plan by itself, without its sheet; undefined where it cannot be poured at all. */
export function judgeAlone(plan: PourPlan, judging: Judging): JudgedPlan | undefined {
  try {
    return judgePlan(plan, figuresToJudge(plan), judging);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}
