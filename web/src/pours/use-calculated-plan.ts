import { defined } from '@dewpot/core/math';
import { useCallback, useMemo } from 'react';
import type { PourInput } from '@dewpot/contract';
import type { Remote } from 'comlink';
import type { PlanWork } from '../workers/plan-work';
import { usePlanWork } from '../workers/use-plan-work';
import { candidatesFrom, judgingOf, partsChosen, type PlanSources, type CalculatedPlan } from './plan';
import type { PlanAnswer } from './calculate-parts';

/** What a person's choices come to, calculated beside the screen; while it is calculated again, what was told before stands. */
export function useCalculatedPlan(input: PourInput, sources: PlanSources): CalculatedPlan | undefined {
  const chosen = useMemo(() => partsChosen(input, sources), [input, sources]);
  const parts = chosen?.issues.length === 0 ? chosen.parts : undefined;
  const candidates = useMemo(() => candidatesFrom(sources), [sources]);
  const job = useCallback(
    (work: PlanWork | Remote<PlanWork>): PlanAnswer | Promise<PlanAnswer> =>
      work.calculate(defined(parts), input, judgingOf(input, defined(parts), sources, candidates)),
    [parts, input, sources, candidates],
  );
  const told = usePlanWork(parts && job);
  if (!chosen) return undefined;
  return chosen.issues.length > 0 ? chosen : { ...chosen, ...told };
}
