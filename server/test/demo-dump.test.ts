import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ownerOptions } from '../src/db/connection.js';
import { Vocabulary1796200000000 } from '../src/db/migrations/12-vocabulary.js';
import { References1796300000000 } from '../src/db/migrations/13-references.js';
import { Ambient1796400000000 } from '../src/db/migrations/14-ambient.js';
import { Stages1796500000000 } from '../src/db/migrations/15-stages.js';
import { databaseBefore, startServer, visitor, type Agent, type Harness } from './harness.js';

/** The demo as it was in November 2026, before its words were those of the field: a row of a table on each line. */
const dump = gunzipSync(readFileSync(new URL('dumps/demo-2026-11.jsonl.gz', import.meta.url)))
  .toString()
  .split('\n')
  .map((line) => JSON.parse(line) as { table: string; row: Record<string, unknown> });
const rowsOf = (table: string) => dump.filter((one) => one.table === table).map(({ row }) => row);

let harness: Harness;
let agent: Agent;
let owner: DataSource;

beforeAll(async () => {
  const { ownerUrl, owner: before } = await databaseBefore(Vocabulary1796200000000);
  for (const at of new Set(rowsOf('air_readings').map((row) => row['at'])))
    await before.query('SELECT air_month($1)', [at]);
  for (const { table, row } of dump)
    await before.query(`INSERT INTO "${table}" SELECT * FROM jsonb_populate_record(NULL::"${table}", $1::jsonb)`, [
      JSON.stringify(row),
    ]);
  await before.destroy();
  harness = await startServer({ ownerUrl });
  owner = await new DataSource(ownerOptions(ownerUrl)).initialize();
  agent = visitor(harness);
  await agent.post('/api/session/demo').expect(204);
});
afterAll(async () => {
  await owner.destroy();
  await harness.close();
});

/** Tables that are called otherwise now. */
const renamed: Record<string, string> = {
  air_readings: 'ambient_readings',
  air_asides: 'ambient_asides',
  lift_out_lessons: 'demould_lessons',
  mix_editions: 'mix_revisions',
  tint_editions: 'tint_revisions',
};

it('keeps every row', async () => {
  for (const table of new Set(dump.map((one) => one.table))) {
    const [{ count }] = await owner.query<[{ count: string }]>(`SELECT count(*) FROM "${renamed[table] ?? table}"`);
    expect([table, Number(count)]).toEqual([table, rowsOf(table).length]);
  }
});

/** Stages that are called otherwise now. */
const renamedStages: Record<string, string> = { damp: 'curing', out: 'finished' };

it('tells of every cast what it told before', async () => {
  const { rows: casts } = (await agent.get('/api/casts?size=200').expect(200)).body;
  const kept = rowsOf('casts') as { id: string; stage: string; snapshot: { setting: string }; projection: { life: { liftedAt?: number } } }[]; // prettier-ignore
  expect(casts).toHaveLength(kept.length);
  for (const { id, stage, snapshot, projection } of kept) {
    const cast = casts.find((one: { id: string }) => one.id === id);
    expect([cast.stage, cast.life.stage, cast.snapshot.binderClass, cast.life.demouldedAt]).toEqual([
      renamedStages[stage] ?? stage,
      renamedStages[stage] ?? stage,
      snapshot.setting,
      projection.life.liftedAt,
    ]);
  }
  const { id } = kept.find(({ stage }) => stage === 'drying')!;
  const { body: detail } = await agent.get(`/api/casts/${id}`).expect(200);
  const events = rowsOf('cast_events').filter((row) => row['cast_id'] === id);
  expect(detail.events).toHaveLength(events.length);
  expect(detail.events.map(({ type }: { type: string }) => type)).toContain('demoulded');
  expect(detail.demould.records.length).toBeGreaterThan(0);
});

