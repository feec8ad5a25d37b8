import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { InputError, type FieldIssue } from '@dewpot/core';
import type { Problem } from '@dewpot/contract';
import type { Response } from 'express';
import { QueryFailedError } from 'typeorm';
import { ProblemError } from './problem-error.js';
import type { AppRequest } from './request.js';

const titles: Record<number, string> = {
  400: 'That request cannot be read',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not here',
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
}

function partsOf(error: unknown): Parts {
  if (error instanceof ProblemError) return error;
  if (error instanceof InputError) {
    return {
      status: 422,
      title: 'Something in this cannot be',
      detail: error.issues.map(({ message }) => message).join(' '),
      errors: error.issues,
    };
  }
  if (error instanceof HttpException) {
    const status = error.getStatus();
    return { status, title: titles[status] ?? error.message, detail: details[status] ?? error.message };
  }
  if (error instanceof QueryFailedError && (error.driverError as { code?: string }).code === '23505') {
    return { status: 409, title: 'Taken already', detail: 'Another record has this key already.' };
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

  catch(error: unknown, host: ArgumentsHost): void {
    const request = host.switchToHttp().getRequest<AppRequest>();
    const response = host.switchToHttp().getResponse<Response>();
    const { status, title, detail, errors = [], current } = partsOf(error);
    if (status >= 500)
      this.log.error(
        `${request.requestId} ${request.method} ${request.path}`,
        error instanceof Error ? error.stack : String(error),
      );
    if (response.headersSent) return;
    const problem: Problem = {
      type: 'about:blank',
      title,
      status,
      detail,
      errors,
      requestId: request.requestId,
      ...(current !== undefined && { current }),
    };
    response.status(status).type('application/problem+json').send(JSON.stringify(problem));
  }
}
