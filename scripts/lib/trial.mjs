// @ts-check
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startCluster } from './postgres.mjs';
import { environment, fillDatabase, startServer } from './server.mjs';

/** Of a request that a script sends in a browser's place: it comes from our own pages. */
export const AS_PAGES = { headers: { 'Sec-Fetch-Site': 'same-origin' } };

/** @typedef {{ url: string, database: string, kill: () => Promise<void>, restart: () => Promise<void>, stop: () => Promise<void> }} Trial */

/**
 * A throwaway Dew Pot on a port of its own, from what is built: for tests, benchmarks and pictures.
 * `kill` ends its server with SIGKILL; `restart` starts another on the same port and database.
 * @param {{ demo: boolean, safe?: boolean }} options `safe` keeps the database's durability, for tests of crashes.
 * @returns {Promise<Trial>}
 */
export async function startTrial({ demo, safe = false }) {
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-trial-'));
  chmodSync(parent, 0o755);
  const cluster = await startCluster({ directory: join(parent, 'cluster'), throwaway: !safe });
  const port = await freePort();
  const database = cluster.url('postgres');
  const env = {
    ...environment({ database, host: '127.0.0.1', port }),
    DEWPOT_QUIET: '1',
    DEWPOT_SIGN_IN_LIMIT: '10000',
    DEWPOT_REQUEST_LIMIT: '1000000',
  };
  await fillDatabase(env, { demo });
  let server = startServer(env);
  await server.listening;
  const end = async (/** @type {NodeJS.Signals} */ signal) => {
    const { child } = server;
    if (child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((done) => child.once('exit', done));
    child.kill(signal);
    await ended;
  };
  return {
    url: `http://127.0.0.1:${port}`,
    database,
    kill: () => end('SIGKILL'),
    restart: async () => {
      server = startServer(env);
      await server.listening;
    },
    stop: async () => {
      await end('SIGTERM');
      await cluster.stop();
      rmSync(parent, { recursive: true, force: true });
    },
  };
}
