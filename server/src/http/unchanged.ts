import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { IncomingHttpHeaders, IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import {
  Inject,
  Injectable,
  SetMetadata,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { MINUTE } from '@dewpot/core/units';
import type { Response } from 'express';
import { LRUCache } from 'lru-cache';
import { from, lastValueFrom, tap, type Observable } from 'rxjs';
import { clock } from '../clock.js';
import { COOKIE } from '../accounts/cookie.js';
import { Sessions } from '../accounts/sessions.js';
import { CONFIG, type ServerConfig } from '../config.js';
import type { AppRequest, Area, Revisions, Standing } from './request.js';

const hashOf = (of: string | Buffer) => createHash('sha256').update(of).digest('base64url').slice(0, 22);

export const WHILE_UNCHANGED = 'dewpot:while-unchanged';

/** What an answer is made of. */
export interface MadeOf {
  /** Areas of the workshop's rows; all of them where they are left out. */
  readonly areas?: readonly Area[];
  /** Whether it is the asker's own; else it is the same for everybody of a role. */
  readonly own?: boolean;
  /** Whether it is the same at any time; else it is a minute old at the most. */
  readonly timeless?: boolean;
}

/**
 * Marks a route whose answer is made of the workshop's rows and of the time. To whoever has it, it is
 * not sent again while nothing has changed.
 */
export const WhileUnchanged = (madeOf: MadeOf = {}) => SetMetadata(WHILE_UNCHANGED, madeOf);

/** What a state of those areas is told apart by. */
export const stateOf = (areas: readonly Area[] | undefined, revisions: Revisions): string =>
  areas ? areas.map((area) => `${area} ${revisions[area]}`).join(' ') : JSON.stringify(revisions);

/** The minute of a workshop. Each has its own second at which it begins: what is a minute old is not made anew for all of them at once. */
const minuteOf = (workshopId: string) => Math.floor((clock.now() + (parseInt(workshopId.slice(-8), 16) % MINUTE)) / MINUTE); // prettier-ignore

/** What such an answer depends on, for all who are answered the same. */
function circumstances({ areas, timeless = false }: MadeOf, standing: Standing, headers: IncomingHttpHeaders): string {
  const { workshopId, revisions, role, readsIn } = standing;
  const { language, units, currency } = readsIn;
  return [
    workshopId,
    stateOf(areas, revisions),
    role,
    language,
    units,
    currency,
    headers['accept-language'],
    timeless ? '' : minuteOf(workshopId),
  ].join(' ');
}

/** What answers that are kept for whoever asks next take together, and one of them, characters. */
const MOST_KEPT = 16_000_000;
const MOST_OF_ONE = 2_000_000;
/** What tags that were given out are kept with takes together, characters. */
const MOST_TAGS = 4_000_000;

/** To whom a tag was given out, and what the answer was made of. */
interface Given {
  readonly token: string;
  readonly madeOf: MadeOf;
  /** Of what it was an answer, for whoever counts. */
  readonly route: unknown;
}

/** Answers what has not changed without making it anew: not at all to whoever has it, else as others were answered. */
@Injectable()
export class Unchanged implements NestInterceptor {
  /** The token of whom a tag was given to, by their cookies and the tag. */
  private readonly given = new LRUCache<string, Given>({
    maxSize: MOST_TAGS,
    sizeCalculation: ({ token }, { length }) => token.length + length,
  });
  private readonly kept = new LRUCache<string, string>({
    maxSize: MOST_KEPT,
    maxEntrySize: MOST_OF_ONE,
    sizeCalculation: ({ length }, { length: keys }) => length + keys,
  });
  /** Answers that are being made: many ask at once when something has changed. */
  private readonly underWay = new Map<string, Promise<string>>();

  private readonly server: string;

  constructor(
    private readonly reflector: Reflector,
    private readonly sessions: Sessions,
    @Inject(CONFIG) { programs }: ServerConfig,
  ) {
    this.server = hashOf(readFileSync(join(programs, 'main.js')));
  }

  /**
   * Answers, before all else is done for a request, that nothing has changed: one look at the session tells. Only for a tag that
   * was given out to these cookies: whoever makes tags up has no session looked for, and is counted like everybody.
   */
  async early(request: IncomingMessage, response: ServerResponse): Promise<boolean> {
    const { method, url, headers } = request;
    const tag = headers['if-none-match'];
    if (method !== 'GET' || tag === undefined || headers.authorization !== undefined) return false;
    const given = this.given.get(`${headers.cookie} ${tag}`);
    if (!given) return false;
    // A database that is away is told of where all else is asked of it.
    const session = await this.sessions.find(given.token).catch(() => undefined);
    if (!session || session.stale || session.goneAt !== undefined) return false;
    if (this.tagOf(url, session, circumstances(given.madeOf, session, headers)) !== tag) return false;
    Object.assign(request, { visitor: session, route: given.route });
    response.writeHead(304, { ETag: tag }).end();
    return true;
  }

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const http = context.switchToHttp();
    const request = http.getRequest<AppRequest>();
    const { standing, headers, originalUrl } = request;
    const madeOf = this.reflector.get<MadeOf | undefined>(WHILE_UNCHANGED, context.getHandler());
    if (!standing || !madeOf) return next.handle();
    const now = circumstances(madeOf, standing, headers);
    // An answer is as old as its asking: its tag is of the minute in which it was begun.
    const tag = this.tagOf(originalUrl, standing, now);
    const key = `${originalUrl} ${madeOf.own ? standing.personId : ''} ${now}`;
    const answer = this.answer(key, async () => JSON.stringify(await lastValueFrom(next.handle())));
    // What is refused or fails has no tag: it is asked for anew.
    return from(answer).pipe(tap(() => this.tagged(tag, madeOf, request, http.getResponse())));
  }

  /** Gives an answer the tag by which it is asked for again. */
  private tagged(tag: string, madeOf: MadeOf, request: AppRequest, response: Response): void {
    const token = (request.cookies as Record<string, string>)[COOKIE];
    if (token) this.given.set(`${request.headers.cookie} ${tag}`, { token, madeOf, route: request.route as unknown });
    response.set({ ETag: tag, 'Cache-Control': 'private, no-cache' }).type('json');
  }

  /** The tag of what somebody is answered at an address as things are now, by this code of the server. */
  private tagOf(url: string | undefined, { personId }: Standing, now: string): string {
    return `W/"${hashOf(`${this.server} ${url} ${personId} ${now}`)}"`;
  }

  private async answer(key: string, make: () => Promise<string>): Promise<string> {
    const kept = this.kept.get(key);
    if (kept !== undefined) return kept;
    // Where the one who asked first gets no answer, why is told to them; whoever waited beside them asks anew.
    const before = await this.underWay.get(key)?.catch(() => undefined);
    if (before !== undefined) return before;
    const making = make();
    this.underWay.set(key, making);
    try {
      const made = await making;
      this.kept.set(key, made);
      return made;
    } finally {
      if (this.underWay.get(key) === making) this.underWay.delete(key);
    }
  }
}
