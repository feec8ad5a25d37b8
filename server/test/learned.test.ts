import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { groupOfKind, type LearnedKind } from '@dewpot/core/findings';
import type { LearnedView, PastPoursView, TintsView } from '@dewpot/contract';
import { dryingPots } from './drying-pots.js';
import { newWorkshop, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let pots: Awaited<ReturnType<typeof dryingPots>>;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  pots = await dryingPots(agent);
  for (const cast of pots.casts) {
    await pots.dried(cast);
    await pots.weigh(cast, [9, 10, 11, 12]);
    const coat = { type: 'coated', day: 12, sealer: 'penetrating', side: 'both', overridden: 'promised for Sunday' };
    await pots.tell(cast, coat).expect(200);
    await pots.tell(cast, { type: 'checked', day: 30, check: 'bead', held: true }).expect(200);
  }
});
afterAll(() => harness.close());

const learned = async (kind: LearnedKind, by = agent) => {
  const { figures } = (await by.get('/api/findings/learned').expect(200)).body as LearnedView;
  return figures.find((one) => one.kind === kind);
};
const ask = (what: 'forget' | 'recall', kind: LearnedKind, of: readonly string[], by = agent) =>
  by.post(`/api/findings/learned/${what}`).send({ group: groupOfKind[kind], of });

it('tells every figure that records taught, each with them', async () => {
  const water = await learned('water');
  expect(water).toMatchObject({ of: [pots.mix], handbook: 1, records: [{ id: pots.pour, counts: true }] });
  expect(water?.figure.basis).toEqual({ kind: 'learned', records: 1 });
  const demould = await learned('demould');
  expect(demould?.of).toEqual([pots.mould, pots.mix]);
  expect(demould?.records.map(({ id }) => id).sort()).toEqual([...pots.casts].sort());
  expect((await learned('drying'))?.records).toHaveLength(3);
  expect((await learned('seal-open'))?.figure.value).toBeGreaterThan(1);
});

it('forgets what pours taught of a mix, so that plans go by the handbook, and lets it count again', async () => {
  const past = async () => (await agent.get('/api/pours/past').expect(200)).body as PastPoursView;
  await ask('forget', 'water', [pots.mix]).expect(204);
  expect((await past()).lessons).toEqual([]);
  expect(await learned('water')).toMatchObject({ figure: { value: 1 }, records: [{ counts: false }] });
  await ask('forget', 'water', [pots.mix]).expect(204);
  await ask('recall', 'water', [pots.mix]).expect(204);
  expect((await past()).lessons).toHaveLength(1);
  expect((await learned('water'))?.since).toBeUndefined();
});

it('forgets when a mould comes off, and how its pieces dry', async () => {
  const detail = async () => (await agent.get(`/api/casts/${pots.casts[0]}`).expect(200)).body;
  const of = [pots.mould, pots.mix];
  await ask('forget', 'demould', of).expect(204);
  expect((await detail()).demould.records).toEqual([]);
  expect((await learned('demould'))?.figure.basis).toEqual({ kind: 'handbook' });
  await ask('recall', 'demould', of).expect(204);
  expect((await detail()).demould.records).toHaveLength(3);
  await ask('forget', 'drying', of).expect(204);
  expect((await learned('drying'))?.figure.value).toBe(120);
});

it('forgets how far the limits of sealing moved', async () => {
  await ask('forget', 'seal-open', []).expect(204);
  expect((await agent.get('/api/overrides').expect(200)).body).toMatchObject({ seen: [], open: { ease: 1 } });
  await ask('recall', 'seal-open', []).expect(204);
  expect((await agent.get('/api/overrides').expect(200)).body.open.ease).toBeGreaterThan(1);
});

it('forgets what chips taught of a pigment', async () => {
  const { materials } = (await agent.get('/api/store').expect(200)).body as { materials: { id: string; name: string }[] }; // prettier-ignore
  const pigment = materials.find(({ name }) => name === 'Iron oxide, red')!;
  const chip = { name: 'Red, 2 %', base: { binderId: pots.cement }, doses: [{ materialId: pigment.id, amount: 0.02 }], castAt: 1, measured: { colour: '#8d6a5c', by: 'reader', at: 2 }, version: 0 }; // prettier-ignore
  await agent.put(`/api/swatches/${uuid()}`).send(chip).expect(200);
  const swatch = async () => ((await agent.get('/api/tints/all').expect(200)).body as TintsView).swatches[0];
  expect((await swatch())?.forgotten).toBeUndefined();
  expect((await learned('strength'))?.records).toHaveLength(1);
  await ask('forget', 'strength', [pigment.id]).expect(204);
  expect((await swatch())?.forgotten).toBe(true);
  expect((await learned('strength'))?.figure.basis).toEqual({ kind: 'handbook' });
});

it('names what was never learned, and knows nothing of another workshop', async () => {
  const { body } = await ask('forget', 'water', [uuid()]).expect(404);
  expect(body.detail).toContain('learned figure');
  const other = await newWorkshop(harness);
  expect((await other.get('/api/findings/learned').expect(200)).body).toEqual({ figures: [] });
  await ask('forget', 'water', [pots.mix], other).expect(404);
  await agent.post('/api/findings/learned/forget').send({ group: 'weather', of: [] }).expect(422);
});
