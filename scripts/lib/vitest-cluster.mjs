// @ts-check
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { buildStale } from './build.mjs';
import { startCluster } from './postgres.mjs';
import { environment, prepareDatabase } from './server.mjs';

/** The database that is prepared once: that of each test file begins as a copy of it. */
const PREPARED = 'prepared';

/** Starts one throwaway cluster for all tests of a run, in which each test file makes its own database from a prepared one; builds what calculates on threads. */
export default async function setup() {
  buildStale('server');
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-test-'));
  chmodSync(parent, 0o755);
  const cluster = await startCluster({ directory: join(parent, 'cluster'), throwaway: true });
  process.env.DEWPOT_TEST_CLUSTER = cluster.url('postgres');
  const client = new pg.Client({ connectionString: cluster.url('postgres') });
  await client.connect();
  await client.query(`CREATE DATABASE ${PREPARED}`);
  await client.end();
  await prepareDatabase(environment({ database: cluster.url(PREPARED), host: '127.0.0.1', port: 0 }));
  process.env.DEWPOT_TEST_PREPARED = PREPARED;
  return async () => {
    await cluster.stop();
    rmSync(parent, { recursive: true, force: true });
  };
}
