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
  constructor(
    readonly why: Phrase = msg('shell.serverSilent'),
    /** It was only asked for something. */
    readonly reading = false,
  ) {
    super('The server does not answer.');
    this.name = 'Unreachable';
  }
}

/** Whether the server was there when it was asked last. */
export const reachable = {
  now: true,
  ears: new Set<() => void>(),
  is(now: boolean): void {
    if (now === this.now) return;
    this.now = now;
    this.ears.forEach((ear) => ear());
  },
};

type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';

/** What an answer brings, or throws. */
async function answerOf<T>(response: Response, reading = false): Promise<T> {
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await response.json()) as T);
  if (response.headers.get('Content-Type')?.includes('problem+json')) {
    const problem = (await response.json()) as Problem;
    // The server stands, but what it needs is away or busy: the same request goes through later.
    if (response.status === 503) throw new Unreachable(`${problem.title}.`, reading);
    throw new ProblemFailure(problem);
  }
  // A gateway's own page in place of our answer: the server behind it is away.
  throw new Unreachable(undefined, reading);
}

async function reach(path: string, init: RequestInit): Promise<Response> {
  try {
    const headers = { 'Accept-Language': chosenLanguage(), ...init.headers };
    const response = await fetch(`/api/${path}`, { credentials: 'same-origin', ...init, headers });
    reachable.is(true);
    return response;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    reachable.is(false);
    throw new Unreachable(undefined, init.method === 'GET');
  }
}

const answerTo = async <T>(path: string, init: RequestInit): Promise<T> =>
  answerOf<T>(await reach(path, init), init.method === 'GET');

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

/** How far something is on its way. */
export interface OnTheWay {
  /** Told again and again: bytes that went through so far. */
  readonly onBytes: (bytes: number) => void;
  readonly signal: AbortSignal;
}

/** Fetches a file. @throws as `ask` does, and where the connection breaks before its end. */
export async function fetchFile(path: string, { onBytes, signal }: OnTheWay): Promise<{ file: Blob; name: string }> {
  const response = await reach(path, { signal });
  if (!response.ok || !response.body) return answerOf(response);
  const [, name = ''] = /filename="?([^";]+)/.exec(response.headers.get('Content-Disposition') ?? '') ?? [];
  let bytes = 0;
  const counted = new TransformStream<Uint8Array, Uint8Array>({
    transform(chunk, out) {
      bytes += chunk.length;
      onBytes(bytes);
      out.enqueue(chunk);
    },
  });
  try {
    return { file: await new Response(response.body.pipeThrough(counted)).blob(), name };
  } catch (error) {
    if (signal.aborted) throw error;
    throw new Unreachable();
  }
}

/** Sends a file as it is. Of the ways to send one, this alone tells how far it is. @throws as `ask` does */
export function sendFile<T>(path: string, file: Blob, { onBytes, signal }: OnTheWay): Promise<T> {
  const request = new XMLHttpRequest();
  return new Promise<Response>((done, failed) => {
    request.open('POST', `/api/${path}`);
    request.setRequestHeader('Accept-Language', chosenLanguage());
    request.setRequestHeader('Content-Type', 'application/zip');
    request.upload.onprogress = ({ loaded }) => onBytes(loaded);
    request.onload = () => {
      const type = request.getResponseHeader('Content-Type') ?? '';
      done(new Response(request.responseText, { status: request.status, headers: { 'Content-Type': type } }));
    };
    request.onerror = () => failed(new Unreachable());
    request.onabort = () => failed(new DOMException('', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  }).then((response) => answerOf<T>(response));
}
