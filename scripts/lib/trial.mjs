// @ts-check
import { execFileSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startCluster } from './postgres.mjs';
import { environment, fillDatabase, startServer } from './server.mjs';

/** Of a request that a script sends in a browser's place: it comes from our own pages. */
export const AS_PAGES = { headers: { 'Sec-Fetch-Site': 'same-origin' } };

/** @typedef {{ url: string, database: string, peakMemory: () => number, kill: () => Promise<void>, restart: () => Promise<void>, stop: () => Promise<void> }} Trial */

/** A new folder that the database's own user can enter too. */
function trialFolder() {
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-trial-'));
  chmodSync(folder, 0o755);
  return folder;
}

/** What the server of a trial is told. @param {string} database @param {number} port */
const trialEnvironment = (database, port) => ({
  ...environment({ database, host: '127.0.0.1', port }),
  DEWPOT_QUIET: '1',
  DEWPOT_SIGN_IN_LIMIT: '10000',
  DEWPOT_REQUEST_LIMIT: '1000000',
  // Several trials share the cores.
  DEWPOT_CALCULATION_SECONDS: '60',
});

/**
 * Fills a cluster with the demo workshop and stops it, so that trials can begin with a copy of it.
 * @returns {Promise<{ directory: string, remove: () => void }>}
 */
export async function makeDemoCluster() {
  const parent = trialFolder();
  const cluster = await startCluster({ directory: join(parent, 'cluster'), throwaway: true });
  await fillDatabase(trialEnvironment(cluster.url('postgres'), await freePort()), { demo: true });
  await cluster.stop();
  return { directory: cluster.directory, remove: () => rmSync(parent, { recursive: true, force: true }) };
}

/**
 * A throwaway Dew Pot on a port of its own, from what is built: for tests, benchmarks and pictures.
 * `kill` ends its server with SIGKILL; `restart` starts another on the same port and database.
 * @param {{ demo: boolean, safe?: boolean, from?: string | undefined, more?: readonly string[] }} options `safe` keeps the database's durability, for tests of
 * crashes; `from` is a cluster that stands still and is copied; `more` is what else PostgreSQL starts with.
 * @returns {Promise<Trial>}
 */
export async function startTrial({ demo, safe = false, from, more = [] }) {
  const parent = trialFolder();
  const directory = join(parent, 'cluster');
  // The files keep their owner.
  if (from) execFileSync('cp', ['-a', from, directory]);
  const cluster = await startCluster({ directory, throwaway: !safe, more });
  const port = await freePort();
  const database = cluster.url('postgres');
  const env = trialEnvironment(database, port);
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
    /** The most memory that the server took so far, MB. */
    peakMemory: () =>
      Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))?.[1]) / 1024,
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
