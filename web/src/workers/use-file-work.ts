import { useRef, useState } from 'react';
import { msg, type FieldIssue, type Message } from '@dewpot/core/units';
import { proxy, type Remote } from 'comlink';
import type { FileAnswer, FilesWork } from './files.worker';
import { useWorker } from './use-worker';

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

const startFiles = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });

/** An answer in place of one that never came: its worker is not to be asked again. */
const givenUp = (message: Message) => ({
  issues: [{ field: 'file', value: null, message, remedy: msg('files.fewerTrianglesAgain') }],
  broken: true,
});

/** Heavy work on files in a worker of this screen. */
export function useFileWork(): Work {
  const own = useWorker<FilesWork>(startFiles);
  const turn = useRef(0);
  const [done, setDone] = useState<number>();
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  const stop = () => {
    own.end();
    turn.current++;
    setDone(undefined);
    setIssues([]);
  };
  const run: Work['run'] = (job) => {
    const { died, remote } = own.get();
    const mine = ++turn.current;
    setIssues([]);
    setDone(0);
    // A worker that runs out of memory dies without an answer: that must be told too.
    const tooLarge = died.catch(() => givenUp(msg('files.tooLarge')));
    const progress = proxy((share: number) => mine === turn.current && setDone(share));
    const failed = (error: unknown) => givenUp(msg('files.notRead', { error: String(error) }));
    return Promise.race([job(remote, progress).catch(failed), tooLarge]).then((answer) => {
      if (mine !== turn.current) return undefined;
      if ('broken' in answer) own.end();
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
