import { setTimeout as wait } from 'node:timers/promises';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { configFrom } from '../src/config.js';
import { hasBouncer, startBouncer } from './bouncer.js';
import { newWorkshop, pouredPots, startServer, wideRates, type Agent, type Harness } from './harness.js';

const HOUR = 3_600_000;

/** Where no pgbouncer can be installed, these are skipped and said to be. */
describe.skipIf(!hasBouncer)('a server behind a pgbouncer in transaction mode', () => {
  let direct: Harness;
  let harness: Harness;
  let bouncer: Awaited<ReturnType<typeof startBouncer>>;
  beforeAll(async () => {
    direct = await startServer({ rates: wideRates });
    const { ownerUrl } = direct.config;
    bouncer = await startBouncer(ownerUrl);
    harness = await startServer({ rates: wideRates, ownerUrl, bouncer: bouncer.address });
  });
  afterAll(async () => {
    await harness.close();
    await bouncer.stop();
    await direct.close();
  });

  it('reaches the database by it, under the limits that it sets', async () => {
    const source = harness.app.get(DataSource);
    const [row] = await source.query<{ timeout: string; port: string; locks: string }[]>(
      `select current_setting('statement_timeout') as timeout, current_setting('lock_timeout') as locks`,
    );
    expect(row).toEqual({ timeout: '10s', locks: '5s' });
    expect(String((source.options as { url?: string }).url)).toContain(bouncer.address);
  });

  it('pours, finishes and records as without it', async () => {
    const agent = await newWorkshop(harness);
    const { casts } = await pouredPots(agent, Date.now() - 20 * HOUR);
    const event = { id: uuid(), at: Date.now(), type: 'wetted' };
    await agent.post(`/api/casts/${casts[0]}/events`).send(event).expect(200);
    const { body } = await agent.get('/api/casts/shelf').expect(200);
    expect(body).toHaveLength(3);
  });

  it('keeps workshops apart whose requests share its connections', async () => {
    const names = ['Quince Yard', 'Elsewhere', 'By the mill'];
    const agents = await Promise.all(names.map((name) => newWorkshop(harness, name)));
    const scoops = await Promise.all(agents.map((agent) => newScoop(agent)));
    const asked = Array.from({ length: 150 }, async (_, n) => {
      const { body } = await agents[n % 3]!.get('/api/store').expect(200);
      return [n % 3, (body as { scoops: { id: string }[] }).scoops.map(({ id }) => id)] as const;
    });
    for (const [whose, ids] of await Promise.all(asked))
      scoops.forEach((id, n) => expect(ids.includes(id), `${names[n]} in ${names[whose]}`).toBe(n === whose));
  });

  it('loses and doubles nothing when the bouncer is started again while people write', async () => {
    const agent = await newWorkshop(harness);
    const ids = Array.from({ length: 60 }, () => uuid());
    const writing = Promise.all(ids.map(async (id, n) => {
      await wait(n * 20);
      await kept(agent, id);
    })); // prettier-ignore
    await wait(300);
    await bouncer.kill();
    await wait(500);
    await bouncer.start();
    await writing;
    const { scoops } = (await agent.get('/api/store').expect(200)).body as { scoops: { id: string }[] };
    expect(ids.every((id) => scoops.filter((one) => one.id === id).length === 1)).toBe(true);
  });
});

async function newScoop(agent: Agent): Promise<string> {
  const id = uuid();
  await agent.put(`/api/scoops/${id}`).send({ name: 'A tin', volume: 400, version: 0 }).expect(200);
  return id;
}

/** Writes a scoop as the application does: again with the same key until it is taken. */
async function kept(agent: Agent, id: string): Promise<void> {
  for (let tries = 0; tries < 60; tries++) {
    const { status } = await agent.put(`/api/scoops/${id}`).send({ name: `Tin ${id}`, volume: 400, version: 0 });
    if (status === 200) return;
    expect([503, 429], 'whoever waits is told to come again').toContain(status);
    await wait(200);
  }
  throw new Error(`The scoop ${id} was not taken.`);
}

it('the address of a bouncer is a host and a port', () => {
  const from = (DEWPOT_BOUNCER: string) => configFrom({ DATABASE_URL: 'postgres://here', DEWPOT_BOUNCER });
  expect(from('10.0.0.3:6432')).toMatchObject({ bouncer: '10.0.0.3:6432' });
  for (const wrong of ['6432', 'postgres://10.0.0.3', 'host:port'])
    expect(() => from(wrong)).toThrow(`DEWPOT_BOUNCER is “${wrong}”: write a host and a port, such as 127.0.0.1:6432.`);
});
