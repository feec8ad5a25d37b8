import { InputError, type FieldIssue } from '@dewpot/core/units';
import type { BinderClass } from '@dewpot/core/binders';
import {
  measuringChoices,
  proposeWay,
  type Measuring,
  type MeasuringChoice,
  type ProposedWay,
} from '@dewpot/core/measuring';
import type { BatchMasses } from '@dewpot/core/mixes';
import { judgeAlone } from './judge-plan';
import { calculateParts } from '../pours/calculate-parts';

/** How a batch comes out in every way of measuring, and the way that is proposed; or what is wrong with it. */
type MeasuredWays =
  | { readonly proposed: ProposedWay; readonly ways: readonly MeasuringChoice[]; readonly issues: readonly [] }
  | { readonly ways?: undefined; readonly issues: readonly FieldIssue[] };

function measure(batch: BatchMasses, measuring: Measuring, binderClass: BinderClass): MeasuredWays {
  try {
    const ways = measuringChoices(batch, measuring);
    return { proposed: proposeWay(batch, measuring, binderClass), ways, issues: [] };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    throw error;
  }
}

/** What is worked out beside the screen. */
export const planWork = {
  /** Sheets and steps of a pour's parts, or what is wrong with them. */
  calculate: calculateParts,
  /** What speaks against a plan, without its sheet. */
  judge: judgeAlone,
  measure,
};
export type PlanWork = typeof planWork;