it('keeps when a cast was finished, and what was postponed to when', async () => {
  const events = rowsOf('cast_events') as { cast_id: string; event: { type: string; at: number } }[];
  const finished = events.filter(({ event }) => event.type === 'put-out');
  const postponed = events.filter(({ event }) => event.type === 'snoozed');
  expect([finished.length > 0, postponed.length]).toEqual([true, 0]);
  for (const { cast_id: cast, event } of finished) {
    const { body } = await agent.get(`/api/casts/${cast}`).expect(200);
    expect(body.life).toMatchObject({ stage: 'finished', finishedAt: event.at });
    expect(body.events.map(({ type }: { type: string }) => type)).toContain('finished');
  }
});

it('keeps what the air was at each coat, with its event and with what the events come to', async () => {
  const coats = rowsOf('cast_events') as { id: string; cast_id: string; event: { air?: object } }[];
  const inAir = coats.filter(({ event }) => event.air);
  expect(inAir.length).toBeGreaterThan(0);
  for (const { id, cast_id: cast, event } of inAir) {
    const { body } = await agent.get(`/api/casts/${cast}`).expect(200);
    expect(body.events.find((one: { id: string }) => one.id === id).ambient).toEqual(event.air);
    expect(body.life.coats.map(({ ambient }: { ambient: object }) => ambient)).toContainEqual(event.air);
  }
});

it('keeps moulds, mixes and their versions', async () => {
  const { body: moulds } = await agent.get('/api/moulds/all').expect(200);
  const bodies = rowsOf('moulds') as { id: string; body: { stuff: string } }[];
  for (const { id, body } of bodies)
    expect(moulds.find((one: { id: string }) => one.id === id).flexibility).toBe(body.stuff);
  const { body: mixes } = await agent.get('/api/mixes/all').expect(200);
  const recipes = rowsOf('mixes') as { id: string; body: { setting: string; dampDays: number } }[];
  for (const { id, body } of recipes)
    expect(mixes.find((one: { id: string }) => one.id === id)).toMatchObject({
      binderClass: body.setting,
      moistCuringDays: body.dampDays,
    });
});

it('keeps its pours, with the run of the one that is under way and what was put aside', async () => {
  const { body: pours } = await agent.get('/api/pours').expect(200);
  expect(pours.count).toBe(rowsOf('pours').length);
  const { id } = pours.rows.find(({ status }: { status: string }) => status === 'started');
  const { body: started } = await agent.get(`/api/pours/${id}`).expect(200);
  expect(started.parts[0].plan).toMatchObject({ binderClass: 'portland', conditions: { moistCuringDays: 7 } });
  const { body: run } = await agent.get(`/api/pours/${started.id}/run`).expect(200);
  expect(run.events).toHaveLength(3);
  expect((await agent.get('/api/findings-aside').expect(200)).body).toHaveLength(1);
});

it('goes back to the words of before, where it must', async () => {
  const back = await new DataSource(ownerOptions(harness.config.ownerUrl)).initialize();
  const runner = back.createQueryRunner();
  await runner.startTransaction();
  // What a later migration keeps for the end of the transaction would stand in the way of changing tables.
  await runner.query('SET CONSTRAINTS ALL IMMEDIATE');
  for (const migration of [Stages1796500000000, Ambient1796400000000, References1796300000000, Vocabulary1796200000000])
    await new migration().down(runner);
  const kept = rowsOf('casts') as { id: string; stage: string; projection: { life: { stage: string; outAt?: number } }; snapshot: unknown }[]; // prettier-ignore
  const rows = (await runner.query('SELECT id, stage, snapshot, projection FROM casts')) as typeof kept;
  const snapshots = (of: typeof kept) => new Map(of.map(({ id, snapshot }) => [id, snapshot]));
  expect(snapshots(rows)).toEqual(snapshots(kept));
  const stages = (of: typeof kept) => new Map(of.map(({ id, stage, projection: { life } }) => [id, [stage, life.stage, life.outAt]])); // prettier-ignore
  expect(stages(rows)).toEqual(stages(kept));
  await runner.rollbackTransaction();
  await runner.release();
  await back.destroy();
});
