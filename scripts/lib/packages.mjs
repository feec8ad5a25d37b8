// @ts-check
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { say, Stop } from './say.mjs';

const OLDEST = [20, 19];

/** Fails where Node.js is too old. */
export function ensureNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  const [wantMajor = 0, wantMinor = 0] = OLDEST;
  if (major > wantMajor || (major === wantMajor && minor >= wantMinor)) return;
  throw new Stop(
    `This is Node.js ${process.versions.node}; Dew Pot needs ${OLDEST.join('.')} or newer. Install it and start again.`,
  );
}

/** Installs the packages of the lock file where they are missing or of another lock file. */
export function ensurePackages() {
  const stamp = join(root, 'node_modules', '.dew-pot-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing packages…');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (done.status !== 0)
    throw new Stop('The packages could not be installed; npm’s message stands above. Mend that, then start again.');
  writeFileSync(stamp, lock);
}
