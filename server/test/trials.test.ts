import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { HOUR } from '@dewpot/core/units';
import type { CastDetail, PourView, SessionView, TrialView } from '@dewpot/contract';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
/** A pour of an earlier day, whose mould and mix are poured again. */
let earlier: Awaited<ReturnType<typeof pouredPots>>;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  earlier = await pouredPots(agent, Date.now() - 90 * HOUR);
});
afterAll(() => harness.close());

const trialInput = (more: object = {}) => ({
  name: 'Wax against oil', kind: 'release', a: 'plant oil', b: 'paste wax', worse: 0.6, better: 0.9, version: 0, ...more,
}); // prettier-ignore

async function newTrial(more: object = {}): Promise<string> {
  const id = uuid();
  await agent.put(`/api/trials/${id}`).send(trialInput(more)).expect(204);
  return id;
}

const trials = async () => (await agent.get('/api/trials').expect(200)).body as TrialView[];
const trialOf = async (id: string) => (await trials()).find((one) => one.id === id)!;
const plan = async (count: number, trialId: string | undefined, id = uuid(), version = 0) => {
  const { input } = (await agent.get(`/api/pours/${earlier.pour}`).expect(200)).body as PourView;
  const items = [{ mouldId: earlier.mould, count }];
  return { id, sent: agent.put(`/api/pours/${id}`).send({ ...input, items, ...(trialId && { trialId }), version }) };
};

/** A pour of so many copies in a trial, poured; answers its casts in the order of the copies. */
async function pouredIn(trialId: string, count: number): Promise<{ casts: string[]; pour: PourView }> {
  const { id, sent } = await plan(count, trialId);
  await sent.expect(200);
  await agent.post(`/api/pours/${id}/start`).expect(200);
  const casts = Array.from({ length: count }, () => uuid());
  const logs = [{ used: { [earlier.cement]: 1000 * count, [earlier.sand]: 3000 * count }, tap: 500 * count, grade: 5, temperature: 18 }]; // prettier-ignore
  const made = casts.map((cast, copy) => ({ id: cast, item: 0, copy }));
  const finish = { logs, casts: made, pouredAt: Date.now() - 50 * HOUR };
  const pour = (await agent.post(`/api/pours/${id}/finish`).send(finish).expect(200)).body as PourView;
  return { casts, pour };
}

it('a trial is dealt to the copies of a pour, marked on its casts, watched, closed, and becomes the usual way', async () => {
  const id = await newTrial({ mouldId: earlier.mould, mixId: earlier.mix });
  const { casts, pour } = await pouredIn(id, 6);
  const sides = pour.trial!.sides[0]!;
  expect(sides.filter((side) => side === 'a')).toHaveLength(3);
  for (const [copy, cast] of casts.entries()) {
    const { snapshot } = (await agent.get(`/api/casts/${cast}`).expect(200)).body as CastDetail;
    expect(snapshot.trial).toMatchObject({ id, side: sides[copy] });
    expect(snapshot.release).toBe(sides[copy] === 'a' ? 'plant oil' : 'paste wax');
  }
  expect(await trialOf(id)).toMatchObject({ gone: false, standing: { waiting: 6, aSide: 23, a: { casts: 0 } } });
  const crack = (cast: string) => agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: Date.now(), type: 'fault-seen', fault: 'crack', severity: 'clear' }).expect(200); // prettier-ignore
  for (const [copy, cast] of casts.entries()) {
    await agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: Date.now(), type: 'demoulded', damage: [] }).expect(200); // prettier-ignore
    if (sides[copy] === 'a') await crack(cast);
  }
  const { standing, version } = await trialOf(id);
  expect(standing).toMatchObject({ waiting: 0, a: { casts: 3, good: 0 }, b: { casts: 3, good: 3 }, judged: { verdict: 'too-few' } }); // prettier-ignore
  const closing = { keep: 'b', version };
  await Promise.all([1, 2].map(() => agent.post(`/api/trials/${id}/close`).send(closing).expect(204)));
  await agent.post(`/api/trials/${id}/close`).send({ keep: 'a', version }).expect(409);
  expect((await trialOf(id)).closed).toMatchObject({ keep: 'b' });
  const { workshop } = (await agent.get('/api/session').expect(200)).body as SessionView;
  expect(workshop.usual).toMatchObject({ release: 'paste wax' });
});

