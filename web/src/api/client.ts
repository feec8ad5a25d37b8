import { msg, type Phrase } from '@dewpot/core/units';
import type { Problem } from '@dewpot/contract';
import { chosenLanguage } from './language';

/** The server refused: what is wrong, by field. */
export class ProblemFailure extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
    this.name = 'ProblemFailure';
  }
}

/** Whether the server refused one of these fields. */
export const refuses = (error: unknown, ...fields: readonly string[]): boolean =>
  error instanceof ProblemFailure && (error.problem.errors?.some(({ field }) => fields.includes(field)) ?? false);

/** The server could not be reached. Nothing was saved; the same request may be sent again. */
export class Unreachable extends Error {
  /** `why`: what the server said of itself, in the reader's language. */
  constructor(readonly why: Phrase = msg('shell.serverSilent')) {
    super('The server does not answer.');
    this.name = 'Unreachable';
  }
}

type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';

async function answerTo<T>(path: string, init: RequestInit): Promise<T> {
  let response: Response;
  try {
    const headers = { 'Accept-Language': chosenLanguage(), ...init.headers };
    response = await fetch(`/api/${path}`, { credentials: 'same-origin', ...init, headers });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new Unreachable();
  }
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T);
  if (response.headers.get('Content-Type')?.includes('problem+json')) {
    const problem = (await response.json()) as Problem;
    // The server stands, but what it needs is away or busy: the same request goes through later.
    if (response.status === 503) throw new Unreachable(`${problem.title}.`);
    throw new ProblemFailure(problem);
  }
  // A gateway's own page in place of our answer: the server behind it is away.
  throw new Unreachable();
}

/**
 * Asks the API.
 * @throws ProblemFailure where it refuses, Unreachable where it does not answer.
 */
export function ask<T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  return answerTo(path, {
    method,
    ...(body !== undefined && { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
    ...(signal && { signal }),
  });
}

/** Sends a form with files. @throws as `ask` does. */
export function send<T>(path: string, form: FormData): Promise<T> {
  return answerTo(path, { method: 'POST', body: form });
}
