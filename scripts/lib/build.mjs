// @ts-check
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { say, Stop } from './say.mjs';

/** What each build is made of, and where it lies. */
const builds = [
  {
    name: 'web',
    output: 'web/dist',
    sources: [
      'core/src',
      'contract/src',
      'locales',
      'docs/guide',
      'web/src',
      'web/index.html',
      'web/public',
      'web/vite.config.ts',
    ],
  },
  {
    name: 'server',
    output: 'server/dist/app',
    sources: ['core/src', 'contract/src', 'locales', 'server/src', 'server/vite.config.ts'],
  },
  {
    name: 'demo',
    output: 'demo/dist/app',
    sources: ['core/src', 'contract/src', 'locales', 'server/src', 'demo/src', 'demo/vite.config.ts'],
  },
];

/** Feeds name, size and contents of every file under a path into a hash. @param {import('node:crypto').Hash} hash @param {string} path */
function feed(hash, path) {
  if (!existsSync(path)) return;
  if (statSync(path).isDirectory()) {
    for (const name of readdirSync(path).sort()) feed(hash, join(path, name));
    return;
  }
  hash.update(path.slice(root.length)).update(readFileSync(path));
}

/** Builds what is missing or older than its sources: all, or only those named. @param {string[]} only */
export function buildStale(...only) {
  for (const { name, output, sources } of builds) {
    if (only.length > 0 && !only.includes(name)) continue;
    const hash = createHash('sha256');
    for (const source of [...sources, 'package-lock.json']) feed(hash, join(root, source));
    const wanted = hash.digest('hex');
    const stamp = join(root, output, '.sources');
    if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) continue;
    say(`Building ${name}…`);
    const done = spawnSync(
      process.execPath,
      [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'error'],
      // Whoever asks for it, a test among them: what is built is what is run.
      {
        cwd: join(root, name),
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, NODE_ENV: 'production' },
      },
    );
    if (done.status !== 0) throw new Stop(`${name} could not be built; the message stands above.`);
    writeFileSync(stamp, wanted);
  }
}
