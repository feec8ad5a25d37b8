import { Inject, Injectable } from '@nestjs/common';
import { msg, SECOND } from '@dewpot/core/units';
import pg from 'pg';
import { Slots } from '../calculation/slots.js';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from './connection.js';
import { committed } from './transaction.js';
import { ProblemError } from '../http/problem-error.js';

/** Such transactions at once, and how long the next ones wait, ms. */
const AT_ONCE = 2;
const PATIENCE = 20 * SECOND;
/** One statement, or one wait for whoever takes what is sent, may last so long, ms. */
const MOST_STATEMENT = 300 * SECOND;
const MOST_IDLE = 60 * SECOND;

/** Transactions that last longer than a request may, such as making an archive: each has a connection for itself. */
@Injectable()
export class LongTransactions {
  private readonly slots = new Slots(AT_ONCE, AT_ONCE * 2, PATIENCE);

  constructor(@Inject(CONFIG) private readonly config: ServerConfig) {}

  /** Runs `work` in one transaction that sees the rows of a workshop, or of none: to read, all of one moment; to write, all of it or nothing. @throws ProblemError 503 */
  run<T>(workshopId: string | undefined, mode: 'read' | 'write', work: (client: pg.Client) => Promise<T>): Promise<T> {
    const busy = () =>
      new ProblemError(503, msg('server.tooBusy'), { detail: msg('server.archivesWait'), retryAfter: 20 });
    return this.slots.run(() => this.connected(workshopId, mode, work), busy);
  }

  private async connected<T>(workshopId: string | undefined, mode: 'read' | 'write', work: (client: pg.Client) => Promise<T>): Promise<T> {
    const client = new pg.Client({
      connectionString: appUrl(this.config.ownerUrl),
      application_name: 'dewpot long',
      statement_timeout: MOST_STATEMENT,
      idle_in_transaction_session_timeout: MOST_IDLE,
    });
    // An error that no statement waits for would end the server; the next statement tells of it.
    client.on('error', () => undefined);
    await client.connect();
    try {
      await client.query(`begin ${mode === 'read' ? 'isolation level repeatable read read only' : ''}`);
      await client.query(`select set_config('app.workshop', $1, true), set_config('timezone', 'UTC', true)`, [workshopId ?? '']);
      const answer = await work(client);
      await committed(client, () => client.query('commit'));
      return answer;
    } finally {
      // What was not committed is undone with its connection.
      await client.end();
    }
  }
} // prettier-ignore
