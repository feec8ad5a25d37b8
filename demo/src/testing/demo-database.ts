import { Client } from 'pg';
import { newDatabase, startServer } from '../../../server/test/harness.js';
import { fillDemo } from '../fill.js';

/** A fixed day in autumn: the season before it is the same at each run. */
export const DEMO_NOW = Date.UTC(2026, 9, 14, 10);
/** Filling the demo workshop may take so long on a busy machine, ms. */
export const FILLING = 300_000;

const FILLED = 'demo_workshop';
const LOCK = 81_370_002;

/** The name of the database in an address. */
const nameIn = (url: string): string => new URL(url).pathname.slice(1);

async function fill(): Promise<string> {
  const ownerUrl = await newDatabase(process.env.DEWPOT_TEST_PREPARED);
  const harness = await startServer({ ownerUrl });
  await fillDemo(harness.app, DEMO_NOW);
  await harness.close();
  return nameIn(ownerUrl);
}

/** A database with the demo workshop as of that day, its owner's address. It is filled once in a run, and each test has a copy. */
export async function demoDatabase(): Promise<string> {
  const client = new Client({ connectionString: process.env.DEWPOT_TEST_CLUSTER });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [LOCK]);
    const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [FILLED]);
    // It gets its name once it is whole.
    if (rowCount === 0) await client.query(`ALTER DATABASE ${await fill()} RENAME TO ${FILLED}`);
  } finally {
    await client.end();
  }
  return newDatabase(FILLED);
}
