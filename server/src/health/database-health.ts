import {
  Inject,
  Injectable,
  Logger,
  type CanActivate,
  type ExecutionContext,
  type OnModuleDestroy,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import pg from 'pg';
import { SECOND } from '@dewpot/core/units';
import { clock } from '../clock.js';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from '../db/connection.js';
import { outageOf, type Outage } from '../db/outage.js';
import { ProblemError } from '../http/problem-error.js';
import { marked, NEEDS_NO_DATABASE } from '../http/request.js';

/** The database is asked at most this often, whoever asks us, ms; without an answer for so long it is away. */
const EVERY = 1_000;
const PATIENCE = 800;

export type DatabaseState = 'ok' | Outage;

/** Takes new room on the disk, about a megabyte, and gives it back: what is written over old rows needs none. */
const TAKE_ROOM = `CREATE TEMP TABLE room AS SELECT md5(random()::text) FROM generate_series(1, 20000); DROP TABLE room`;

/** Whether the database answers, and whether it can be written to: by a connection of its own, so that no crowd of requests is in its way. */
@Injectable()
export class DatabaseHealth implements OnModuleDestroy {
  private readonly log = new Logger(DatabaseHealth.name);
  private readonly line: pg.Pool;
  private asked = { at: -Infinity, state: Promise.resolve<DatabaseState>('ok') };
  /** What was last known. */
  last: DatabaseState = 'ok';
  /** A request found the disk full, and no room was found since. */
  private full = false;

  constructor(@Inject(CONFIG) { ownerUrl }: ServerConfig) {
    this.line = new pg.Pool({
      connectionString: appUrl(ownerUrl),
      application_name: 'dewpot health',
      max: 1,
      connectionTimeoutMillis: PATIENCE,
      query_timeout: PATIENCE,
      // Later than we: a write that a second host does not take is otherwise said to be done, though it waits there.
      statement_timeout: 2 * PATIENCE,
    });
    // A line that breaks while nobody asks is made again by who asks next.
    this.line.on('error', () => (this.last = 'away'));
  }

  /** The state of now, or of less than a second ago. */
  state(): Promise<DatabaseState> {
    const now = Date.now();
    if (now - this.asked.at > EVERY) this.asked = { at: now, state: this.look() };
    return this.asked.state;
  }

  /** Hears of what went wrong with a request: a full disk shows itself there before it does to a small write. */
  heard(error: unknown): void {
    if (outageOf(error) !== 'full' || this.full) return;
    this.full = true;
    // What was known a moment ago holds no longer.
    this.asked.at = -Infinity;
  }

  async onModuleDestroy(): Promise<void> {
    await this.line.end();
  }

  /** A write, however small: a database that can only be read shows itself in nothing else. It tells the time too. */
  private async pulse(): Promise<void> {
    // The machine's own clock, also where a test holds `Date.now` still.
    const asked = new Date().getTime();
    const { rows } = await this.line.query<{ at: number }>(
      'select pulse(), extract(epoch from clock_timestamp())::float8 * 1000 as at',
    );
    const before = clock.offset;
    clock.hear(rows[0]?.at ?? asked, asked, new Date().getTime());
    if (clock.offset !== 0 && before === 0)
      this.log.warn(
        `This server's clock is ${Math.round(clock.offset / SECOND)} s off the database's, which it goes by.`,
      );
  }

  private async look(): Promise<DatabaseState> {
    try {
      await this.pulse();
      if (this.full) await this.line.query(TAKE_ROOM);
      this.full = false;
      this.last = 'ok';
    } catch (error) {
      this.last = outageOf(error) ?? 'away';
    }
    return this.last;
  }
}

/** Answers at once while the database is known to be away, rather than let each request find it out by itself. */
@Injectable()
export class DatabaseGuard implements CanActivate {
  constructor(
    private readonly health: DatabaseHealth,
    private readonly reflector: Reflector,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (marked<boolean>(this.reflector, NEEDS_NO_DATABASE, context)) return true;
    const fresh = this.health.state();
    if (this.health.last === 'away' && (await fresh) === 'away') throw ProblemError.away();
    return true;
  }
}
