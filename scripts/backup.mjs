// @ts-check
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { buildStale } from './lib/build.mjs';
import { backUp, checkBackup, restore } from './lib/backups.mjs';
import { defaultData, runsOn } from './lib/data-folder.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { startCluster } from './lib/postgres.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { environment, prepareDatabase } from './lib/server.mjs';

const HELP = `npm run backup -- FILE [--data DIR] [--overwrite]
npm run restore -- FILE [--data DIR] [--overwrite]
  --data DIR    the data folder, where it is not the usual one
  --overwrite   replace the file, or the workshops that are there
  DATABASE_URL=postgres://…   a PostgreSQL elsewhere`;

function options() {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: { data: { type: 'string' }, overwrite: { type: 'boolean', default: false } },
    });
    const [what, file, ...rest] = positionals;
    if (!file || rest.length > 0 || (what !== 'backup' && what !== 'restore')) throw new Error('Name one file.');
    return { what, file: resolve(file), data: resolve(values.data ?? defaultData()), overwrite: values.overwrite };
  } catch (error) {
    throw new Stop(`${/** @type {Error} */ (error).message}\n${HELP}`);
  }
}

async function main() {
  ensureNode();
  const { what, file, data, overwrite } = options();
  if (what === 'restore') await checkBackup(file);
  const elsewhere = process.env.DATABASE_URL;
  const running = runsOn(data);
  if (what === 'restore' && running)
    throw new Stop(`Dew Pot is running on ${data} (process ${running}). Stop it before you restore.`);
  const cluster = elsewhere ? undefined : await startCluster({ directory: join(data, 'postgres') });
  const url = elsewhere ?? cluster?.url('postgres') ?? '';
  try {
    if (what === 'backup') {
      const { bytes } = await backUp(url, file, { overwrite });
      say(`Backed up to ${file} (${(bytes / 1e6).toFixed(1)} MB).`);
      return;
    }
    ensurePackages();
    buildStale();
    const env = environment({ database: url, host: '127.0.0.1', port: 0 });
    // Before: the application's role, which is of this place. After: what a newer version adds to the tables.
    await prepareDatabase(env);
    const { madeAt } = await restore(url, file, { overwrite });
    await prepareDatabase(env);
    say(`Restored ${file} of ${madeAt}. Start with npm start.`);
  } finally {
    // One that somebody else started goes on.
    if (!running) await cluster?.stop();
  }
}

run(main);
