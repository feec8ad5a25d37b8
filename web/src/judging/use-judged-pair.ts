import { useCallback, useMemo } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError } from '@dewpot/core/units';
import { candidatesOf, judgeContextOf, partsOf } from '@dewpot/core/planning';
import type { PourPlan } from '@dewpot/core/pours';
import type { MixView, MouldView, PourInput } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { asideQuery } from '../api/findings-aside';
import { pourSources } from '../api/pour-sources';
import { useAmbient, useSession } from '../api/session';
import { usePalette } from '../api/tints';
import { mixesQuery } from '../api/mixes';
import { pastPoursQuery } from '../api/pours';
import { useDay } from '../ui/use-now';
import type { PlanWork } from '../workers/plan-work';
import { usePlanWork } from '../workers/use-plan-work';
import type { JudgedPlan, Judging } from '../workers/judge-plan';

const TWO_DAYS = 48;

/** One piece of a mould in a mix, as a pour would have it. */
const onePiece = (mould: MouldView, mix: MixView, temperature: number): PourInput => ({
  items: [{ mouldId: mould.id, count: 1 }],
  mixId: mix.id,
  grade: mix.grade,
  spare: 0.05,
  moisture: {},
  step: 0.25,
  temperature,
  version: 0,
});

/** What speaks against a mould with a mix, worked out beside the screen; undefined until both are chosen and it is known. */
export function useJudgedPair(mould: MouldView | undefined, mix: MixView | undefined): JudgedPlan | undefined {
  const { palette } = usePalette();
  const { workshop } = useSession();
  const ambient = useAmbient().data;
  const now = useDay();
  const [mixes, past, aside] = [useQuery(mixesQuery).data, useQuery(pastPoursQuery).data, useQuery(asideQuery).data];
  const asked = useMemo((): { plan: PourPlan; judging: Judging } | undefined => {
    if (!mould || !mix || !palette || !mixes || !past || !aside) return undefined;
    const all = [mix, ...mixes.filter(({ id }) => id !== mix.id)];
    const input = onePiece(mould, mix, ambient?.now.temperature ?? 18);
    const known = pourSources({ moulds: [mould], mixes: all, palette, workshop, past, now });
    try {
      const [part] = partsOf(input, known);
      if (!part) return undefined;
      const ahead = ambient?.basis === 'guess' ? undefined : ambient?.ahead.slice(0, TWO_DAYS);
      const sources = { moulds: [mould], mixes: all, aside, now, ...(ahead && { ahead }) };
      const context = judgeContextOf(input, part, sources);
      return {
        plan: part.plan,
        judging: { context, candidates: candidatesOf(known).filter(({ id }) => id !== mix.id) },
      };
    } catch (error) {
      if (error instanceof InputError) return undefined;
      throw error;
    }
  }, [mould, mix, palette, mixes, past, aside, ambient, workshop, now]);
  const job = useCallback(
    (work: PlanWork | Remote<PlanWork>): JudgedPlan | undefined | Promise<JudgedPlan | undefined> =>
      work.judge(defined(asked).plan, defined(asked).judging),
    [asked],
  );
  const judged = usePlanWork(asked && job);
  return asked && judged;
}
