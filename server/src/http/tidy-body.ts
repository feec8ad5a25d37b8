import { msg, type Message } from '@dewpot/core/units';
import type { NextFunction, Response } from 'express';
import { ProblemError } from './problem-error.js';
import type { AppRequest } from './request.js';

/** Nothing that is asked lies deeper: a mesh's points lie eight deep. */
const MOST_DEPTH = 24;

/** Half of a pair of code units, which is no character. */
const LONE = /\p{Surrogate}/u;

const refused = (field: string, message: Message, remedy: Message) =>
  ProblemError.refused(msg('server.unreadable'), field, null, message, remedy);

/** Text as PostgreSQL can hold it, composed in one way (NFC). @throws ProblemError 422 */
function tidyText(text: string, field: string): string {
  if (text.includes('\u0000') || LONE.test(text))
    throw refused(field, msg('server.badCharacter'), msg('server.withoutCharacter'));
  return text.normalize('NFC');
}

/**
 * Composes all text of a body in one way, in place; refuses what no field may hold: text that cannot be stored, `null`, and what
 * lies too deep. Goes without recursion, so that no depth can fell it. @throws ProblemError 422
 */
export function tidy(body: unknown): void {
  if (typeof body !== 'object' || body === null) return;
  // Each element of a list would be checked by itself, and the list then taken for what was checked.
  if (Array.isArray(body)) throw refused('body', msg('server.isList'), msg('server.sendObject'));
  const open: { readonly of: Record<string, unknown>; readonly path: string; readonly depth: number }[] = [
    { of: body as Record<string, unknown>, path: '', depth: 1 },
  ];
  for (let at = open.pop(); at; at = open.pop()) {
    const { of, path, depth } = at;
    for (const [key, value] of Object.entries(of)) {
      const field = `${path}${tidyText(key, path || 'body')}`;
      if (value === null) throw refused(field, msg('server.isNull'), msg('server.omitUnsaid'));
      if (typeof value === 'string') of[key] = tidyText(value, field);
      if (typeof value !== 'object') continue;
      if (depth >= MOST_DEPTH) throw refused(field, msg('server.tooDeep'), msg('server.flatter'));
      open.push({ of: value as Record<string, unknown>, path: `${field}.`, depth: depth + 1 });
    }
  }
}

/** Tidies the body of each request once it is read. */
export function tidyBody(request: AppRequest, _: Response, next: NextFunction): void {
  tidy(request.body);
  next();
}
