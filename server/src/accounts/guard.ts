import { msg } from '@dewpot/core/units';
import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Response } from 'express';
import { CONFIG, type ServerConfig } from '../config.js';
import { ProblemError } from '../http/problem-error.js';
import { PUBLIC, type AppRequest, type PublicWhen } from '../http/request.js';
import { COOKIE, cookie } from './cookie.js';
import { Sessions } from './sessions.js';

/** What a request brings to be known by: a script's token, or the session's cookie. */
function tokenOf({ headers, cookies }: AppRequest): { token?: string | undefined; kind: 'script' | 'browser' } {
  const [, token] = /^Bearer (\S+)$/.exec(headers.authorization ?? '') ?? [];
  if (headers.authorization !== undefined) return { token, kind: 'script' };
  const kept = (cookies as Record<string, unknown>)[COOKIE];
  return { ...(typeof kept === 'string' && { token: kept }), kind: 'browser' };
}

/** Lets a request in by its session; only routes marked public do without. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    private readonly sessions: Sessions,
    private readonly reflector: Reflector,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const open = this.reflector.getAllAndOverride<PublicWhen>(PUBLIC, [context.getHandler(), context.getClass()]);
    if (open === 'always' || (open && this.config.loopback)) return true;
    const http = context.switchToHttp();
    const request = http.getRequest<AppRequest>();
    const { token, kind } = tokenOf(request);
    const session = token === undefined ? undefined : await this.sessions.find(token);
    if (!token || !session || session.kind !== kind)
      throw new ProblemError(401, msg('server.signInFirst'), { detail: msg('server.sessionEnded') });
    if (session.stale) {
      const renewed = await this.sessions.renew(session, token);
      if (renewed) http.getResponse<Response>().cookie(COOKIE, renewed, cookie);
    }
    const { sessionId, personId, workshopId } = session;
    request.visitor = { sessionId, personId, workshopId };
    request.readsIn = session.readsIn;
    return true;
  }
}
