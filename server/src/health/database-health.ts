import { Inject, Injectable, type CanActivate, type ExecutionContext, type OnModuleDestroy } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import pg from 'pg';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from '../db/connection.js';
import { outageOf, type Outage } from '../db/outage.js';
import { ProblemError } from '../http/problem-error.js';
import { NEEDS_NO_DATABASE } from '../http/request.js';

/** The database is asked at most this often, whoever asks us, ms; without an answer for so long it is away. */
const EVERY = 1_000;
const PATIENCE = 800;

export type DatabaseState = 'ok' | Outage;

/** Whether the database answers, and whether it can be written to: by a connection of its own, so that no crowd of requests is in its way. */
@Injectable()
export class DatabaseHealth implements OnModuleDestroy {
  private readonly line: pg.Pool;
  private asked = { at: -Infinity, state: Promise.resolve<DatabaseState>('ok') };
  /** What was last known. */
  last: DatabaseState = 'ok';

  constructor(@Inject(CONFIG) { ownerUrl }: ServerConfig) {
    this.line = new pg.Pool({
      connectionString: appUrl(ownerUrl),
      application_name: 'dewpot health',
      max: 1,
      connectionTimeoutMillis: PATIENCE,
      query_timeout: PATIENCE,
    });
    // A line that breaks while nobody asks is made anew by who asks next.
    this.line.on('error', () => (this.last = 'away'));
  }

  /** The state of now, or of less than a second ago. */
  state(): Promise<DatabaseState> {
    const now = Date.now();
    if (now - this.asked.at > EVERY) this.asked = { at: now, state: this.look() };
    return this.asked.state;
  }

  async onModuleDestroy(): Promise<void> {
    await this.line.end();
  }

  private async look(): Promise<DatabaseState> {
    try {
      // A write, however small: a full disk and a database that can only be read show themselves in nothing else.
      await this.line.query('select pulse()');
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
    if (this.reflector.getAllAndOverride<boolean>(NEEDS_NO_DATABASE, [context.getHandler(), context.getClass()]))
      return true;
    const fresh = this.health.state();
    if (this.health.last === 'away' && (await fresh) === 'away') throw ProblemError.away();
    return true;
  }
}
