// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { say, Stop } from './say.mjs';

/**
 * Installs packages of Debian. Without the rights to, says the command.
 * @param {string[]} packages @param {string} what
 */
export function installDebian(packages, what) {
  const command = `apt-get update && apt-get install -y ${packages.join(' ')}`;
  if (process.getuid?.() !== 0)
    throw new Stop(`${what} is missing and only root may install it. Run: sudo sh -c '${command}'`);
  say(`Installing ${what} from Debian’s packages…`);
  const done = spawnSync('sh', ['-c', `{ ${command}; } >/dev/null`], {
    stdio: ['ignore', 'inherit', 'pipe'],
    encoding: 'utf8',
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (done.status !== 0)
    throw new Stop(`${what} could not be installed: ${done.stderr.trim().split('\n').pop()}. Run: ${command}`);
}

/**
 * Installs packages that a part of the tests alone wants; where that cannot be done, says so, and that part is skipped.
 * @param {string} program where the packages put what is wanted @param {string[]} packages @param {string} what
 */
export function wishDebian(program, packages, what) {
  if (existsSync(program)) return;
  try {
    installDebian(packages, what);
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    say(`${error.message}\nThe tests that want ${what} are skipped.`);
  }
}
