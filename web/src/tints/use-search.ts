import { useEffect, useRef, useState } from 'react';
import type { ColourWish, FoundTint } from '@dewpot/core/tints';
import { proxy, wrap, type Remote } from 'comlink';
import type { TintsWork } from '../workers/tints.worker';

/** A search as the screen sees it. */
export interface TintSearch {
  readonly found: readonly FoundTint[] | undefined;
  /** Share done, while it runs. */
  readonly done: number | undefined;
  readonly failed: string | undefined;
  readonly look: (wish: ColourWish) => void;
  readonly stop: () => void;
}

interface Running {
  readonly worker: Worker;
  /** Held as long as the worker: when it is let go, comlink tells the worker to listen no more. */
  readonly tints: Remote<TintsWork>;
}

/** Looks for doses in a worker of its own; a new search ends the one before. */
export function useSearch(): TintSearch {
  const running = useRef<Running>(undefined);
  const [found, setFound] = useState<readonly FoundTint[]>();
  const [done, setDone] = useState<number>();
  const [failed, setFailed] = useState<string>();
  const stop = () => {
    running.current?.worker.terminate();
    running.current = undefined;
    setDone(undefined);
  };
  useEffect(() => () => running.current?.worker.terminate(), []);
  const look = (wish: ColourWish) => {
    stop();
    setFailed(undefined);
    setFound(undefined);
    setDone(0);
    const worker = new Worker(new URL('../workers/tints.worker.ts', import.meta.url), { type: 'module' });
    const own: Running = { worker, tints: wrap<TintsWork>(worker) };
    running.current = own;
    const mine = () => running.current === own;
    const end = (act: () => void) => {
      if (!mine()) return;
      act();
      stop();
    };
    worker.onerror = () => end(() => setFailed('The search broke off. Try again.'));
    own.tints
      .search(
        wish,
        proxy((share) => mine() && setDone(share)),
      )
      .then(
        (answer) => end(() => setFound(answer)),
        (error: unknown) => end(() => setFailed(String(error))),
      );
  };
  return { found, done, failed, look, stop };
}
