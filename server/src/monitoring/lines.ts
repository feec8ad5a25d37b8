import type { LoggerService, LogLevel } from '@nestjs/common';
import { Logger } from '@nestjs/common';
import pino, { type DestinationStream, type Logger as Pino } from 'pino';
import { ofApi } from '../http/request.js';
import type { Answered, Observer } from './answered.js';

/** The server's log as JSON lines, for machines that gather logs. */
export class JsonLines implements LoggerService {
  private readonly lines: Pino;

  /** `to`: where they go; to the standard output where it is left out. */
  constructor(level: 'info' | 'warn' | 'error', to?: DestinationStream) {
    const how = { level, base: null, timestamp: pino.stdTimeFunctions.isoTime, messageKey: 'message' };
    this.lines = to ? pino(how, to) : pino(how);
  }

  log(message: unknown, ...context: unknown[]): void {
    this.lines.info({ context: context.at(-1) }, String(message));
  }

  warn(message: unknown, ...context: unknown[]): void {
    this.lines.warn({ context: context.at(-1) }, String(message));
  }

  /** Of an error Nest gives the stack, and then the context. */
  error(message: unknown, ...more: unknown[]): void {
    const [stack] = more;
    this.lines.error({ context: more.at(-1), ...(more.length > 1 && { stack }) }, String(message));
  }

  /** A request: whose it was is told by key, not by name. */
  readonly observe = ({ requestId: request, visitor, ms, ...more }: Answered): void => {
    const { workshopId: workshop, personId: person } = visitor ?? {};
    this.lines.info({ request, ...more, ms: Math.round(ms), ...(visitor && { workshop, person }) }, 'answered');
  };
}

const textOf = ({ requestId, method, path, status, ms }: Answered) =>
  `${requestId} ${method} ${path} ${status} ${ms.toFixed(0)} ms`;

/** How a server tells what it does. */
export interface Telling {
  readonly logger: LoggerService | LogLevel[];
  readonly observer: Observer;
}

/** The lines of a server: text for people, JSON for machines. `quiet`: of errors alone. */
export function telling(kind: 'text' | 'json', quiet: boolean): Telling {
  if (kind === 'json') {
    const lines = new JsonLines(quiet ? 'error' : 'info');
    return { logger: lines, observer: (answered) => ofApi(answered) && lines.observe(answered) };
  }
  const requests = new Logger('Request');
  return {
    logger: quiet ? ['error'] : ['error', 'warn', 'log'],
    observer: (answered) => ofApi(answered) && requests.log(textOf(answered)),
  };
}
