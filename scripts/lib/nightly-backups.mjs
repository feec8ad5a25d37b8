// @ts-check
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { checkBackup } from './backups.mjs';
import { root } from './paths.mjs';

/** How often it is looked whether a backup is due, ms; and how long after one that failed. */
const LOOKS = 60_000;
const AGAIN = 3_600_000;

/** @typedef {{ folder: string, keep: number, at: string }} Nights where backups lie, how many are kept, and from when on one is due each day: 03:00 */

const NAME = /^dew-pot-\d{4}-\d{2}-\d{2}\.backup$/;
const two = (/** @type {number} */ n) => String(n).padStart(2, '0');
const nameOf = (/** @type {Date} */ day) =>
  `dew-pot-${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}.backup`;

/** Backs a running Dew Pot up by its own command, in a process of its own. @param {string} file @param {string} data @returns {Promise<void>} */
export function backUpBeside(file, data) {
  return new Promise((done, reject) => {
    const args = [join(root, 'scripts/backup.mjs'), 'backup', file, '--data', data, '--overwrite'];
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'ignore', 'pipe'] });
    let said = '';
    child.stderr.on('data', (chunk) => (said += chunk));
    child.once('error', reject);
    child.once('exit', (code) => (code === 0 ? done() : reject(new Error(said.trim() || `it ended with ${code}`))));
  });
}

/**
 * Makes a backup each day once its hour has come, checks it, and then forgets the oldest: what is there is given up only for what was proven.
 * A backup that fails is said and tried again in an hour.
 * @param {Nights} nights @param {(file: string) => Promise<void>} backUp @param {(text: string) => void} tell @param {() => Date} [now]
 */
export function backUpNightly({ folder, keep, at }, backUp, tell, now = () => new Date()) {
  let busy = false;
  let notBefore = 0;
  const look = async () => {
    const day = now();
    const file = join(folder, nameOf(day));
    const due = `${two(day.getHours())}:${two(day.getMinutes())}` >= at && day.getTime() >= notBefore;
    if (busy || !due || existsSync(file)) return;
    busy = true;
    const fresh = `${file}.new`;
    try {
      mkdirSync(folder, { recursive: true, mode: 0o700 });
      await backUp(fresh);
      await checkBackup(fresh);
      renameSync(fresh, file);
      const old = readdirSync(folder).filter((name) => NAME.test(name)).sort().slice(0, -keep); // prettier-ignore
      for (const name of old) rmSync(join(folder, name));
    } catch (error) {
      notBefore = day.getTime() + AGAIN;
      rmSync(fresh, { force: true });
      tell(`The backup of tonight failed and is tried again in an hour: ${/** @type {Error} */ (error).message}`);
    }
    busy = false;
  };
  const timer = setInterval(() => void look(), LOOKS);
  return { look, stop: () => clearInterval(timer) };
}
