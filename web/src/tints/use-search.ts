import { useState } from 'react';
import type { ColourWish, FoundTint } from '@dewpot/core/tints';
import { proxy } from 'comlink';
import type { TintsWork } from '../workers/tints.worker';
import { useWorker } from '../workers/use-worker';
import { useSay } from '../ui/say';

/** A search as the screen sees it. */
export interface TintSearch {
  readonly found: readonly FoundTint[] | undefined;
  /** Share done, while it runs. */
  readonly done: number | undefined;
  readonly failed: string | undefined;
  readonly look: (wish: ColourWish) => void;
  readonly stop: () => void;
}

const startTints = () => new Worker(new URL('../workers/tints.worker.ts', import.meta.url), { type: 'module' });

/** Looks for doses in a worker of its own; a new search ends the one before. */
export function useSearch(): TintSearch {
  const say = useSay();
  const screen = useWorker<TintsWork>(startTints);
  const [found, setFound] = useState<readonly FoundTint[]>();
  const [done, setDone] = useState<number>();
  const [failed, setFailed] = useState<string>();
  const stop = () => {
    screen.end();
    setDone(undefined);
  };
  const look = (wish: ColourWish) => {
    stop();
    setFailed(undefined);
    setFound(undefined);
    setDone(0);
    const own = screen.get();
    const mine = () => screen.is(own);
    const end = (act: () => void) => {
      if (!mine()) return;
      act();
      stop();
    };
    own.died.catch(() => end(() => setFailed(say('tints.searchBroke'))));
    own.remote
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