it('a pour that is saved again keeps what it was dealt; another count is dealt anew', async () => {
  const id = await newTrial();
  const { id: pour, sent } = await plan(4, id);
  const first = (await sent.expect(200)).body as PourView;
  const again = (await (await plan(4, id, pour, first.version)).sent.expect(200)).body as PourView;
  expect(again.trial).toEqual(first.trial);
  const more = (await (await plan(7, id, pour, again.version)).sent.expect(200)).body as PourView;
  expect(more.trial!.sides[0]).toHaveLength(7);
  const without = (await (await plan(7, undefined, pour, more.version)).sent.expect(200)).body as PourView;
  expect(without.trial).toBeUndefined();
});

it('pours that are planned at once are dealt evenly together', async () => {
  const id = await newTrial();
  const plans = await Promise.all(Array.from({ length: 6 }, () => plan(1, id)));
  const saved = await Promise.all(plans.map(async ({ sent }) => (await sent.expect(200)).body as PourView));
  const sides = saved.flatMap(({ trial }) => trial!.sides.flat());
  expect(sides.filter((side) => side === 'a')).toHaveLength(3);
});

it('what cannot be is refused by name', async () => {
  await agent
    .put(`/api/trials/${uuid()}`)
    .send(trialInput({ b: 'plant oil' }))
    .expect(422);
  const { body } = await agent
    .put(`/api/trials/${uuid()}`)
    .send(trialInput({ better: 0.4 }))
    .expect(422);
  expect(body.errors[0]).toMatchObject({ field: 'better' });
  const elsewhere = await newTrial({ mixId: uuid() });
  const refused = (await (await plan(2, elsewhere)).sent.expect(422)).body;
  expect(refused.errors[0]).toMatchObject({
    field: 'trialId',
    message: expect.stringContaining('another mould or mix'),
  });
  await (await plan(2, uuid())).sent.expect(422);
  expect(await trialOf(elsewhere)).toMatchObject({ gone: true });
  const { version } = await trialOf(elsewhere);
  await agent
    .post(`/api/trials/${elsewhere}/close`)
    .send({ keep: 'neither', version: version + 1 })
    .expect(409);
  await agent.post(`/api/trials/${elsewhere}/close`).send({ keep: 'neither', version }).expect(204);
  await (await plan(2, elsewhere)).sent.expect(422);
  await agent
    .put(`/api/trials/${elsewhere}`)
    .send(trialInput({ version: version + 1 }))
    .expect(409);
});

it('once it was dealt, its name alone changes, and it is closed, not removed', async () => {
  const id = await newTrial();
  await pouredIn(id, 2);
  const { version } = await trialOf(id);
  await agent
    .put(`/api/trials/${id}`)
    .send(trialInput({ a: 'soap', version }))
    .expect(409);
  await agent
    .put(`/api/trials/${id}`)
    .send(trialInput({ name: 'Another name', version }))
    .expect(204);
  expect((await trialOf(id)).name).toBe('Another name');
  await agent.delete(`/api/trials/${id}`).expect(409);
  const untouched = await newTrial();
  await agent.delete(`/api/trials/${untouched}`).expect(204);
  expect((await trials()).some((one) => one.id === untouched)).toBe(false);
});

it('a way in the caster’s own words becomes a usual one in place of the other', async () => {
  for (const [a, b] of [['not tapped', 'tapped 30 times'], ['tapped 30 times', 'tapped 60 times']]) {
    const id = await newTrial({ kind: 'other', a, b });
    await agent.post(`/api/trials/${id}/close`).send({ keep: 'b', version: 1 }).expect(204);
  } // prettier-ignore
  const { workshop } = (await agent.get('/api/session').expect(200)).body as SessionView;
  expect(workshop.usual?.ways).toEqual(['tapped 60 times']);
});

it('trials of another workshop are out of sight', async () => {
  const id = await newTrial();
  const other = await newWorkshop(harness);
  expect((await other.get('/api/trials').expect(200)).body).toEqual([]);
  await other.post(`/api/trials/${id}/close`).send({ keep: 'b', version: 1 }).expect(404);
});
