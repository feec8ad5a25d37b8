// @ts-check
import { createHash } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { open } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { spawnSync } from 'node:child_process';
import { ensurePostgres } from './postgres.mjs';
import { Stop } from './say.mjs';

/** First line of a backup: what it is, of which version, and the checksum of all that follows it. */
const FORMAT = 'dew-pot-backup';
const VERSION = 1;
const HEAD = 512;

/** @typedef {{ format: string, version: number, madeAt: string, postgres: string, checksum: string }} Head */

/** Checksum of a file from an offset on. @param {string} file @param {number} [start] @returns {Promise<string>} */
async function checksumOf(file, start = 0) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file, { start }), hash);
  return hash.digest('hex');
}

/** Runs one of PostgreSQL's own tools on a database. @param {string} tool @param {string[]} args @param {string} url */
function tool(tool, args, url) {
  const { username, password, hostname, port, pathname } = new URL(url);
  return spawnSync(join(ensurePostgres(), tool), args, {
    encoding: 'utf8',
    maxBuffer: 1 << 26,
    env: {
      ...process.env,
      PGUSER: decodeURIComponent(username),
      PGPASSWORD: decodeURIComponent(password),
      PGHOST: hostname,
      PGPORT: port || '5432',
      PGDATABASE: pathname.slice(1),
    },
  });
}

/**
 * Writes a database into one file: all of it as it stands at one moment. The role that the application works as is no part of it:
 * it is made by whoever restores, with a password of the new place.
 * @param {string} url @param {string} file @param {{ overwrite?: boolean }} [options]
 */
export async function backUp(url, file, { overwrite = false } = {}) {
  if (existsSync(file) && !overwrite)
    throw new Stop(`${file} is there already. Choose another name, or overwrite it with --overwrite.`);
  if (!existsSync(dirname(file))) throw new Stop(`The folder ${dirname(file)} does not exist. Make it first.`);
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-backup-'));
  try {
    const dump = join(folder, 'dump');
    const made = tool('pg_dump', ['--format=custom', `--file=${dump}`], url);
    if (made.status !== 0) throw new Stop(`The backup failed: ${made.stderr.trim().split('\n').pop()}`);
    /** @type {Head} */
    const head = {
      format: FORMAT,
      version: VERSION,
      madeAt: new Date().toISOString(),
      postgres: tool('pg_dump', ['--version'], url).stdout.trim(),
      checksum: await checksumOf(dump),
    };
    const partial = `${file}.partial`;
    const out = createWriteStream(partial, { mode: 0o600 });
    out.write(`${JSON.stringify(head).padEnd(HEAD - 1)}\n`);
    await pipeline(createReadStream(dump), out);
    renameSync(partial, file);
    return { bytes: statSync(file).size };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Reads the head of a backup and checks what follows. @param {string} file @returns {Promise<Head>} */
export async function checkBackup(file) {
  if (!existsSync(file)) throw new Stop(`There is no file ${file}.`);
  const handle = await open(file);
  const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD), 0, HEAD, 0);
  await handle.close();
  /** @type {Head} */
  let head;
  try {
    head = JSON.parse(buffer.subarray(0, bytesRead).toString('utf8'));
  } catch {
    throw new Stop(`${file} is no backup of Dew Pot.`);
  }
  if (head.format !== FORMAT) throw new Stop(`${file} is no backup of Dew Pot.`);
  if (head.version !== VERSION)
    throw new Stop(`${file} is a backup of version ${head.version}; this Dew Pot reads version ${VERSION}.`);
  if ((await checksumOf(file, HEAD)) !== head.checksum)
    throw new Stop(`${file} is damaged: its checksum differs from what was written. Take another backup.`);
  return head;
}

/** Whether a database holds workshops. @param {string} url */
function holdsWorkshops(url) {
  const asked = tool('psql', ['-tAc', `select to_regclass('public.workshops') is not null`], url);
  if (asked.status !== 0) throw new Stop(`The database does not answer: ${asked.stderr.trim().split('\n').pop()}`);
  if (asked.stdout.trim() !== 't') return false;
  return tool('psql', ['-tAc', 'select exists (select 1 from workshops)'], url).stdout.trim() === 't';
}

/**
 * Restores a backup into a database, in one transaction. The application's role must be there already.
 * @param {string} url @param {string} file @param {{ overwrite?: boolean }} [options]
 */
export async function restore(url, file, { overwrite = false } = {}) {
  const head = await checkBackup(file);
  if (holdsWorkshops(url) && !overwrite)
    throw new Stop(
      'This database holds workshops already. Restore into another one (--data DIR), or replace them with --overwrite.',
    );
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-restore-'));
  try {
    const dump = join(folder, 'dump');
    await pipeline(createReadStream(file, { start: HEAD }), createWriteStream(dump, { mode: 0o600 }));
    const schemas = `DROP SCHEMA IF EXISTS door CASCADE; DROP SCHEMA IF EXISTS jobs CASCADE; DROP SCHEMA IF EXISTS public CASCADE; CREATE SCHEMA public; GRANT USAGE ON SCHEMA public TO PUBLIC;`;
    const sql = tool('pg_restore', ['--no-owner', `--file=${join(folder, 'sql')}`, dump], url);
    if (sql.status !== 0) throw new Stop(`The backup cannot be read: ${sql.stderr.trim().split('\n').pop()}`);
    const script = readFileSync(join(folder, 'sql'), 'utf8').replace(/^CREATE SCHEMA public;$/m, '');
    const whole = join(folder, 'whole.sql');
    await pipeline([`${schemas}\n${script}`], createWriteStream(whole, { mode: 0o600 }));
    const done = tool('psql', ['-q', '-1', '-v', 'ON_ERROR_STOP=1', '-f', whole], url);
    if (done.status !== 0)
      throw new Stop(
        `Nothing was restored: ${
          done.stderr
            .trim()
            .split('\n')
            .filter((line) => /ERROR/.test(line))[0] ?? done.stderr
        }`,
      );
    return head;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
