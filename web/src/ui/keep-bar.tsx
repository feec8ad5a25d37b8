import type { ReactNode } from 'react';
import { Trash2 } from 'lucide-react';
import { ProblemFailure } from '../api/client';
import { Button } from './button';
import { useMay } from './for-role';
import { Failure } from './states';
import { useSay } from './say';
import { WhoDidWhat } from './who-did-what';

/** A write as a form watches it. */
interface Watched {
  readonly isPending: boolean;
  readonly failureCount: number;
  readonly error: Error | null;
}

/** Where another browser saved first: keeping one's own goes by the version that stands now. */
export function StaleChoice({ error, onKeepMine }: { error: unknown; onKeepMine: (version: number) => void }) {
  const say = useSay();
  const problem = error instanceof ProblemFailure ? error.problem : undefined;
  const current = problem?.status === 409 ? (problem.current as { version: number } | undefined) : undefined;
  return (
    <Failure error={error}>
      {current && (
        <p className="mt-2 flex flex-wrap gap-2">
          <Button look="main" size="own" onClick={() => onKeepMine(current.version)}>
            {say('ui.saveMine')}
          </Button>
          <Button size="own" onClick={() => window.location.reload()}>
            {say('ui.takeTheirs')}
          </Button>
        </p>
      )}
    </Failure>
  );
}

/** The foot of an editor: keep it, go on from it, throw it away. Throwing away asks first, since no undo brings it back. */
export function KeepBar({
  what,
  record,
  save,
  disabled,
  onKeep,
  onThrowAway,
  children,
}: {
  what: string;
  /** The thing that is edited, once it was kept. */
  record?: string | undefined;
  save: Watched;
  disabled: boolean;
  onKeep: () => void;
  /** What to ask before, and what to do; left out for what was never kept. */
  onThrowAway?: { readonly question: string; readonly act: () => void } | undefined;
  children?: ReactNode;
}) {
  const say = useSay();
  const may = useMay('caster');
  const waiting = save.failureCount > 0 ? say('ui.waitingConnection') : say('ui.saving');
  if (!may)
    return (
      <div className="action-bar items-center">
        <p className="quiet flex-1 text-sm">{say('ui.castersSave')}</p>
        {children}
      </div>
    );
  return (
    <div className="action-bar">
      <Button
        look="main"
        size="tall"
        className="flex-1 px-3 text-lg whitespace-nowrap"
        disabled={disabled || save.isPending}
        onClick={onKeep}
      >
        {save.isPending ? waiting : say('ui.saveWhat', { what })}
      </Button>
      {children}
      {record !== undefined && <WhoDidWhat record={record} className="h-14 w-12 shrink-0 p-0" />}
      {onThrowAway && (
        <Button
          look="plain"
          size="own"
          className="h-14 w-12 shrink-0 p-0"
          aria-label={say('ui.delete')}
          title={say('ui.delete')}
          onClick={() => window.confirm(onThrowAway.question) && onThrowAway.act()}
        >
          <Trash2 size={20} aria-hidden="true" />
        </Button>
      )}
    </div>
  );
}
