import { Client } from 'pg';
import { DataSource, type Logger } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi, type MockInstance } from 'vitest';
import {
  letIn,
  me,
  newWorkshop,
  pouredPots,
  routesOf,
  startServer,
  visitor,
  type Agent,
  type Harness,
} from './harness.js';

const HOUR = 3_600_000;

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

const workshopOf = async (agent: Agent) => (await agent.get('/api/session')).body.workshop.id as string;

/** The areas of a workshop, each with what tells its state apart. */
async function areasOf(workshop: string): Promise<Record<string, string>> {
  const { rows } = await owner.query<{ areas: Record<string, string> }>(
    'select areas from door.revisions where workshop_id = $1',
    [workshop],
  );
  return rows[0]?.areas ?? {};
}

/** The areas whose state is another one than before. */
const moved = (before: Record<string, string>, after: Record<string, string>) =>
  Object.keys(after)
    .filter((area) => before[area] !== after[area])
    .sort();

/** Asks again for what was answered with a tag. */
const again = (agent: Agent, path: string, tag: string | undefined) => agent.get(path).set('If-None-Match', tag ?? '');

describe('the state of a workshop', () => {
  // Readings tell by their place, once a statement.
  const untold = `
    SELECT c.relname FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'workshop_id'
    WHERE c.relnamespace = 'public'::regnamespace AND c.relkind IN ('r', 'p') AND c.relname <> 'sessions' AND NOT c.relispartition AND NOT EXISTS
      (SELECT 1 FROM pg_trigger t WHERE t.tgrelid = c.oid AND (t.tgname = 'workshop_changed' AND t.tgdeferrable OR t.tgname = 'readings_came'))`;

  it('moves with every table, and the search for tables that tell nothing finds a new one', async () => {
    expect((await owner.query(untold)).rows).toEqual([]);
    await owner.query('BEGIN; CREATE TABLE silent (workshop_id uuid)');
    expect((await owner.query(untold)).rows).toEqual([{ relname: 'silent' }]);
    await owner.query('ROLLBACK');
  });

  it('moves by what is written, in its area and of its workshop alone, and not by what is read', async () => {
    const [agent, other] = [await newWorkshop(harness), await newWorkshop(harness, 'Elsewhere')];
    const { casts } = await pouredPots(agent, Date.now() - 20 * HOUR);
    const [here, there] = [await workshopOf(agent), await workshopOf(other)];
    const [before, elsewhere] = [await areasOf(here), await areasOf(there)];
    for (const path of ['moulds/all', 'store', 'session', 'pours', `casts/${casts[0]}`]) await agent.get(`/api/${path}`).expect(200); // prettier-ignore
    expect(await areasOf(here)).toEqual(before);
    await agent.post(`/api/casts/${casts[0]}/events`).send({ id: uuid(), at: Date.now(), type: 'wetted' }).expect(200);
    const after = await areasOf(here);
    expect(moved(before, after)).toEqual(['casts', 'rest']);
    await agent.put(`/api/scoops/${uuid()}`).send({ name: 'A tin', volume: 400, version: 0 }).expect(200);
    expect(moved(after, await areasOf(here))).toEqual(['materials', 'rest']);
    expect(await areasOf(there)).toEqual(elsewhere);
  });

  it('moves once for many rows, goes back with what was undone, and goes with the workshop', async () => {
    const agent = await newWorkshop(harness);
    const workshop = await workshopOf(agent);
    const begun = await areasOf(workshop);
    const many = `INSERT INTO scoops (workshop_id, id, version, name, volume)
      SELECT $1, gen_random_uuid(), 1, 'scoop ' || n, 400 FROM generate_series(1, 500) AS n`;
    await owner.query('BEGIN');
    await owner.query(many, [workshop]);
    await owner.query('ROLLBACK');
    expect(await areasOf(workshop)).toEqual(begun);
    await owner.query(many, [workshop]);
    expect(moved(begun, await areasOf(workshop))).toEqual(['materials']);
    await owner.query('DELETE FROM workshops WHERE id = $1', [workshop]);
    expect(await areasOf(workshop)).toEqual({});
  });

  it('holds nobody up: who writes beside a transaction that is not through waits for it no longer than its rows ask', async () => {
    const workshop = await workshopOf(await newWorkshop(harness));
    const scoop = `INSERT INTO scoops (workshop_id, id, version, name, volume) VALUES ($1, $2, 1, 'A tin', 400)`;
    await owner.query('BEGIN');
    await owner.query(scoop, [workshop, uuid()]);
    const beside = new Client({ connectionString: harness.config.ownerUrl, lock_timeout: 2000 });
    await beside.connect();
    await beside.query(scoop, [workshop, uuid()]);
    await beside.end();
    await owner.query('COMMIT');
  });
});

