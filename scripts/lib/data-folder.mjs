// @ts-check
import { existsSync, readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';

/** Where the data lies where nothing else is said. */
export const defaultData = () => join(process.env.XDG_DATA_HOME ?? join(homedir(), '.local', 'share'), 'dew-pot');

/** Where a start leaves its process id. @param {string} data */
export const starterFile = (data) => join(data, 'starter.pid');

/** The process of a start that runs on a data folder; 0 where none does. @param {string} data */
export function runsOn(data) {
  const file = starterFile(data);
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  return pid > 0 && pid !== process.pid && alive(pid) ? pid : 0;
}

/** @param {number} pid */
function alive(pid) {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}
