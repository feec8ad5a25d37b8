import { Client } from 'pg';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { appOptions, ownerOptions } from '../src/db/connection.js';
import {
  isOpen,
  newWorkshop,
  pouredPots,
  routesOf,
  startServer,
  visitor,
  type Harness,
  type Route,
} from './harness.js';
import { homelessStatements } from './watched-statements.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

/** A stream of readings has no end; what a stranger hears of it is tested with it. */
const isEndless = ({ path }: Route) => path.endsWith('/stream');

describe('the walls between workshops', () => {
  it('turn away whoever has not signed in, on every route but the open ones', async () => {
    const all = await routesOf(harness);
    expect(all.length).toBeGreaterThan(25);
    for (const route of all.filter((one) => !isOpen(one))) {
      const answer = await visitor(harness)[route.method](route.path.replace('{id}', uuid())).send({});
      expect(answer.status, `${route.method} ${route.path}`).toBe(401);
      expect(answer.body).toMatchObject({ title: 'Sign in first', status: 401 });
    }
  });

  it('show a stranger nothing of another workshop and let him change nothing, on every route', async () => {
    const owner = await newWorkshop(harness);
    const keys = await pouredPots(owner, Date.now() - 3_600_000);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    const before = await snapshot(owner);
    const targets = [keys.mould, keys.mix, keys.pour, keys.lot, keys.cement, keys.scoop, ...keys.casts];
    const secret = new RegExp(targets.join('|'));
    const asked = (await routesOf(harness)).filter(
      (one) => !isOpen(one) && one.path !== '/api/session' && !isEndless(one),
    );
    for (const { method, path } of asked) {
      for (const id of path.includes('{id}') ? targets : ['']) {
        const sent = await stranger[method](path.replace('{id}', id)).send(bodyFor(path, keys));
        expect(sent.status, `${method} ${path}`).toBeLessThan(500);
        if (method === 'get' && id) expect(sent.status, `${method} ${path}`).toBe(404);
        if (method === 'get' && !id) expect(JSON.stringify(sent.body)).not.toMatch(secret);
      }
    }
    expect(await snapshot(owner)).toEqual(before);
  });
});

type Keys = Awaited<ReturnType<typeof pouredPots>>;

function bodyFor(path: string, keys: Keys): object {
  if (path.includes('/finish')) return keys.finish;
  if (path.includes('/pours')) return keys.input;
  if (path.includes('/events')) return { id: uuid(), at: Date.now(), type: 'broken' };
  if (path.includes('/scoops')) return { name: 'Mine now', volume: 1, version: 1 };
  if (path.includes('/stock')) return { name: 'Mine now', kind: 'stick', length: 9, width: 9, thickness: 9, count: 1, version: 1 }; // prettier-ignore
  if (path.includes('/lots')) return { materialId: keys.cement, bought: 1, left: 1, price: 0, boughtAt: 1, version: 1 };
  return {};
}

async function snapshot(agent: Awaited<ReturnType<typeof newWorkshop>>): Promise<unknown[]> {
  const paths = [
    '/api/people',
    '/api/moulds',
    '/api/moulds/all',
    '/api/mixes/all',
    '/api/store',
    '/api/pours',
    '/api/pours/past',
    '/api/casts',
    '/api/session',
  ];
  return Promise.all(paths.map(async (path) => (await agent.get(path).expect(200)).body as unknown));
}

/** Tables of which a primary key or a reference does not begin with the workshop. */
const keysOutside = `
  SELECT DISTINCT c.relname FROM pg_constraint k JOIN pg_class c ON c.oid = k.conrelid
    JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum = k.conkey[1]
  WHERE k.connamespace = 'public'::regnamespace AND k.contype IN ('p', 'f')
    AND c.relname NOT IN ('migrations', 'workshops') AND a.attname <> 'workshop_id'`;

/** Columns that hold the key of another row and are not bound to it. */
const unbound = `
  SELECT c.relname || '.' || a.attname AS named FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid
  WHERE c.relnamespace = 'public'::regnamespace AND c.relkind IN ('r', 'p') AND NOT c.relispartition
    AND a.attnum > 0 AND (a.attname LIKE '%\\_id' OR a.attname = 'finished_by') AND NOT EXISTS
      (SELECT 1 FROM pg_constraint k WHERE k.conrelid = c.oid AND k.contype = 'f' AND a.attnum = ANY (k.conkey))
  ORDER BY named`;

