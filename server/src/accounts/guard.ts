import { msg } from '@dewpot/core/units';
import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Role } from '@dewpot/contract';
import type { Response } from 'express';
import { CONFIG, type ServerConfig } from '../config.js';
import { ProblemError } from '../http/problem-error.js';
import {
  EVEN_REMOVED,
  IN_PERSON,
  LEAST_ROLE,
  marked,
  PUBLIC,
  type AppRequest,
  type PublicWhen,
} from '../http/request.js';
import { admitted } from './admission.js';
import { COOKIE, cookieFor } from './cookie.js';
import { Sessions } from './sessions.js';

/** What a request brings to be known by: a script's token, or the session's cookie. */
function tokenOf({ headers, cookies }: AppRequest): { token?: string | undefined; kind: 'script' | 'browser' } {
  const [, token] = /^Bearer (\S+)$/.exec(headers.authorization ?? '') ?? [];
  if (headers.authorization !== undefined) return { token, kind: 'script' };
  const kept = (cookies as Record<string, unknown>)[COOKIE];
  return { ...(typeof kept === 'string' && { token: kept }), kind: 'browser' };
}

/** Who may send a request that is not marked otherwise: guests what only reads, casters what changes something. */
const leastFor = (method: string): Role => (method === 'GET' || method === 'HEAD' ? 'guest' : 'caster');

/** Lets a request in by its session and its role; only routes marked public do without. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    private readonly sessions: Sessions,
    private readonly reflector: Reflector,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const open = marked<PublicWhen>(this.reflector, PUBLIC, context);
    if (open === 'always' || (open && this.config.loopback)) return true;
    const http = context.switchToHttp();
    const request = http.getRequest<AppRequest>();
    const { token, kind } = tokenOf(request);
    const session = admitted(token === undefined ? undefined : await this.sessions.find(token), {
      kind,
      least: marked<Role>(this.reflector, LEAST_ROLE, context) ?? leastFor(request.method),
      evenRemoved: marked<boolean>(this.reflector, EVEN_REMOVED, context) ?? false,
    });
    if (kind === 'script' && marked<boolean>(this.reflector, IN_PERSON, context))
      throw new ProblemError(403, msg('server.notAllowed'), { detail: msg('server.inPerson') });
    if (session.stale && token !== undefined) {
      const renewed = await this.sessions.renew(session, token);
      if (renewed) http.getResponse<Response>().cookie(COOKIE, renewed, cookieFor(request));
    }
    const { sessionId, personId, name, workshopId } = session;
    request.visitor = { sessionId, personId, name, workshopId };
    request.readsIn = session.readsIn;
    request.standing = session;
    return true;
  }
}
