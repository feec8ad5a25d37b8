// @ts-check
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildStale } from './build.mjs';
import { startCluster } from './postgres.mjs';

/** Starts one throwaway cluster for all tests of a run, in which each test file makes its own database; builds what calculates on threads. */
export default async function setup() {
  buildStale('server');
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-test-'));
  chmodSync(parent, 0o755);
  const cluster = await startCluster({ directory: join(parent, 'cluster'), throwaway: true });
  process.env.DEWPOT_TEST_CLUSTER = cluster.url('postgres');
  return async () => {
    await cluster.stop();
    rmSync(parent, { recursive: true, force: true });
  };
}
