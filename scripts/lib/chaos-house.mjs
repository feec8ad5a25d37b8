// @ts-check
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { keepRunning } from './keep-running.mjs';
import { freePort, startCluster } from './postgres.mjs';
import { environment, fillDatabase } from './server.mjs';

/**
 * A durable Dew Pot with so many servers before one database, each kept running as the start keeps it; and what can be struck.
 * @param {{ servers: number }} options
 */
export async function startHouse({ servers }) {
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-chaos-'));
  chmodSync(parent, 0o755);
  const cluster = await startCluster({ directory: join(parent, 'cluster') });
  const database = cluster.url('postgres');
  const limits = { DEWPOT_QUIET: '1', DEWPOT_SIGN_IN_LIMIT: '10000', DEWPOT_REQUEST_LIMIT: '10000000' };
  /** @type {{ url: string, keeper: ReturnType<typeof keepRunning> }[]} */
  const houses = [];
  for (let i = 0; i < servers; i++) {
    const port = await freePort();
    const env = { ...environment({ database, host: '127.0.0.1', port }), ...limits };
    if (i === 0) await fillDatabase(env, { demo: false });
    // One keeper looks after the database; the servers have one each.
    const keeper = keepRunning(env, i === 0 ? cluster : undefined, { quiet: true });
    await keeper.start();
    houses.push({ url: `http://127.0.0.1:${port}`, keeper });
  }
  const postmaster = () => Number(readFileSync(join(cluster.directory, 'postmaster.pid'), 'utf8').split('\n')[0]);
  let turn = 0;
  return {
    targets: houses.map(({ url }) => ({ url, alive: () => true })),
    blows: [
      { name: 'a server killed', strike: async () => houses[turn++ % houses.length]?.keeper.kill() },
      { name: 'the postmaster killed', strike: async () => void process.kill(postmaster(), 'SIGKILL') },
      {
        name: 'every backend ended',
        strike: async () => {
          const client = new pg.Client({ connectionString: database });
          await client.connect();
          await client.query(`select pg_terminate_backend(pid) from pg_stat_activity where usename = 'dewpot_app'`);
          await client.end();
        },
      },
    ],
    stop: async () => {
      for (const { keeper } of houses) await keeper.stop();
      await cluster.stop();
      rmSync(parent, { recursive: true, force: true });
    },
  };
}
