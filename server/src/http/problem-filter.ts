import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { InputError, type FieldIssue } from '@dewpot/core/units';
import type { Problem } from '@dewpot/contract';
import type { Response } from 'express';
import { QueryFailedError } from 'typeorm';
import { outageOf, type Outage } from '../db/outage.js';
import { DatabaseHealth } from '../health/database-health.js';
import { boundedDetail, boundedErrors } from './bounded-problem.js';
import { ProblemError } from './problem-error.js';
import type { AppRequest } from './request.js';

const titles: Record<number, string> = {
  400: 'That request cannot be read',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not here',
  408: 'Too slow',
  413: 'Too large',
  415: 'Wrong kind of content',
  429: 'Too many tries',
};

const details: Record<number, string> = {
  404: 'There is nothing at this address.',
  429: 'Wait a minute, then try again.',
};

interface Parts {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly errors?: readonly FieldIssue[];
  readonly current?: unknown;
  readonly retryAfter?: number;
}

const unavailable = (detail: string, retryAfter: number): Parts => ({
  status: 503,
  title: 'Not available just now',
  detail: `${detail} Nothing of this was saved.`,
  retryAfter,
});

const outages: Record<Outage, Parts> = {
  away: ProblemError.away(),
  busy: unavailable('The database is busy. Try again in a few seconds.', 2),
  full: unavailable('The disk of the database is full: free some room.', 60),
  'read-only': unavailable('The database can be read but not written to.', 60),
};

function partsOf(error: unknown): Parts {
  if (error instanceof ProblemError) return error;
  if (error instanceof InputError) return ProblemError.of(error);
  const outage = outageOf(error);
  if (outage) return outages[outage];
  if (error instanceof HttpException) {
    const status = error.getStatus();
    return { status, title: titles[status] ?? error.message, detail: details[status] ?? error.message };
  }
  if (error instanceof QueryFailedError) {
    const { code } = error.driverError as { code?: string };
    if (code === '23505')
      return { status: 409, title: 'Taken already', detail: 'Another record has this key already.' };
    if (code === '23503') return { status: 404, title: 'Not here', detail: 'What this belongs to was removed.' };
    // Row-level security: the key is of another workshop, which is told as if it were not there.
    if (code === '42501') return { status: 404, title: 'Not here', detail: defined(details[404]) };
  }
  const http = error as { status?: unknown; type?: unknown; message?: string };
  if (typeof http.status === 'number' && http.status >= 400 && http.status < 500) {
    return {
      status: http.status,
      title: titles[http.status] ?? 'That request cannot be read',
      detail: http.message ?? '',
    };
  }
  return { status: 500, title: 'Our fault', detail: 'Something failed on the server. Nothing was changed; try again.' };
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
    if (status === 503) this.log.warn(`${request.requestId} ${request.method} ${request.path}: ${detail}`);
    else if (status >= 500)
      this.log.error(
        `${request.requestId} ${request.method} ${request.path}`,
        error instanceof Error ? error.stack : String(error),
      );
    if (response.headersSent) return;
    const problem: Problem = {
      type: 'about:blank',
      title,
      status,
      detail: boundedDetail(detail),
      errors: boundedErrors(errors),
      requestId: request.requestId,
      ...(current !== undefined && { current }),
    };
    if (retryAfter !== undefined) response.setHeader('Retry-After', String(retryAfter));
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
