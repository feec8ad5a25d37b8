import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { InputError, type FieldIssue, msg, type Message } from '@dewpot/core/units';
import type { Problem } from '@dewpot/contract';
import type { Response } from 'express';
import { QueryFailedError } from 'typeorm';
import { outageOf, type Outage } from '../db/outage.js';
import { DatabaseHealth } from '../health/database-health.js';
import { boundedDetail, boundedErrors } from './bounded-problem.js';
import { ProblemError, type Detail } from './problem-error.js';
import { speakerOf } from './speaker.js';
import type { AppRequest } from './request.js';

const titles: Record<number, Message> = {
  400: msg('server.unreadable'),
  401: msg('server.signInFirst'),
  403: msg('server.notAllowed'),
  404: msg('server.notHere'),
  408: msg('server.tooSlow'),
  413: msg('server.tooLarge'),
  415: msg('server.wrongContent'),
  429: msg('server.tooManyTries'),
};

const details: Record<number, Message> = {
  404: msg('server.nothingHere'),
  429: msg('server.waitMinute'),
};

interface Parts {
  readonly status: number;
  readonly title: Message;
  readonly detail: Detail;
  readonly errors?: readonly FieldIssue[];
  readonly current?: unknown;
  readonly retryAfter?: number;
}

const unavailable = (detail: Message, retryAfter: number): Parts => ({
  status: 503,
  title: msg('server.unavailable'),
  detail,
  retryAfter,
});

const outages: Record<Outage, Parts> = {
  away: ProblemError.away(),
  busy: unavailable(msg('server.databaseBusy'), 2),
  full: unavailable(msg('server.diskFull'), 60),
  'read-only': unavailable(msg('server.readOnly'), 60),
};

function partsOf(error: unknown): Parts {
  if (error instanceof ProblemError) return error;
  if (error instanceof InputError) return ProblemError.of(error);
  const outage = outageOf(error);
  if (outage) return outages[outage];
  if (error instanceof HttpException) {
    const status = error.getStatus();
    const told = msg('server.asTold', { text: error.message });
    return { status, title: titles[status] ?? told, detail: details[status] ?? told };
  }
  if (error instanceof QueryFailedError) {
    const { code } = error.driverError as { code?: string };
    if (code === '23505') return { status: 409, title: msg('server.taken'), detail: msg('server.keyTaken') };
    if (code === '23503') return { status: 404, title: msg('server.notHere'), detail: msg('server.parentGone') };
    // Row-level security: the key is of another workshop, which is told as if it were not there.
    if (code === '42501') return { status: 404, title: msg('server.notHere'), detail: defined(details[404]) };
  }
  const http = error as { status?: unknown; type?: unknown; message?: string };
  if (typeof http.status === 'number' && http.status >= 400 && http.status < 500) {
    return {
      status: http.status,
      title: titles[http.status] ?? msg('server.unreadable'),
      detail: msg('server.asTold', { text: http.message ?? '' }),
    };
  }
  return { status: 500, title: msg('server.ourFault'), detail: msg('server.failed') };
}

/** Turns every error into problem details with a request id. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('Problem');

  constructor(private readonly health: DatabaseHealth) {}

  catch(error: unknown, host: ArgumentsHost): void {
    this.health.heard(error);
    const request = host.switchToHttp().getRequest<AppRequest>();
    const response = host.switchToHttp().getResponse<Response>();
    const { status, title, detail, errors = [], current, retryAfter } = partsOf(error);
    if (status === 503) this.log.warn(`${request.requestId} ${request.method} ${request.path}: ${title.key}`);
    else if (status >= 500)
      this.log.error(
        `${request.requestId} ${request.method} ${request.path}`,
        error instanceof Error ? error.stack : String(error),
      );
    if (response.headersSent) return;
    const say = speakerOf(request);
    const problem: Problem = {
      type: 'about:blank',
      title: say(title),
      status,
      detail: boundedDetail([detail].flat(), say),
      errors: boundedErrors(errors, say),
      requestId: request.requestId,
      ...(current !== undefined && { current }),
    };
    if (retryAfter !== undefined) response.setHeader('Retry-After', String(retryAfter));
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
