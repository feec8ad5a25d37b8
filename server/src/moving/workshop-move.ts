import { setTimeout as delay } from 'node:timers/promises';
import { SECOND } from '@dewpot/core/units';
import pg from 'pg';
import { committed } from '../db/transaction.js';
import { makeMonths } from '../ambient/reading-months.js';
import { whyNotServed } from '../db/schema-level.js';
import { copyRows, countOf, rowsOf } from './moved-rows.js';

/** Whoever writes at the moment the workshop is closed is waited for so long, and one statement may last so long, ms. */
const PATIENCE = 10 * SECOND;
const MOST_STATEMENT = 600 * SECOND;
/** Requests that are under way are through after so long, ms. */
const UNDER_WAY = 2 * SECOND;
/** By this lock, with the workshop's key, one moves it at a time. */
const LOCK = 81_370_004;

/** What was moved. */
export interface Moved {
  readonly rows: number;
  /** For so long it could be read alone, before it could be written to where it went, ms: in this try. */
  readonly closed: number;
}

/** Something that whoever moves a workshop can mend. */
export class NotMoved extends Error {}

/** Moves a workshop from one database to another: its rows, the accounts of its people, their sessions, and the work that waits. */
export class WorkshopMove {
  private constructor(
    private readonly from: pg.Client,
    private readonly to: pg.Client,
    private readonly workshopId: string,
  ) {}

  /** Moves a workshop between two databases, each by its owner's address. @throws NotMoved where it cannot be; it is then as it was, or is finished by another try */
  static async between(from: string, to: string, workshopId: string): Promise<Moved> {
    return WorkshopMove.with(from, to, workshopId, (move) => move.run());
  }

  /** For each step by itself. */
  static async with<T>(
    from: string,
    to: string,
    workshopId: string,
    work: (move: WorkshopMove) => Promise<T>,
  ): Promise<T> {
    const clients = [from, to].map((connectionString) =>
      new pg.Client({ connectionString, statement_timeout: MOST_STATEMENT, lock_timeout: PATIENCE, application_name: 'dewpot move' }),
    ) as [pg.Client, pg.Client]; // prettier-ignore
    try {
      for (const client of clients) {
        // A line that breaks is told of by the statement that wanted it.
        client.on('error', () => undefined);
        await client.connect();
      }
      return await work(new WorkshopMove(...clients, workshopId));
    } finally {
      for (const client of clients) await client.end();
    }
  }

  private async run(): Promise<Moved> {
    await this.check();
    await this.lock();
    const begun = performance.now();
    if (!(await this.hasArrived())) {
      await this.close(true);
      await this.copy().catch((error: unknown) => this.undo(error));
    }
    const closed = performance.now() - begun;
    return { rows: await this.finish(), closed };
  }

  /** @throws NotMoved where the databases do not go together, or the workshop is not there to be moved */
  private async check(): Promise<void> {
    for (const client of [this.from, this.to]) {
      const query = async (statement: string) => (await client.query<object>(statement)).rows;
      const refused = await whyNotServed({ query });
      if (refused) throw new NotMoved(`${client.host}: ${refused}.`);
    }
    const { rows } = await this.from.query('SELECT 1 FROM workshops WHERE id = $1', [this.workshopId]);
    if (!rows[0]) throw new NotMoved(`No workshop ${this.workshopId} is in the database that it is to be moved from.`);
    const { rows: accounts } = await this.from.query<{ id: string; email: string }>(
      'SELECT id, email FROM door.accounts WHERE id IN (SELECT account_id FROM people WHERE workshop_id = $1)', [this.workshopId]);
    const { rows: taken } = await this.to.query<{ email: string }>(
      'SELECT a.email FROM door.accounts a JOIN unnest($1::uuid[], $2::text[]) AS moved (id, email) ON a.email = moved.email AND a.id <> moved.id',
      [accounts.map(({ id }) => id), accounts.map(({ email }) => email)]);
    if (taken.length > 0)
      throw new NotMoved(`Others have accounts with these addresses where it is to go: ${taken.map(({ email }) => email).join(', ')}. Let them change the address in one of the two places first.`);
  } // prettier-ignore

  /** One that fails opens the workshop again, and must not do so under another that copies. @throws NotMoved where another one moves it */
  private async lock(): Promise<void> {
    const { rows } = await this.from.query<{ mine: boolean }>('SELECT pg_try_advisory_lock($1, hashtext($2)) AS mine', [LOCK, this.workshopId]);
    if (!rows[0]?.mine) throw new NotMoved(`The workshop ${this.workshopId} is being moved already.`);
  } // prettier-ignore