/** Those that are meant to outlive what they name: who did something, what a cast came out of, what a mould and a mix taught. Accounts stand before all workshops. */
const outlive = [
  'ambient_readings.place_id',
  'ambient_readings.workshop_id',
  'audit_entries.person_id',
  'audit_entries.record_id',
  'cast_events.person_id',
  'casts.mould_id',
  'demould_lessons.mix_id',
  'demould_lessons.mould_id',
  'people.account_id',
  'pours.finished_by',
  'run_events.person_id',
];

describe('row-level security', () => {
  const unwalled = `
    SELECT c.relname FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE n.nspname = 'public' AND c.relkind IN ('r', 'p') AND c.relname <> 'migrations'
      AND NOT (c.relrowsecurity AND EXISTS (SELECT 1 FROM pg_policy p WHERE p.polrelid = c.oid AND pg_get_expr(p.polqual, p.polrelid) LIKE '%app.workshop%'))`;

  it('stands on every table, and the search for tables without it finds a new one', async () => {
    const owner = new Client({ connectionString: harness.config.ownerUrl });
    await owner.connect();
    expect((await owner.query(unwalled)).rows).toEqual([]);
    await owner.query('BEGIN; CREATE TABLE forgotten (id uuid)');
    expect((await owner.query(unwalled)).rows).toEqual([{ relname: 'forgotten' }]);
    await owner.query('ROLLBACK');
    await owner.end();
  });

  it('stands in every key: a row is of its workshop first, and refers to no row of another', async () => {
    const owner = new Client({ connectionString: harness.config.ownerUrl });
    await owner.connect();
    expect((await owner.query(keysOutside)).rows).toEqual([]);
    await owner.query('BEGIN; CREATE TABLE loose (id uuid PRIMARY KEY, pour_id uuid, UNIQUE (pour_id))');
    expect((await owner.query(keysOutside)).rows).toEqual([{ relname: 'loose' }]);
    expect((await owner.query(unbound)).rows).toContainEqual({ named: 'loose.pour_id' });
    await owner.query('ROLLBACK');
    expect((await owner.query(unbound)).rows.map(({ named }) => named)).toEqual(outlive);
    await owner.end();
  });

  it('goes with a workshop whose rows go with it, and lets none be put with a row of another', async () => {
    const agent = await newWorkshop(harness);
    const other = await newWorkshop(harness, 'Elsewhere');
    const { mould } = await pouredPots(agent, Date.now() - 3_600_000);
    const workshopOf = async (one: typeof agent) => (await one.get('/api/session')).body.workshop.id as string;
    const [here, there] = [await workshopOf(agent), await workshopOf(other)];
    const owner = new Client({ connectionString: harness.config.ownerUrl });
    await owner.connect();
    const copy = 'INSERT INTO mould_copies (workshop_id, id, mould_id, mark) VALUES ($1, $2, $3, $4)';
    await expect(owner.query(copy, [there, uuid(), mould, 'X'])).rejects.toMatchObject({ code: '23503' });
    await owner.query('DELETE FROM workshops WHERE id = $1', [here]);
    for (const table of ['people', 'moulds', 'mould_copies', 'pours', 'casts', 'cast_events', 'lots'])
      expect((await owner.query(`SELECT 1 FROM ${table} WHERE workshop_id = $1`, [here])).rows).toEqual([]);
    expect((await owner.query('SELECT 1 FROM people WHERE workshop_id = $1', [there])).rows).toHaveLength(1);
    await owner.end();
  });

  it('binds a role that owns nothing and cannot pass by', async () => {
    const app = await new DataSource(appOptions(harness.config.ownerUrl)).initialize();
    const [role] = await app.query(
      'select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = current_user',
    );
    expect(role).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false });
    const [{ owned }] = await app.query(
      'select count(*)::int as owned from pg_class where relowner = (select oid from pg_roles where rolname = current_user)',
    );
    expect(owned).toBe(0);
    expect(await app.query('select * from people')).toEqual([]);
    expect(homelessStatements()).toEqual(['select * from people']);
    await app.destroy();
  });

  it('goes with a schema that the entities know in full', async () => {
    const owner = await new DataSource(ownerOptions(harness.config.ownerUrl)).initialize();
    const { upQueries } = await owner.driver.createSchemaBuilder().log();
    expect(upQueries.map(({ query }) => query)).toEqual([]);
    await owner.destroy();
  });
});
