import { mayActAs, type Role, type SessionKind } from '@dewpot/contract';
import { msg } from '@dewpot/core/units';
import { ProblemError } from '../http/problem-error.js';
import type { FoundSession } from './sessions.js';

/** What is wanted of whoever asks for something. */
interface Wanted {
  readonly kind: SessionKind;
  readonly least: Role;
  /** It is open in a workshop that was deleted, too. */
  readonly evenRemoved?: boolean;
}

/** The session, where it may. @throws ProblemError 401 where there is none of that kind, 410 where its workshop was deleted, 403 where it may do too little */
export function admitted(
  session: FoundSession | undefined,
  { kind, least, evenRemoved = false }: Wanted,
): FoundSession {
  if (session?.kind !== kind)
    throw new ProblemError(401, msg('server.signInFirst'), { detail: msg('server.sessionEnded') });
  const { role, goneAt } = session;
  if (goneAt !== undefined && !evenRemoved)
    throw new ProblemError(410, msg('server.workshopRemoved'), {
      detail: msg('server.untilGone', { at: { at: goneAt, as: 'date' } }),
    });
  if (!mayActAs(role, least))
    throw new ProblemError(403, msg('server.notAllowed'), { detail: msg('server.roleMayNot', { role, least }) });
  return session;
}
