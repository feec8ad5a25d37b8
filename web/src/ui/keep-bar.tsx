import type { ReactNode } from 'react';
import { ProblemFailure } from '../api/client';
import { Failure } from './states';

/** A write as a form watches it. */
interface Watched {
  readonly isPending: boolean;
  readonly failureCount: number;
  readonly error: Error | null;
}

/** Where another browser saved first: keeping one's own goes by the version that stands now. */
export function StaleChoice({ error, onKeepMine }: { error: unknown; onKeepMine: (version: number) => void }) {
  const problem = error instanceof ProblemFailure ? error.problem : undefined;
  const current = problem?.status === 409 ? (problem.current as { version: number } | undefined) : undefined;
  return (
    <Failure error={error}>
      {current && (
        <p className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn btn-primary" onClick={() => onKeepMine(current.version)}>
            Keep mine
          </button>
          <button type="button" className="btn btn-ghost bg-base-300/60" onClick={() => window.location.reload()}>
            Take theirs
          </button>
        </p>
      )}
    </Failure>
  );
}

/** The foot of an editor: keep it, go on from it, throw it away. Throwing away asks first, since no undo brings it back. */
export function KeepBar({
  what,
  save,
  disabled,
  onKeep,
  onThrowAway,
  children,
}: {
  what: string;
  save: Watched;
  disabled: boolean;
  onKeep: () => void;
  /** What to ask before, and what to do; left out for what was never kept. */
  onThrowAway?: { readonly question: string; readonly act: () => void } | undefined;
  children?: ReactNode;
}) {
  const waiting = save.failureCount > 0 ? 'Waiting for the connection…' : 'Keeping…';
  return (
    <div className="action-bar">
      <button
        type="button"
        className="btn btn-primary h-14 flex-1 text-lg"
        disabled={disabled || save.isPending}
        onClick={onKeep}
      >
        {save.isPending ? waiting : `Keep this ${what}`}
      </button>
      {children}
      {onThrowAway && (
        <button
          type="button"
          className="btn btn-ghost h-14"
          onClick={() => window.confirm(onThrowAway.question) && onThrowAway.act()}
        >
          Throw away
        </button>
      )}
    </div>
  );
}
