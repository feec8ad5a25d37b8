import { useEffect, useMemo, useRef, useState } from 'react';
import type { PourInput } from '@dewpot/contract';
import { wrap, type Remote } from 'comlink';
import type { PlanWork } from '../workers/plan.worker';
import { partsChosen, type PlanSources, type Reckoned } from './plan';
import { reckonParts, type PlanAnswer } from './reckon-parts';

interface Running {
  readonly worker: Worker;
  /** Held as long as the worker: when it is let go, comlink tells the worker to listen no more. */
  readonly plan: Remote<PlanWork>;
}

function start(): Running {
  const worker = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' });
  return { worker, plan: wrap<PlanWork>(worker) };
}

const hasWorkers = () => 'Worker' in window;

/** What a person's choices come to, reckoned beside the screen; while it is reckoned anew, what was told before stands. */
export function useReckonedPlan(input: PourInput, sources: PlanSources): Reckoned | undefined {
  const chosen = useMemo(() => partsChosen(input, sources), [input, sources]);
  const [told, setTold] = useState<PlanAnswer>();
  const [failed, setFailed] = useState<Error>();
  const running = useRef<Running>(undefined);
  useEffect(
    () => () => {
      running.current?.worker.terminate();
      running.current = undefined;
    },
    [],
  );
  useEffect(() => {
    if (!chosen || chosen.issues.length > 0) return undefined;
    let wanted = true;
    const asked = hasWorkers()
      ? (running.current ??= start()).plan.reckon(chosen.parts, input)
      : Promise.resolve().then(() => reckonParts(chosen.parts, input));
    asked.then(
      (answer) => wanted && setTold(answer),
      (error: Error) => wanted && setFailed(error),
    );
    return () => {
      wanted = false;
    };
  }, [chosen, input]);
  if (failed) throw failed;
  if (!chosen) return undefined;
  return chosen.issues.length > 0 ? chosen : { ...chosen, ...told };
}
