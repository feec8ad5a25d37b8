import { defined } from '@dewpot/core/math';
import { InputError, type FieldIssue } from '@dewpot/core/units';
import type { MeasuringChoice } from '@dewpot/core/measuring';
import type { Step } from '@dewpot/core/bench';
import { benchOf, type BenchOf, type PourPart } from '@dewpot/core/planning';
import { measuringChoicesOf } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { judgePlan, type JudgedPlan, type Judging } from '../workers/judge-plan';

/** The sheets and the steps of a pour's parts, or what is wrong with them. */
export type PlanAnswer =
  | {
      readonly sheets: BenchOf['parts'];
      readonly steps: readonly Step[];
      readonly ways: readonly MeasuringChoice[];
      /** What speaks against each part’s moulds with its mix. */
      readonly judged: readonly JudgedPlan[];
      readonly issues: readonly [];
    }
  | { readonly issues: readonly FieldIssue[] };

/** Calculates a pour's parts: the heavy half of a plan, in a worker where there is one. */
export function calculateParts(parts: readonly PourPart[], input: PourInput, judging: readonly Judging[]): PlanAnswer {
  try {
    const { parts: sheets, steps } = benchOf({ parts, input });
    const [first] = sheets;
    return {
      sheets,
      steps,
      ways: first ? measuringChoicesOf(first.plan, first.sheet) : [],
      judged: sheets.map(({ plan, sheet }, i) => judgePlan(plan, sheet, defined(judging[i]))),
      issues: [],
    };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    throw error;
  }
}
