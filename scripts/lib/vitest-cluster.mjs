// @ts-check
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from './postgres.mjs';

/** Starts one throwaway cluster for all tests of a run; each test file makes its own database in it. */
export default async function setup() {
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-test-'));
  chmodSync(parent, 0o755);
  const cluster = await startCluster({ directory: join(parent, 'cluster'), throwaway: true });
  process.env.DEWPOT_TEST_CLUSTER = cluster.url('postgres');
  return async () => {
    await cluster.stop();
    rmSync(parent, { recursive: true, force: true });
  };
}
