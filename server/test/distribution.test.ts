import { readFileSync } from 'node:fs';
import { Client } from 'pg';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { WorkshopContext } from '../src/db/workshop-context.js';
import { me, newWorkshop, startServer, type Harness } from './harness.js';
import { homelessStatements } from './watched-statements.js';

let harness: Harness;
let owner: Client;
beforeAll(async () => {
  harness = await startServer();
  owner = new Client({ connectionString: harness.config.ownerUrl });
  await owner.connect();
});
afterAll(async () => {
  await owner.end();
  await harness.close();
});

describe('a statement of the application', () => {
  it('on a table of workshops is of one of them: one that is of none is found in every test of the server', async () => {
    const agent = await newWorkshop(harness);
    await agent.get('/api/casts').expect(200);
    const { id } = await me(agent);
    expect(homelessStatements()).toEqual([]);
    const source = harness.app.get(DataSource);
    await source.query('select 1 from people where id = $1', [id]);
    await source.query('UPDATE "casts" SET "code" = "code"');
    expect(homelessStatements()).toEqual(['select 1 from people where id = $1', 'UPDATE "casts" SET "code" = "code"']);
    const { workshop } = (await agent.get('/api/session').expect(200)).body as { workshop: { id: string } };
    const rows = harness.app.get(WorkshopContext);
    await rows.inWorkshop(workshop.id, () => rows.manager.query('select 1 from people'));
    expect(homelessStatements()).toEqual([]);
  });
});

const sql = readFileSync(new URL('../../deploy/distribute.sql', import.meta.url), 'utf8');

/** What the script does with each table, by its name. */
function distribution(): Record<'spread' | 'everywhere' | 'unbound', string[]> {
  const named = (pattern: RegExp) => [...sql.matchAll(pattern)].map(([, name]) => name!).sort();
  return {
    spread: named(/create_distributed_table\('([\w.]+)', '(?:workshop_id|id)'/g),
    everywhere: named(/create_reference_table\('([\w.]+)'/g),
    unbound: named(/^DROP INDEX (\S+);/gm),
  };
}

describe('the script that spreads the tables over machines', () => {
  const ofWorkshops = `
    SELECT n.nspname || '.' || c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE n.nspname IN ('public', 'door') AND c.relkind IN ('r', 'p') AND NOT c.relispartition AND
      (c.relname = 'workshops' OR EXISTS (SELECT 1 FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attname = 'workshop_id'))`;
  const names = async (question: string) =>
    (await owner.query<{ name: string }>(question)).rows.map(({ name }) => name).sort();

  it('names every table of workshops once, by its workshop, beside one another', async () => {
    expect(distribution().spread).toEqual(await names(ofWorkshops));
    const beside = sql.match(/colocate_with => 'public\.workshops'/g) ?? [];
    expect(beside).toHaveLength(distribution().spread.length - 1);
  });

  it('leaves no unique index on them without the workshop in it', async () => {
    const unique = await names(`
      SELECT DISTINCT i.indexrelid::regclass::text AS name FROM pg_index i JOIN pg_class c ON c.oid = i.indrelid
      WHERE i.indisunique AND c.relkind IN ('r', 'p') AND NOT c.relispartition AND
        EXISTS (SELECT 1 FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attname = 'workshop_id') AND
        NOT EXISTS (SELECT 1 FROM pg_attribute a WHERE a.attrelid = c.oid AND a.attnum = ANY (i.indkey) AND a.attname = 'workshop_id')`);
    expect(unique.length).toBeGreaterThan(0);
    expect(distribution().unbound).toEqual(unique);
  });

  it('keeps on every machine only what is of no workshop', async () => {
    const all =
      await names(`SELECT n.nspname || '.' || c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
      WHERE n.nspname IN ('public', 'door') AND c.relkind IN ('r', 'p') AND NOT c.relispartition`);
    const { spread, everywhere } = distribution();
    expect([...everywhere, ...spread].filter((name) => !all.includes(name))).toEqual([]);
    expect(everywhere.filter((name) => spread.includes(name))).toEqual([]);
  });
});