describe('an answer that has not changed', () => {
  // An answer is another one in the next minute: none begins between two of these.
  let clock: MockInstance<() => number>;
  beforeEach(() => {
    clock = vi.spyOn(Date, 'now').mockReturnValue(Date.now());
  });
  afterEach(() => clock.mockRestore());

  it('is not sent again until something of it changes, to nobody but whom it was sent to', async () => {
    const agent = await newWorkshop(harness);
    const { casts } = await pouredPots(agent, Date.now() - 20 * HOUR);
    const first = await agent.get('/api/casts/shelf').expect(200);
    const tag = first.headers.etag;
    expect(first.headers['cache-control']).toBe('private, no-cache');
    const same = await again(agent, '/api/casts/shelf', tag).expect(304);
    expect(same.text).toBe('');
    // The tag of one address is none of another.
    await again(agent, '/api/casts', tag).expect(200);
    const other = await letIn(harness, agent);
    await again(other, '/api/casts/shelf', tag).expect(200);
    await agent.post(`/api/casts/${casts[0]}/events`).send({ id: uuid(), at: Date.now(), type: 'broken' }).expect(200);
    const { body } = await again(agent, '/api/casts/shelf', tag).expect(200);
    expect(body).toHaveLength(2);
    await agent.delete('/api/session').expect(204);
    await again(agent, '/api/casts/shelf', tag).expect(401);
    await again(visitor(harness), '/api/casts/shelf', tag).expect(401);
  });

  it('is a minute old at the most, and in the language that is asked for', async () => {
    const agent = await newWorkshop(harness);
    const { etag } = (await agent.get('/api/casts/shelf').expect(200)).headers;
    await again(agent, '/api/casts/shelf', etag).set('Accept-Language', 'es').expect(200);
    clock.mockReturnValue(Date.now() + 60_000);
    await again(agent, '/api/casts/shelf', etag).expect(200);
  });

  it('that is said to be timeless is the same ten days later, made anew', async () => {
    const agent = await newWorkshop(harness);
    const { casts, pour } = await pouredPots(agent, Date.now() - 20 * HOUR);
    const workshop = await workshopOf(agent);
    const later = Date.now() + 10 * 24 * HOUR;
    let timeless = 0;
    for (const { method, path } of await routesOf(harness)) {
      if (method !== 'get' || path.endsWith('/stream')) continue;
      const asked = path.replace('{id}', path.includes('/pours/') ? pour : casts[0]!);
      const { headers, status, text } = await agent.get(asked);
      if (status !== 200 || headers['cache-control'] !== 'private, no-cache') continue;
      const now = Date.now();
      clock.mockReturnValue(later);
      if ((await again(agent, asked, headers.etag)).status === 304) {
        timeless++;
        await moveAll(workshop);
        expect((await agent.get(asked).expect(200)).text, path).toBe(text);
      }
      clock.mockReturnValue(now);
    }
    expect(timeless).toBeGreaterThanOrEqual(13);
  });

  it('is everybody’s own where it is about them, and another one once they may do less', async () => {
    const agent = await newWorkshop(harness);
    const helper = await letIn(harness, agent, { name: 'Tobias' });
    const [mine, theirs] = [await me(agent), await me(helper)];
    expect([mine.name, theirs.name]).toEqual(['Ada', 'Tobias']);
    const { etag } = (await helper.get('/api/session').expect(200)).headers;
    await again(helper, '/api/session', etag).expect(304);
    await agent.put(`/api/people/${theirs.id}`).send({ role: 'guest' }).expect(200);
    const { body } = await again(helper, '/api/session', etag).expect(200);
    expect(body.person.role).toBe('guest');
  });

  it('that is refused has no tag', async () => {
    const agent = await newWorkshop(harness);
    const { headers } = await agent.get(`/api/casts/${uuid()}`).expect(404);
    expect(headers['cache-control']).toBeUndefined();
    const { body } = await again(agent, `/api/casts/${uuid()}`, headers.etag).expect(404);
    expect(body).toMatchObject({ status: 404 });
  });

  it('is made once for all who ask for it at once', async () => {
    const agent = await newWorkshop(harness);
    await pouredPots(agent, Date.now() - 20 * HOUR);
    const statements = await readBy(async () => {
      const all = await Promise.all(Array.from({ length: 8 }, () => agent.get('/api/moulds/all').expect(200)));
      expect(new Set(all.map(({ text }) => text)).size).toBe(1);
    });
    expect(statements.filter((sql) => sql.includes('FROM "moulds"'))).toHaveLength(1);
  });

  it('is made of the areas that its route says', async () => {
    const agent = await newWorkshop(harness);
    const { casts, pour } = await pouredPots(agent, Date.now() - 20 * HOUR);
    const workshop = await workshopOf(agent);
    const areaOf = await areaOfTables();
    const [kept, missed]: [string[], string[]] = [[], []];
    for (const { method, path } of await routesOf(harness)) {
      if (method !== 'get' || path.endsWith('/stream')) continue;
      const asked = path.replace('{id}', path.includes('/pours/') ? pour : casts[0]!);
      // A state that nothing was answered at yet, so that all of it is read.
      await moveAll(workshop);
      let tag: string | undefined;
      const statements = await readBy(async () => {
        const { headers, status } = await agent.get(asked);
        if (status === 200 && headers['cache-control'] === 'private, no-cache') tag = headers.etag;
      });
      if (tag === undefined) continue;
      kept.push(path);
      await again(agent, asked, tag).expect(304);
      const asks = [...areaOf].filter(([table]) => statements.some((sql) => reads(sql, table)));
      for (const area of new Set(asks.map(([, of]) => of))) {
        await move(workshop, area);
        const { status, headers } = await again(agent, asked, tag);
        if (status !== 200) missed.push(`${path} says nothing of ${area}`);
        else tag = headers.etag;
      }
    }
    expect(missed).toEqual([]);
    expect(kept.length).toBeGreaterThanOrEqual(18);
  });
});

