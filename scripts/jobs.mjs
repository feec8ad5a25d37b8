// @ts-check
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { defaultData, runsOn } from './lib/data-folder.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { startCluster } from './lib/postgres.mjs';
import { run, say } from './lib/say.mjs';

/** Lists the jobs in the background that failed for good; with --clear forgets them. */
async function main() {
  ensureNode();
  ensurePackages();
  const { values } = parseArgs({ options: { data: { type: 'string' }, clear: { type: 'boolean', default: false } } });
  const data = resolve(values.data ?? defaultData());
  const { default: pg } = await import('pg');
  const cluster = process.env.DATABASE_URL ? undefined : await startCluster({ directory: join(data, 'postgres') });
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL ?? cluster?.url('postgres') });
  await client.connect();
  try {
    const { rows } = await client.query(
      `select created_on, data, output from jobs.job where name = 'dead-letters' order by created_on`,
    );
    for (const { created_on: at, data: told, output } of rows)
      say(`${at.toISOString()} ${JSON.stringify(told)} ${JSON.stringify(output)}`);
    say(`${rows.length} jobs failed for good.`);
    if (values.clear) await client.query(`delete from jobs.job where name = 'dead-letters'`);
  } finally {
    await client.end();
    if (!runsOn(data)) await cluster?.stop();
  }
}

run(main);