  /** Whether an earlier try got it there and did not finish. @throws NotMoved where it is there, and not on its way */
  private async hasArrived(): Promise<boolean> {
    const { rowCount } = await this.to.query('SELECT 1 FROM workshops WHERE id = $1', [this.workshopId]);
    if (!rowCount) return false;
    const { rows } = await this.from.query<{ closed: boolean }>('SELECT closed FROM door.revisions WHERE workshop_id = $1', [this.workshopId]);
    if (rows[0]?.closed) return true;
    throw new NotMoved(`The workshop ${this.workshopId} is in both databases, and each can be written to. Delete one of the two first.`);
  } // prettier-ignore

  /** From now on the workshop can be read alone, or written to again. Whoever is writing to it is waited for. */
  async close(closed: boolean): Promise<void> {
    await this.from.query(
      `INSERT INTO door.revisions (workshop_id, areas, closed) VALUES ($1, '{}', $2)
       ON CONFLICT (workshop_id) DO UPDATE SET closed = EXCLUDED.closed`,
      [this.workshopId, closed],
    );
  }

  /** Copies all that is of the workshop in one transaction of each database. Work that waits is held meanwhile, so that nobody begins it, and goes too. */
  async copy(): Promise<void> {
    await this.from.query('BEGIN ISOLATION LEVEL REPEATABLE READ');
    await this.to.query('BEGIN');
    const rows = await rowsOf(this.from, this.workshopId, await this.knownAccounts());
    // Accounts too: nobody changes a passphrase that has gone already.
    for (const { table, where } of rows)
      if (/^(door\.accounts|jobs\.job)$/.test(table)) await this.from.query(`SELECT 1 FROM ${table} WHERE ${where} FOR UPDATE`);
    await this.makeMonths();
    for (const one of rows) await copyRows(this.from, this.to, one);
    await committed(this.to, () => this.to.query('COMMIT'));
    for (const { table, where } of rows) if (table === 'jobs.job') await this.from.query(`DELETE FROM ${table} WHERE ${where}`);
    await this.from.query('COMMIT');
  } // prettier-ignore

  /** Keys of accounts that came with another workshop: they, and what hangs on them, stay as they are there. */
  private async knownAccounts(): Promise<string[]> {
    const { rows: mine } = await this.from.query<{ id: string }>('SELECT account_id AS id FROM people WHERE workshop_id = $1', [this.workshopId]);
    const { rows } = await this.to.query<{ id: string }>('SELECT id FROM door.accounts WHERE id = ANY ($1)', [mine.map(({ id }) => id)]);
    return rows.map(({ id }) => id);
  } // prettier-ignore

  private async makeMonths(): Promise<void> {
    const { rows } = await this.from.query<{ at: string }>(
      `SELECT DISTINCT (extract(epoch FROM date_trunc('month', to_timestamp(at / 1000.0) AT TIME ZONE 'UTC')) * 1000)::bigint AS at
       FROM ambient_readings WHERE workshop_id = $1`,
      [this.workshopId],
    );
    await makeMonths(
      this.to,
      rows.map(({ at }) => Number(at)),
    );
  }

  /** Opens the workshop again after a try that failed, unless it may have arrived. @throws unknown what went wrong */
  private async undo(error: unknown): Promise<never> {
    let arrived = true;
    try {
      for (const client of [this.from, this.to]) await client.query('ROLLBACK');
      arrived = await this.hasArrived();
      if (!arrived) await this.close(false);
    } catch {
      // Whichever database is away: the next try finds out.
    }
    if (!arrived) throw error;
    throw new NotMoved(`${(error as Error).message}: it may have arrived, so it can be read alone until this is done again.`);
  } // prettier-ignore

  /** Deletes the workshop where it was; answers how many rows it had. All of it arrived, or nothing did. */
  private async finish(): Promise<number> {
    // What was committed before this is wherever this is: on the second host too, where there is one.
    await committed(this.to, () => this.to.query('SELECT pulse()'));
    let rows = 0;
    for (const one of await rowsOf(this.from, this.workshopId)) rows += await countOf(this.from, one);
    // Whoever asks from now on is told to sign in again; what is under way is refused as before, for as long as the workshop is there.
    await this.from.query('DELETE FROM sessions WHERE workshop_id = $1', [this.workshopId]);
    await delay(UNDER_WAY);
    await this.from.query('BEGIN');
    await this.from.query('DELETE FROM ambient_readings WHERE workshop_id = $1', [this.workshopId]);
    await this.from.query('DELETE FROM workshops WHERE id = $1', [this.workshopId]);
    await this.from.query('COMMIT');
    return rows;
  }
}
