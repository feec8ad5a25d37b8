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
 * Installs packages that one can do without; where that cannot be done, says so, and what is done instead. Answers whether they are there.
 * @param {string} program where the packages put what is wanted @param {string[]} packages @param {string} what @param {string} without
 */
export function wishDebian(program, packages, what, without) {
  if (existsSync(program)) return true;
  try {
    installDebian(packages, what);
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    say(`${error.message}\n${without}`);
  }
  return existsSync(program);
}
