import type { ReactNode } from 'react';
import { useSyncExternalStore } from 'react';
import { InputError } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import { ProblemFailure } from '../api/client';
import { useSay } from './say';
import { sayError } from './input-error-message';

/** While something is read. */
export function Busy({ what }: { what: string }) {
  const say = useSay();
  return (
    <p role="status" className="quiet p-6">
      {say('today.fetching', { what })}
    </p>
  );
}

/** A screen with nothing on it yet: what to do first. */
export function Empty({
  title,
  children,
  level: Heading = 'h2',
}: {
  title: string;
  children: ReactNode;
  level?: 'h1' | 'h2';
}) {
  return (
    <div className="card-slab mx-auto my-8 max-w-xl border-dashed p-8 text-center">
      <Heading className="mb-2 text-2xl">{title}</Heading>
      <div className="quiet space-y-4">{children}</div>
    </div>
  );
}

/** The fields of a screen are looked up as it is drawn; nobody tells when they change. */
const untold = () => () => undefined;

/** Leads to the field that was refused, where the screen has one of that name. */
function ToField({ field }: { field: string }) {
  const say = useSay();
  const there = useSyncExternalStore(untold, () => document.getElementsByName(field)[0]);
  if (!there) return null;
  return (
    <button type="button" className="link min-h-11" onClick={() => there.focus()}>
      {say('today.correctIt')}
    </button>
  );
}

/** What is wrong by field: as the server told it, or as core did here. */
function issuesOf(error: unknown, say: Speaker) {
  if (error instanceof InputError)
    return error.issues.map(({ field, message, remedy }) => ({ field, message: say(message), remedy: say(remedy) }));
  return error instanceof ProblemFailure ? (error.problem.errors ?? []) : [];
}

/** What went wrong and what to do about it, field by field. */
export function Failure({ error, children }: { error: unknown; children?: ReactNode }) {
  const say = useSay();
  if (!error) return null;
  const problem = error instanceof ProblemFailure ? error.problem : undefined;
  const issues = issuesOf(error, say);
  return (
    <div role="alert" className="border-error bg-base-100 my-3 border-l-4 p-3">
      <p className="text-error font-semibold">{problem?.title ?? say('today.didNotWork')}</p>
      {issues.length === 0 && <p>{sayError(error, say)}</p>}
      <ul className="space-y-1">
        {issues.map(({ field, message, remedy }, i) => (
          <li key={`${field}-${i}`}>
            {message} <span className="quiet">{remedy}</span> <ToField field={field} />
          </li>
        ))}
      </ul>
      {children}
    </div>
  );
}
