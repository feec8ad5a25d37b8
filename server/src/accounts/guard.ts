import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ProblemError } from '../http/problem-error.js';
import { PUBLIC, type AppRequest } from '../http/request.js';
import { Sessions } from './sessions.js';

export const COOKIE = 'dewpot_session';

/** Lets a request in by its session cookie; only routes marked public do without. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    private readonly sessions: Sessions,
    private readonly reflector: Reflector,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.getAllAndOverride<boolean>(PUBLIC, [context.getHandler(), context.getClass()])) return true;
    const request = context.switchToHttp().getRequest<AppRequest>();
    const cookies = request.cookies as Record<string, unknown>;
    const token = cookies[COOKIE];
    const visitor = typeof token === 'string' ? await this.sessions.visitor(token) : undefined;
    if (!visitor)
      throw new ProblemError(401, 'Sign in first', { detail: 'Your session has ended, or you have not signed in.' });
    request.visitor = visitor;
    return true;
  }
}
