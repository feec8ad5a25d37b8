import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { CurrentUser } from '../http/request.js';

/** A request that was answered. */
export interface Answered {
  readonly requestId: string;
  readonly method: string;
  /** Where it went, without what was asked: that may be anybody's words. */
  readonly path: string;
  /** The route as it is declared; undefined where there is none, and for the files of the web application. */
  readonly route?: string;
  readonly status: number;
  /** From its headers to the last byte of the answer. */
  readonly ms: number;
  readonly visitor?: Pick<CurrentUser, 'personId' | 'workshopId'>;
}

export type Observer = (answered: Answered) => void;

/** What the parts of the server leave on a request on its way. */
interface Passed {
  requestId?: string;
  readonly originalUrl?: string;
  readonly route?: { readonly path?: unknown };
  readonly visitor?: CurrentUser;
}

/** A request with its answer, as far as it got; `since`: when it began, by `performance.now()`. */
export const answeredBy = (
  request: IncomingMessage & Passed,
  { statusCode }: ServerResponse,
  since: number,
): Answered => {
  const { visitor, route } = request;
  const [path = ''] = (request.originalUrl ?? request.url ?? '').split('?');
  return {
    requestId: request.requestId ?? '',
    method: request.method ?? '',
    path,
    ...(typeof route?.path === 'string' && { route: route.path }),
    status: statusCode,
    ms: performance.now() - since,
    ...(visitor && { visitor }),
  };
};

/** Gives a request its number, which its answer carries, and tells the observers once it is answered. */
export function observe(
  request: IncomingMessage & Passed,
  response: ServerResponse,
  observers: readonly Observer[],
): void {
  request.requestId = randomUUID();
  response.setHeader('X-Request-Id', request.requestId);
  const since = performance.now();
  response.once('finish', () => {
    const answered = answeredBy(request, response, since);
    for (const observer of observers) observer(answered);
  });
}
