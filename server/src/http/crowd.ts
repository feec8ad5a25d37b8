import { msg } from '@dewpot/core/units';
import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Response } from 'express';
import { ProblemError } from './problem-error.js';
import type { AppRequest } from './request.js';
import { STREAM } from './streams.js';

/** Requests and streams of one person at once, on one server: more than any number of open pages asks for. */
const MOST_REQUESTS = 40;
const MOST_STREAMS = 24;

/** Counts what runs at once, by whom. */
class Tally {
  private readonly counts = new Map<string, number>();

  constructor(private readonly most: number) {}

  /** Takes a place; answers whether there was one. */
  take(who: string): boolean {
    const count = this.counts.get(who) ?? 0;
    if (count >= this.most) return false;
    this.counts.set(who, count + 1);
    return true;
  }

  give(who: string): void {
    const left = (this.counts.get(who) ?? 1) - 1;
    if (left > 0) this.counts.set(who, left);
    else this.counts.delete(who);
  }
}

/** Lets one person, or one address that has not signed in, do only so much at once, so that there is room for everybody. */
@Injectable()
export class CrowdGuard implements CanActivate {
  private readonly requests = new Tally(MOST_REQUESTS);
  private readonly streams = new Tally(MOST_STREAMS);

  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    const http = context.switchToHttp();
    const { visitor, ip = '' } = http.getRequest<AppRequest>();
    const who = visitor?.personId ?? ip;
    const tally = this.reflector.get<boolean>(STREAM, context.getHandler()) ? this.streams : this.requests;
    if (!tally.take(who))
      throw new ProblemError(429, msg('server.tooMuchAtOnce'), {
        detail: msg('server.manyOpen'),
        retryAfter: 2,
      });
    http.getResponse<Response>().once('close', () => tally.give(who));
    return true;
  }
}
