import { useEffect, useMemo, useRef, useState } from 'react';
import { InputError, issueInWords, type Message } from '@dewpot/core/units';
import { checkLengths, type CutLengths, type LengthWanted, type Stick } from '@dewpot/core/cutting';
import { loadSolver } from '@dewpot/core/solver';
import { makeCuttingWork, type CuttingWork } from '../workers/cutting-work';
import { useWorker } from '../workers/use-worker';

const startCutting = () => new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' });

/** What comes of cutting: nothing yet, what is wrong, that the sticks do not do, or which stick gives what. */
interface CutState {
  readonly asked?: string;
  readonly cut?: CutLengths | undefined;
  readonly error?: unknown;
}

/** Looks for the fewest sticks in a worker of this screen where there is one; what was asked before is passed over. */
export function useCutLengths(wanted: readonly LengthWanted[], sticks: readonly Stick[], kerf: number) {
  const own = useWorker<CuttingWork>(startCutting);
  const here = useRef<CuttingWork>(undefined);
  const [state, setState] = useState<CutState>({});
  const asked = JSON.stringify([wanted, sticks, kerf]);
  const wrong = useMemo((): Message | undefined => {
    const [all, some, saw] = JSON.parse(asked) as [LengthWanted[], Stick[], number | null];
    try {
      checkLengths(all, some, saw ?? NaN);
      return undefined;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      const [first] = error.issues;
      return first && issueInWords(first);
    }
  }, [asked]);
  useEffect(() => {
    if (wrong) return;
    let mine = true;
    const [all, some, saw] = JSON.parse(asked) as [LengthWanted[], Stick[], number];
    const running = 'Worker' in window ? own.get() : undefined;
    const work = running?.remote ?? (here.current ??= makeCuttingWork(() => loadSolver()));
    const answer = work.lengths(all, some, saw);
    Promise.race([answer, ...(running ? [running.died] : [])]).then(
      (cut) => mine && setState({ asked, cut }),
      (error: unknown) => {
        own.end();
        if (mine) setState({ asked, error });
      },
    );
    return () => {
      mine = false;
    };
  }, [asked, wrong, own]);
  return { wrong, busy: !wrong && state.asked !== asked, cut: state.cut, error: state.error };
}
