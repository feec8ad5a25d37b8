import type { Client } from 'pg';
import type { DataSource, EntityManager } from 'typeorm';
import { ProblemError } from '../http/problem-error.js';

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

/**
 * Runs `work` in a transaction that sees a workshop's rows alone. It begins knowing its workshop: TypeORM's own takes a round trip
 * to begin and another one to be told. @throws Error where the workshop's key is none, and whatever `work` and the database throw
 */
export async function transactionOf<T>(
  source: DataSource,
  workshopId: string,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  if (!KEY.test(workshopId)) throw new Error(`“${workshopId}” is no key of a workshop.`);
  const runner = source.createQueryRunner();
  try {
    await runner.query(`START TRANSACTION; SELECT set_config('app.workshop', '${workshopId}', true)`);
    // What TypeORM saves joins it, rather than begin another one.
    Object.assign(runner, { isTransactionActive: true });
    const done = await work(runner.manager);
    await committed((await runner.connect()) as Client, () => runner.query('COMMIT'));
    return done;
  } catch (error) {
    // Of a connection that is gone, PostgreSQL takes back the transaction itself; what went wrong first is what is told.
    await runner.query('ROLLBACK').catch(() => undefined);
    throw error;
  } finally {
    await runner.release();
  }
}
