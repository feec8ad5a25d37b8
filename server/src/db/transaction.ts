import type { DataSource, EntityManager } from 'typeorm';

/** A statement that is sent with others takes no parameters: nothing but a key may stand in it. */
const KEY = /^[\da-f-]{36}$/i;

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
    await runner.query('COMMIT');
    return done;
  } catch (error) {
    // Of a connection that is gone, PostgreSQL takes back the transaction itself; what went wrong first is what is told.
    await runner.query('ROLLBACK').catch(() => undefined);
    throw error;
  } finally {
    await runner.release();
  }
}
