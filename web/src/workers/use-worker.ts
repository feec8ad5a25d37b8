import { useCallback, useEffect, useMemo, useRef } from 'react';
import { wrap, type Remote } from 'comlink';

/** A worker that runs. */
interface RunningWorker<Api> {
  readonly worker: Worker;
  /** Fails with the worker, as where it runs out of memory: it answers nobody any more, and is to be ended. */
  readonly died: Promise<never>;
  /** Held as long as the worker: when it is let go, comlink tells the worker to listen no more. */
  readonly remote: Remote<Api>;
}

/** The worker of a screen. */
export interface ScreenWorker<Api> {
  /** The one that runs; started where none does. */
  readonly get: () => RunningWorker<Api>;
  /** Whether it is this one that runs. */
  readonly is: (one: RunningWorker<Api>) => boolean;
  /** Ends it at once, whatever it does. */
  readonly end: () => void;
}

/** A worker of this screen, started when it is first wanted and ended with the screen. `start` stays the same function. */
export function useWorker<Api>(start: () => Worker): ScreenWorker<Api> {
  const running = useRef<RunningWorker<Api>>(undefined);
  const end = useCallback(() => {
    running.current?.worker.terminate();
    running.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  return useMemo(() => {
    const begin = () => {
      const worker = start();
      const died = new Promise<never>((_, reject) => {
        worker.onerror = (event) => {
          event.preventDefault();
          reject(new Error(event.message));
        };
      });
      // Whoever waits for an answer hears of it; where nobody waits nothing failed.
      died.catch(() => undefined);
      return { worker, died, remote: wrap<Api>(worker) };
    };
    return { get: () => (running.current ??= begin()), is: (one) => running.current === one, end };
  }, [start, end]);
}
