import type { Client, QueryResult } from 'pg';
import type { DataSource, EntityManager } from 'typeorm';
import { ProblemError } from '../http/problem-error.js';
import type { Revisions } from '../http/request.js';

/** A statement that is sent with others takes no parameters: nothing but a key may stand in it. */
const KEY = /^[\da-f-]{36}$/i;

/**
 * Ends a transaction. Where a write is acknowledged once a second host has it, a commit that waited for that host too long is said to be done, with
 * a warning: nobody knows yet whether it outlives the first host. @throws ProblemError 503 then; sent again with the same key, it is kept once
 */
export async function committed(client: Client, commit: () => Promise<unknown>): Promise<void> {
  let doubtful = false;
  const hear = ({ severity }: { readonly severity?: string | undefined }) => (doubtful ||= severity === 'WARNING');
  client.on('notice', hear);
  try {
    await commit();
  } finally {
    client.off('notice', hear);
  }
  if (doubtful) throw ProblemError.away();
}

/** Says which workshop a transaction is of. @throws Error where the key is none */
function ofWorkshop(workshopId: string): string {
  if (!KEY.test(workshopId)) throw new Error(`“${workshopId}” is no key of a workshop.`);
  return `SELECT set_config('app.workshop', '${workshopId}', true)`;
}

/**
 * Runs `work` in a transaction that sees a workshop's rows alone. It begins knowing its workshop, together with the first statement of
 * `work`: TypeORM's own takes a round trip to begin and another one to be told. @throws Error where the workshop's key is none, and
 * whatever `work` and the database throw
 */
export async function transactionOf<T>(
  source: DataSource,
  workshopId: string,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  const runner = source.createQueryRunner();
  try {
    const client = (await runner.connect()) as Client;
    const begun = client.query(`START TRANSACTION; ${ofWorkshop(workshopId)}`);
    // It is heard below.
    begun.catch(() => undefined);
    // What TypeORM saves joins it, rather than begin another one.
    Object.assign(runner, { isTransactionActive: true });
    const done = await work(runner.manager).catch(async (error: unknown) => {
      // Where it did not begin, that is told, and not what statements met without it.
      await begun;
      throw error;
    });
    await begun;
    await committed(client, () => runner.query('COMMIT'));
    return done;
  } catch (error) {
    // Of a connection that is gone, PostgreSQL takes back the transaction itself; what went wrong first is what is told.
    await runner.query('ROLLBACK').catch(() => undefined);
    throw error;
  } finally {
    await runner.release();
  }
}

/**
 * Runs `work` in a transaction that sees one state of a workshop's rows and changes nothing, where the revisions of that state fit; undefined where they do
 * not. @throws Error as `transactionOf` does
 */
export async function readingOf<T>(
  source: DataSource,
  workshopId: string,
  fit: (revisions: Revisions) => boolean,
  work: (manager: EntityManager) => Promise<T>,
): Promise<{ readonly answer: T } | undefined> {
  const runner = source.createQueryRunner();
  try {
    const client = (await runner.connect()) as Client;
    const begun = (await client.query(
      `START TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY; ${ofWorkshop(workshopId)}; SELECT workshop_revisions() AS areas`,
    )) as unknown as readonly QueryResult<{ areas: Revisions | null }>[];
    Object.assign(runner, { isTransactionActive: true });
    if (!fit(begun.at(-1)?.rows[0]?.areas ?? {})) return undefined;
    return { answer: await work(runner.manager) };
  } finally {
    // Nothing was changed: however it went, this ends it.
    await runner.query('ROLLBACK').catch(() => undefined);
    await runner.release();
  }
}
