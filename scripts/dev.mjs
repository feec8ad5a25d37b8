// @ts-check
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { homedir } from 'node:os';
import { buildStale } from './lib/build.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { startCluster } from './lib/postgres.mjs';
import { run, say } from './lib/say.mjs';
import { environment, fillDatabase } from './lib/server.mjs';

const API = 8138;

/** Development with live reload: Vite serves the web, the server is built and started again as its sources change. */
async function main() {
  ensureNode();
  ensurePackages();
  buildStale();
  const cluster = await startCluster({ directory: join(homedir(), '.local/share/dew-pot-dev/postgres') });
  const env = {
    ...environment({ database: cluster.url('postgres'), host: '127.0.0.1', port: API }),
    NODE_ENV: 'development',
  };
  await fillDatabase(env, { demo: true });
  const vite = join(root, 'node_modules/vite/bin/vite.js');
  const start = (/** @type {string[]} */ args, /** @type {string} */ folder) =>
    spawn(process.execPath, args, {
      cwd: join(root, folder),
      env: { ...env, DEWPOT_API: `http://127.0.0.1:${API}` },
      stdio: 'inherit',
    });
  const children = [
    start([vite, 'build', '--watch', '--logLevel', 'warn'], 'server'),
    start(['--watch', 'dist/app/main.js'], 'server'),
    start([vite], 'web'),
  ];
  say('Live at http://127.0.0.1:5173. Stop it with Ctrl-C.');
  const stop = async () => {
    for (const child of children) child.kill('SIGTERM');
    await cluster.stop();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

run(main);
