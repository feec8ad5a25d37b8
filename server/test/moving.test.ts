import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { Client } from 'pg';
import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { rowsOf } from '../src/moving/moved-rows.js';
import { WorkshopMove } from '../src/moving/workshop-move.js';
import { newAddress, newWorkshop, PASSPHRASE, pouredPots, signedIn, startServer, type Agent, type Harness } from './harness.js'; // prettier-ignore

const HOUR = 3_600_000;
const PROGRAM = fileURLToPath(new URL('../dist/app/move-workshop.js', import.meta.url));

let [here, there]: Harness[] = [];
let [from, to] = ['', ''];
beforeAll(async () => {
  [here, there] = [await startServer(), await startServer()];
  [from, to] = [here.config.ownerUrl, there.config.ownerUrl];
});
afterAll(async () => {
  await here!.close();
  await there!.close();
});

/** A workshop with a mould, a pour, casts and readings, and somebody who is signed in. */
async function madeWorkshop(email = newAddress()) {
  const agent = await newWorkshop(here!, 'Quince Yard', email);
  const { casts } = await pouredPots(agent, Date.now() - 50 * HOUR);
  const place = uuid();
  await agent
    .put(`/api/places/${place}`)
    .send({ name: 'The old shed', kind: 'shed', source: 'files', version: 0 })
    .expect(200);
  const readings = [1, 40, 80].map((days) => ({ at: Date.now() - days * 24 * HOUR, temperature: 17 }));
  await agent.post(`/api/places/${place}/readings`).send({ readings }).expect(200);
  const { body } = await agent.get('/api/session').expect(200);
  return { agent, email, casts, id: (body as { workshop: { id: string } }).workshop.id };
}

/** Every row of a workshop, as its database tells it. */
async function tellAll(ownerUrl: string, workshop: string): Promise<Record<string, string[]>> {
  const client = new Client({ connectionString: ownerUrl });
  await client.connect();
  const all: Record<string, string[]> = {};
  for (const { table, where } of await rowsOf(client, workshop)) {
    const { rows } = await client.query<{ row: string }>(
      `SELECT t::text AS row FROM ${table} AS t WHERE ${where} ORDER BY 1`,
    );
    if (rows.length > 0) all[table] = rows.map(({ row }) => row);
  }
  await client.end();
  return all;
}

/** The session of somebody who is signed in at one server, at another one. */
async function followed(agent: Agent, harness: Harness): Promise<Agent> {
  const cookie = (agent as unknown as { jar: { getCookies: (of: object) => { toValueString: () => string } } }).jar;
  const value = cookie.getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false }).toValueString();
  return request.agent(harness.app.getHttpServer()).set({ 'Sec-Fetch-Site': 'same-origin', cookie: value }) as unknown as Agent;
} // prettier-ignore

const scoop = (name: string) => ({ name, volume: 300, version: 0 });

it('takes every row along while people write: what was acknowledged is there, what was refused can be sent again', async () => {
  const { agent, id, casts } = await madeWorkshop();
  const before = await tellAll(from, id);
  expect(Object.keys(before).length).toBeGreaterThan(15);
  const acknowledged = new Set<string>();
  const refused: string[] = [];
  let over = false;
  const writing = [0, 1, 2].map(async () => {
    while (!over) {
      const key = uuid();
      const { status, headers } = await agent.put(`/api/scoops/${key}`).send(scoop(key));
      if (status === 200) acknowledged.add(key);
      else if (status === 503 && headers['retry-after']) refused.push(key);
      // One that was under way for longer than the program waits finds nothing any more.
      else return expect([401, 404]).toContain(status);
    }
  });
  const { stdout } = await promisify(execFile)(process.execPath, [PROGRAM, id], {
    env: { ...process.env, DATABASE_URL: from, TARGET_DATABASE_URL: to },
  });
  over = true;
  await Promise.all(writing);
  expect(stdout).toMatch(/^Moved: \d+ rows\. It could be read alone for \d+\.\d s\.\n$/);
  expect(acknowledged.size).toBeGreaterThan(0);
  expect(await tellAll(from, id)).toEqual({});
  const after = await tellAll(to, id);
  for (const [table, rows] of Object.entries(before))
    if (!/scoops|audit|kept_ways|workshops/.test(table)) expect([table, after[table]]).toEqual([table, rows]);
  await agent.get('/api/casts').expect(401);
  const same = await followed(agent, there!);
  const { scoops } = (await same.get('/api/store').expect(200)).body as { scoops: { id: string }[] };
  const kept = new Set(scoops.map((one) => one.id));
  expect([...acknowledged].filter((key) => !kept.has(key))).toEqual([]);
  for (const key of refused.slice(0, 3)) await same.put(`/api/scoops/${key}`).send(scoop(key)).expect(200);
  await same.get(`/api/casts/${casts[0]}`).expect(200);
});

