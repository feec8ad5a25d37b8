// @ts-check
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { root } from './lib/paths.mjs';

const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '100000' },
    seed: { type: 'string', default: String(Date.now() % 1e6) },
  },
});
process.stdout.write(`${values.requests} requests, seed ${values.seed}\n`);
const done = spawnSync(
  join(root, 'node_modules/.bin/vitest'),
  ['run', '--project', 'server', 'server/test/fuzz.test.ts'],
  {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, DEWPOT_FUZZ_REQUESTS: values.requests, DEWPOT_FUZZ_SEED: values.seed },
  },
);
process.exitCode = done.status ?? 1;