/** Whether a statement reads a table. */
const reads = (sql: string, table: string) => new RegExp(`(from|join) "?${table}"?\\b`, 'i').test(sql);

/** What is asked of the database meanwhile. */
async function readBy(work: () => Promise<void>): Promise<string[]> {
  const source = harness.app.get(DataSource);
  const { logger } = source;
  const statements: string[] = [];
  const listening: Partial<Logger> = {
    logQuery: (sql: string) => statements.push(sql),
    logQueryError: () => undefined,
  };
  Object.assign(source, { logger: { ...listening, logQuerySlow: () => undefined, log: () => undefined } });
  try {
    await work();
  } finally {
    Object.assign(source, { logger });
  }
  return statements;
}

/** The area of each table, as its trigger says it. */
async function areaOfTables(): Promise<Map<string, string>> {
  const { rows } = await owner.query<{ relname: string; area: string }>(
    `SELECT c.relname, split_part(encode(t.tgargs, 'escape'), '\\000', 1) AS area
     FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid WHERE t.tgname = 'workshop_changed' AND NOT c.relispartition`,
  );
  const areas = new Map(rows.map(({ relname, area }) => [relname, area]));
  return areas.set('ambient_readings', areas.get('places')!);
}

const move = (workshop: string, area: string) =>
  owner.query('update door.revisions set areas = areas || jsonb_build_object($2::text, gen_random_uuid()) where workshop_id = $1', [workshop, area]); // prettier-ignore

async function moveAll(workshop: string): Promise<void> {
  for (const area of new Set((await areaOfTables()).values())) await move(workshop, area);
}
