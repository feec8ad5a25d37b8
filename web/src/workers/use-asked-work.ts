import { useCallback, useRef } from 'react';
import type { Remote } from 'comlink';
import { useWorker } from './use-worker';

/** Asks work for something. Fails where its worker dies over it. */
export type AskWork<Work extends object> = <T>(job: (work: Work | Remote<Work>) => T | Promise<T>) => Promise<T>;

/**
 * Work that is done in a worker of this screen, or here where there are no workers; and its end, whatever it does. `start` and `make` stay
 * the same functions.
 */
export function useAskedWork<Work extends object>(
  start: () => Worker,
  make: () => Work,
): { readonly ask: AskWork<Work>; readonly end: () => void } {
  const own = useWorker<Work>(start);
  const here = useRef<Work>(undefined);
  const ask: AskWork<Work> = useCallback(
    async (job) => {
      if (!('Worker' in window)) return job((here.current ??= make()));
      const running = own.get();
      const died = running.died.catch((error: unknown) => {
        if (own.is(running)) own.end();
        throw error;
      });
      return Promise.race([Promise.resolve(job(running.remote)), died]);
    },
    [own, make],
  );
  return { ask, end: own.end };
}
