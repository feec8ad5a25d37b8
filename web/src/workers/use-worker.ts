import { useEffect, useRef, useState } from 'react';
import type { FieldIssue } from '@dewpot/core/units';
import { proxy, wrap, type Remote } from 'comlink';
import type { FileAnswer, FilesWork } from './files.worker';

/** Heavy work as the screen sees it. */
export interface Work {
  /** Share done, while something runs. */
  readonly done: number | undefined;
  readonly issues: readonly FieldIssue[];
  /** Runs one job in the worker; undefined where it was refused or stopped. */
  readonly run: <T>(
    job: (files: Remote<FilesWork>, progress: (done: number) => void) => Promise<FileAnswer<T>>,
  ) => Promise<T | undefined>;
  /** Stops at once, whatever runs, and forgets what was wrong. */
  readonly stop: () => void;
}

interface Running {
  readonly worker: Worker;
  /** Held as long as the worker: when it is let go, comlink tells the worker to listen no more. */
  readonly files: Remote<FilesWork>;
}

function start(): Running {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  return { worker, files: wrap<FilesWork>(worker) };
}

/** An answer in place of one that never came: its worker is not to be asked again. */
const givenUp = (message: string) => ({
  issues: [{ field: 'file', value: null, message, remedy: 'Save it with fewer triangles, and try again.' }],
  broken: true,
});

/** A worker of this screen, started when it is first wanted and ended with the screen. */
export function useWorker(): Work {
  const running = useRef<Running>(undefined);
  const turn = useRef(0);
  const [done, setDone] = useState<number>();
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  useEffect(() => () => running.current?.worker.terminate(), []);
  const stop = () => {
    running.current?.worker.terminate();
    running.current = undefined;
    turn.current++;
    setDone(undefined);
    setIssues([]);
  };
  const run: Work['run'] = (job) => {
    running.current ??= start();
    const { worker, files } = running.current;
    const own = ++turn.current;
    setIssues([]);
    setDone(0);
    // A worker that runs out of memory dies without an answer: that must be told too.
    const died = new Promise<FileAnswer<never>>((settle) => {
      worker.onerror = (event) => {
        event.preventDefault();
        settle(givenUp('The file could not be read: it is too large for this browser.'));
      };
    });
    const progress = proxy((share: number) => own === turn.current && setDone(share));
    const failed = (error: unknown) => givenUp(`The file could not be read: ${String(error)}.`);
    return Promise.race([job(files, progress).catch(failed), died]).then((answer) => {
      if (own !== turn.current) return undefined;
      if ('broken' in answer) {
        worker.terminate();
        running.current = undefined;
      }
      // What is still told of its progress comes too late.
      turn.current++;
      setDone(undefined);
      if ('ok' in answer) return answer.ok;
      setIssues(answer.issues);
      return undefined;
    });
  };
  return { done, issues, run, stop };
}
