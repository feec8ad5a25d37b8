import { useEffect, useRef, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import { planWork, type PlanWork } from './plan-work';

interface Running {
  readonly worker: Worker;
  /** Held as long as the worker: when it is let go, comlink tells the worker to listen no more. */
  readonly work: Remote<PlanWork>;
}

function start(): Running {
  const worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
  return { worker, work: wrap<PlanWork>(worker) };
}

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
  const running = useRef<Running>(undefined);
  useEffect(
    () => () => {
      running.current?.worker.terminate();
      running.current = undefined;
    },
    [],
  );
  useEffect(() => {
    if (!job) return undefined;
    let wanted = true;
    const work = hasWorkers() ? (running.current ??= start()).work : planWork;
    Promise.resolve()
      .then(() => job(work))
      .then(
        (answer) => wanted && setTold({ answer }),
        (error: Error) => wanted && setFailed(error),
      );
    return () => {
      wanted = false;
    };
  }, [job]);
  if (failed) throw failed;
  return told?.answer;
}