it('closes a workshop to writing alone, to every server, and opens it again', async () => {
  const { agent, id, casts } = await madeWorkshop();
  await WorkshopMove.with(from, to, id, (move) => move.close(true));
  const { body } = await agent.put(`/api/scoops/${uuid()}`).send(scoop('A ladle')).expect(503);
  expect(body).toMatchObject({ status: 503 });
  await agent.post(`/api/casts/${casts[0]}/events`).send({ id: uuid(), at: Date.now(), type: 'demoulded', damage: [], force: 'tapped' }).expect(503); // prettier-ignore
  await agent.get(`/api/casts/${casts[0]}`).expect(200);
  await (await newWorkshop(here!)).put(`/api/scoops/${uuid()}`).send(scoop('Of another')).expect(200);
  await WorkshopMove.with(from, to, id, (move) => move.close(false));
  await agent.put(`/api/scoops/${uuid()}`).send(scoop('A ladle')).expect(200);
});

it('is moved by one at a time', async () => {
  const { id } = await madeWorkshop();
  const tries = await Promise.allSettled([WorkshopMove.between(from, to, id), WorkshopMove.between(from, to, id)]);
  expect(tries.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
  expect(await tellAll(from, id)).toEqual({});
  expect(Object.keys(await tellAll(to, id)).length).toBeGreaterThan(15);
});

it('is finished by the next try where the first one broke off after it arrived', async () => {
  const { agent, id } = await madeWorkshop();
  await WorkshopMove.with(from, to, id, async (move) => {
    await move.close(true);
    await move.copy();
  });
  await agent.get('/api/casts').expect(200);
  const { rows } = await WorkshopMove.between(from, to, id);
  expect(rows).toBeGreaterThan(50);
  expect(await tellAll(from, id)).toEqual({});
  await (await followed(agent, there!)).get('/api/casts').expect(200);
});

it('leaves a workshop as it was where it cannot go, and says why', async () => {
  const { agent, email, id } = await madeWorkshop();
  await newWorkshop(there!, 'Other', email);
  await expect(WorkshopMove.between(from, to, id)).rejects.toThrow(
    `Others have accounts with these addresses where it is to go: ${email}.`,
  );
  await expect(WorkshopMove.between(from, to, uuid())).rejects.toThrow('No workshop');
  await agent.put(`/api/scoops/${uuid()}`).send(scoop('A ladle')).expect(200);
  const client = new Client({ connectionString: to });
  await client.connect();
  const { agent: other, id: second } = await madeWorkshop();
  await client.query('ALTER TABLE scoops ADD CONSTRAINT wrong CHECK (volume < 1) NOT VALID');
  await expect(WorkshopMove.between(from, to, second)).rejects.toThrow('wrong');
  await client.query('ALTER TABLE scoops DROP CONSTRAINT wrong');
  await client.end();
  await other.put(`/api/scoops/${uuid()}`).send(scoop('A ladle')).expect(200);
  expect(await tellAll(to, second)).toEqual({});
});

it('goes to where its people have accounts already that came with another workshop, and back', async () => {
  const email = newAddress();
  const first = await madeWorkshop(email);
  await first.agent.post('/api/session/workshops').send({ workshop: 'Second' }).expect(204);
  const { id: second } = ((await first.agent.get('/api/session').expect(200)).body as { workshop: { id: string } }).workshop;
  await WorkshopMove.between(from, to, first.id);
  await WorkshopMove.between(from, to, second);
  const agent = await signedIn(there!, email, PASSPHRASE);
  expect((await agent.get('/api/session/workshops').expect(200)).body).toHaveLength(2);
  await WorkshopMove.between(to, from, first.id);
  await (await signedIn(here!, email)).get(`/api/casts/${first.casts[0]}`).expect(200);
}); // prettier-ignore
