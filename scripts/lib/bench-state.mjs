// @ts-check
import pg from 'pg';

const MOVED = `update door.revisions set areas = (select jsonb_object_agg(key, gen_random_uuid()) from jsonb_each(areas))`;

/** Runs `work` with a way to move the state of every workshop, so that what is asked for next is made and not at hand. @template T @param {string} database @param {(move: () => Promise<unknown>, client: pg.Client) => Promise<T>} work @returns {Promise<T>} */
export async function withState(database, work) {
  const client = new pg.Client(database);
  await client.connect();
  try {
    return await work(() => client.query(MOVED), client);
  } finally {
    await client.end();
  }
}
