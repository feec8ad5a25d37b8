import { createHash } from 'node:crypto';
import { applyDecorators, Injectable, SetMetadata, Sse, type MessageEvent, type OnModuleDestroy } from '@nestjs/common';
import { ApiProduces } from '@nestjs/swagger';
import { Observable, Subject } from 'rxjs';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { sessionTopic } from '../accounts/session-topic.js';
import { Sessions } from '../accounts/sessions.js';
import type { CurrentUser } from './request.js';

export const STREAM = 'dewpot:stream';
/** How often a stream says that the line still holds, and looks whether its session does, ms. */
const BEAT = 15_000;
/** A client that was cut off comes back after so long, ms; a server that stops asks for a little more. */
const COME_BACK = 1_000;
const COME_BACK_LATER = 3_000;
/** The number of a stream that has told nothing yet. */
const BEGINNING = 'beginning';

/** What a stream tells, and when it looks for something new. */
interface Source<T> {
  readonly read: () => Promise<T | undefined>;
  /** Whatever else, it looks this often, ms. */
  readonly every: number;
  /** News of this topic is looked at once. */
  readonly topic?: string;
  /** The last message that the client has had. */
  readonly lastId: string | undefined;
}

/** A route that goes on and on: server-sent events. */
export const Stream = (path: string) =>
  applyDecorators(Sse(path), SetMetadata(STREAM, true), ApiProduces('text/event-stream'));

const idOf = (json: string) => createHash('sha256').update(json).digest('base64url').slice(0, 16);

/** Streams of what changes in a workshop. Each ends with its session, and with the server; a database that is away it waits for. */
@Injectable()
export class Streams implements OnModuleDestroy {
  private readonly over = new Subject<void>();

  constructor(
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
    private readonly sessions: Sessions,
  ) {}

  /** Ends every stream with the hint to come back. */
  end(): void {
    this.over.next();
  }

  onModuleDestroy(): void {
    this.end();
  }

  /** Tells what `source` reads, at once and whenever it has changed. */
  async open<T>(visitor: CurrentUser, source: Source<T>): Promise<Observable<MessageEvent>> {
    await this.news.listen();
    return new Observable((client) => {
      // Each message has the number of what was told last: a beat must not move the place at which the stream is taken up again.
      const tell = (message: Omit<MessageEvent, 'id'>) => client.next({ ...message, id: at() });
      const { look, at } = looking(() => this.rows.inWorkshop(visitor.workshopId, source.read), source.lastId, tell);
      // News that may have been missed end no stream: whether its session holds is looked up.
      const endWithSession = () => void this.sessions.holds(visitor).then((holds) => holds || client.complete());
      const timers = [
        setInterval(look, source.every),
        setInterval(() => {
          tell({ comment: 'still here' });
          endWithSession();
        }, BEAT),
      ];
      const ends = [
        this.over.subscribe(() => {
          tell({ type: 'bye', retry: COME_BACK_LATER, data: 'the server stops' });
          client.complete();
        }),
        this.news.heard(sessionTopic(visitor.sessionId)).subscribe(endWithSession),
        ...(source.topic ? [this.news.heard(source.topic).subscribe(look)] : []),
      ];
      tell({ retry: COME_BACK, comment: 'welcome' });
      look();
      return () => {
        timers.forEach((timer) => clearInterval(timer));
        ends.forEach((end) => end.unsubscribe());
      };
    });
  }
}

/**
 * Reads again whenever it is called, one reading at a time, and tells what differs from what was told last. What calls it while it
 * reads is not lost: it reads once more. A reading that fails is told as an outage; the next
 * one is told even where nothing changed, so that whoever listens hears that it is over.
 */
function looking<T>(
  read: () => Promise<T | undefined>,
  lastId: string | undefined,
  tell: (message: Omit<MessageEvent, 'id'>) => void,
): { readonly look: () => void; readonly at: () => string } {
  let [last, reading, again, away] = [lastId ?? BEGINNING, false, false, false];
  const once = async () => {
    try {
      const found = await read();
      if (found === undefined) return;
      const data = JSON.stringify(found);
      const id = idOf(data);
      if (id === last && !away) return;
      [last, away] = [id, false];
      tell({ data });
    } catch {
      away = true;
      tell({ type: 'away', data: 'the database does not answer: the stream waits for it' });
    }
  };
  const run = async () => {
    reading = true;
    do {
      again = false;
      await once();
    } while (again);
    reading = false;
  };
  const look = () => {
    again = true;
    if (!reading) void run();
  };
  return { look, at: () => last };
}
