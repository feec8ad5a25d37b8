import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { appUrl } from '../src/db/connection.js';
import { freePort, listens } from './ports.js';

const PROGRAM = '/usr/sbin/pgbouncer';
export const hasBouncer = existsSync(PROGRAM);

const shipped = join(import.meta.dirname, '../../deploy/pgbouncer.ini');
const isRoot = process.getuid?.() === 0;

/** A pgbouncer by the configuration that is shipped, before a database; it can be stopped and started again. */
export async function startBouncer(ownerUrl: string) {
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-bouncer-'));
  const port = await freePort();
  const { username, password } = new URL(appUrl(ownerUrl));
  writeFileSync(join(folder, 'users.txt'), `"${username}" "${password}"\n`);
  const config = readFileSync(shipped, 'utf8')
    .replace('port=5432', `port=${new URL(ownerUrl).port}`)
    .replace('listen_port = 6432', `listen_port = ${port}`)
    .replace('users.txt\npool_mode', `${join(folder, 'users.txt')}\nunix_socket_dir =\npool_mode`);
  writeFileSync(join(folder, 'pgbouncer.ini'), config);
  chmodSync(folder, 0o755);
  // It refuses to run as root.
  if (isRoot) spawnSync('chown', ['-R', 'postgres', folder]);
  let child: ChildProcess | undefined;
  const start = async () => {
    child = spawn(PROGRAM, ['-q', ...(isRoot ? ['-u', 'postgres'] : []), join(folder, 'pgbouncer.ini')], { stdio: 'ignore' });
    for (let tries = 0; tries < 100 && !(await listens(port)); tries++) await wait(50);
  }; // prettier-ignore
  const kill = async () => {
    const ended = new Promise((done) => child?.once('exit', done));
    child?.kill('SIGKILL');
    await ended;
  };
  await start();
  return {
    address: `127.0.0.1:${port}`,
    start,
    kill,
    stop: async () => {
      await kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
