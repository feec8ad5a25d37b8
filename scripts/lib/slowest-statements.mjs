// @ts-check
import pg from 'pg';

/** @typedef {{ text: string, calls: number, ms: number, share: number, plan: string[] }} Statement `ms`: each, on average; `share`: of the time of all */

/** What PostgreSQL starts with so that it counts its statements. */
export const COUNTING = ['-c shared_preload_libraries=pg_stat_statements', '-c pg_stat_statements.track_utility=off'];

const TOP = `SELECT query, calls, mean_exec_time AS ms, total_exec_time / sum(total_exec_time) OVER () AS share
  FROM pg_stat_statements JOIN pg_roles ON pg_roles.oid = userid
  WHERE rolname = 'dewpot_app' ORDER BY total_exec_time DESC LIMIT $1`;

/** The plan of a statement whatever its values are, as the application's role has it in a workshop. @param {pg.Client} client @param {string} text @param {string} workshop */
async function planOf(client, text, workshop) {
  const most = Math.max(0, ...[...text.matchAll(/\$(\d+)/g)].map(([, n]) => Number(n)));
  const values = Array.from({ length: most }, () => 'NULL').join();
  await client.query('BEGIN');
  try {
    await client.query(`SET LOCAL ROLE dewpot_app; SET LOCAL plan_cache_mode = force_generic_plan`);
    await client.query(`SELECT set_config('app.workshop', $1, true)`, [workshop]);
    await client.query(`PREPARE asked AS ${text}`);
    const { rows } = await client.query(`EXPLAIN EXECUTE asked${most > 0 ? `(${values})` : ''}`);
    return rows.map((row) => String(row['QUERY PLAN']));
  } catch (error) {
    return [`no plan: ${/** @type {Error} */ (error).message}`];
  } finally {
    await client.query('ROLLBACK; DEALLOCATE ALL');
  }
}

/**
 * Counts the statements that the application sends to a database from now on.
 * @param {string} database its address, as its owner
 */
export async function countStatements(database) {
  const client = new pg.Client({ connectionString: database });
  await client.connect();
  await client.query('CREATE EXTENSION IF NOT EXISTS pg_stat_statements');
  await client.query('SELECT pg_stat_statements_reset()');
  return {
    /** Those that took most of its time, with their plans. @param {number} count @returns {Promise<Statement[]>} */
    slowest: async (count) => {
      const { rows } = await client.query(TOP, [count]);
      const { rows: workshops } = await client.query('SELECT id FROM workshops LIMIT 1');
      const told = [];
      for (const { query, calls, ms, share } of rows)
        told.push({
          text: query,
          calls: Number(calls),
          ms,
          share,
          plan: await planOf(client, query, workshops[0]?.id),
        });
      return told;
    },
    end: () => client.end(),
  };
}
