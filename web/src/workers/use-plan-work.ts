import { useEffect, useState } from 'react';
import type { Remote } from 'comlink';
import { planWork, type PlanWork } from './plan-work';
import { useWorker } from './use-worker';

const startPlans = () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
const hasWorkers = () => 'Worker' in window;

/**
 * What a job comes to beside the screen, in a worker where there is one; while it is done again, what was told before stands.
 * A new job is a new function: keep it with useCallback. Undefined asks for nothing.
 */
export function usePlanWork<T>(
  job: ((work: PlanWork | Remote<PlanWork>) => T | Promise<T>) | undefined,
): T | undefined {
  const [told, setTold] = useState<{ readonly answer: T }>();
  const [failed, setFailed] = useState<Error>();
  const own = useWorker<PlanWork>(startPlans);
  useEffect(() => {
    if (!job) return undefined;
    let wanted = true;
    const work = hasWorkers() ? own.get().remote : planWork;
    Promise.resolve()
      .then(() => job(work))
      .then(
        (answer) => wanted && setTold({ answer }),
        (error: Error) => wanted && setFailed(error),
      );
    return () => {
      wanted = false;
    };
  }, [job, own]);
  if (failed) throw failed;
  return told?.answer;
}
