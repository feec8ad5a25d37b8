import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { stableReading, type RunEvent } from '@dewpot/core/bench';
import { benchOf } from '@dewpot/core/planning';
import type { PourView, RunView, ScaleReading } from '@dewpot/contract';
import { EMPTY_SCALE, scaleAfter, scalePosted, scaleReading } from '../src/devices/bench-scale.js';
import { createServer } from '../src/index.js';
import { hears, newWorkshop, potInput, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let keys: Awaited<ReturnType<typeof pouredPots>>;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  keys = await pouredPots(agent, Date.now() - 3_600_000);
});
afterAll(() => harness.close());
const heard = <T>(
  path: string,
  count: number,
  { from = harness, first }: { from?: Harness; first?: () => unknown } = {},
) => hears<T>(from, agent, path, count, first);

const NOW = 1_800_000_000_000;
const event = (told: object, at = Date.now() - 1000) => ({ id: uuid(), at, ...told });

/** A pour that was begun, as the server tells it. */
async function begun(): Promise<PourView> {
  const id = uuid();
  await agent.put(`/api/pours/${id}`).send(keys.input).expect(200);
  return (await agent.post(`/api/pours/${id}/start`).expect(200)).body as PourView;
}
const happened = (pour: PourView, ...events: object[]) => agent.post(`/api/pours/${pour.id}/run`).send({ events });
const finish = (pour: PourView, casts: readonly object[]) =>
  agent.post(`/api/pours/${pour.id}/finish`).send({ ...keys.finish, casts, pouredAt: Date.now() });

describe('what happens at the bench', () => {
  it('is kept once, in the order in which it arrived, whoever sends it again', async () => {
    const pour = await begun();
    const [first, second, third] = ['lay-out', '0.0.weigh', '0.0.mix'].map((step) => event({ kind: 'done', step }));
    await happened(pour, first!, second!).expect(200);
    const { body } = await happened(pour, second!, first!, third!).expect(200);
    expect(body.events.map(({ id }: RunEvent) => id)).toEqual([first!.id, second!.id, third!.id]);
    expect((await agent.get(`/api/pours/${pour.id}/run`)).body).toEqual(body);
  });

  it('is heard at once by another device, at another server before the same database, and by no stranger', async () => {
    const pour = await begun();
    const path = `/api/pours/${pour.id}/run/stream`;
    const app = await createServer(harness.config);
    await app.listen(0, '127.0.0.1');
    const done = event({ kind: 'done', step: 'lay-out' });
    try {
      const first = () => void happened(pour, done).then(({ status }) => expect(status).toBe(200));
      const runs = await heard<RunView>(path, 2, { from: { ...harness, app }, first });
      expect(runs.map(({ events }) => events.map(({ id }) => id))).toEqual([[], [done.id]]);
    } finally {
      await app.close();
    }
    await (await newWorkshop(harness)).get(path).expect(404);
  });

  it('from two writers at once loses nothing', async () => {
    const pour = await begun();
    const both = [0, 1].map(() => Array.from({ length: 20 }, () => event({ kind: 'water', bucket: '0.0', mass: 10 })));
    const sent = both.flatMap((own) => own.map((one) => happened(pour, one, own[0]!)));
    for (const { status } of await Promise.all(sent)) expect(status).toBe(200);
    const { events } = (await agent.get(`/api/pours/${pour.id}/run`)).body as { events: RunEvent[] };
    expect(events).toHaveLength(40);
  });

  it('that this pour cannot have is refused by field, and nothing of that message is kept', async () => {
    const pour = await begun();
    const wrong = async (told: object, field: string) => {
      const good = event({ kind: 'done', step: 'lay-out' });
      const { body } = await happened(pour, good, event(told)).expect(422);
      expect(body.errors.map((issue: { field: string }) => issue.field)).toContain(field);
    };
    await wrong({ kind: 'done', step: 'fly' }, 'step');
    await wrong({ kind: 'water', bucket: '0.9', mass: 5 }, 'bucket');
    await wrong({ kind: 'water', bucket: '0.0' }, 'events.1.mass');
    await wrong({ kind: 'leak', mould: '7.7.7', volume: 5 }, 'mould');
    await wrong({ kind: 'weighed', bucket: '0.0', material: uuid(), mass: 5 }, 'material');
    await wrong({ kind: 'sing' }, 'events.1.kind');
    await happened(pour, event({ kind: 'done', step: 'lay-out' }, Date.now() + 3_600_000)).expect(422);
    expect((await agent.get(`/api/pours/${pour.id}/run`)).body.events).toEqual([]);
  });

  it('is told of no pour that is only planned', async () => {
    const id = uuid();
    const { body } = await agent.put(`/api/pours/${id}`).send(keys.input).expect(200);
    await happened(body, event({ kind: 'done', step: 'lay-out' })).expect(409);
  });

  it('teaches the next plan how long things take; a second person who finishes is told by whom it was', async () => {
    const pour = await begun();
    const { steps } = benchOf(pour);
    const start = Date.now() - 3 * 3_600_000;
    const slow = steps
      .filter(({ kind }) => kind === 'mix' || kind === 'rest')
      .flatMap(({ key: step, minutes }, i) => [
        event({ kind: 'begin', step }, start + i * 600_000),
        event({ kind: 'done', step }, start + i * 600_000 + minutes * 2 * 60_000),
      ]);
    await happened(pour, ...slow).expect(200);
    const casts = [0, 1, 2].map(() => ({ id: uuid(), item: 0 }));
    const { body } = await finish(pour, casts).expect(200);
    expect(body.lessons[0].pace.mixing).toBeCloseTo(2, 6);
    await finish(pour, casts).expect(200);
    const late = await finish(pour, [{ id: uuid(), item: 0 }]).expect(409);
    expect(late.body.detail).toMatch(/ has finished this pour: its casts stand on the shelf/);
    const next = await begun();
    expect(next.parts[0]!.plan.times!.mixing).toBeCloseTo(6 * 1.25, 6);
    const after = await happened(pour, event({ kind: 'done', step: 'lay-out' })).expect(409);
    expect(after.body.detail).toMatch(/finished, perhaps on another device/);
  });
});

describe('a face that waits', () => {
  it('is finished after the casts are on the shelf, and teaches the mix’s windows; a bucket no more', async () => {
    const [mould] = (await agent.get('/api/moulds/all').expect(200)).body as { version: number }[];
    await agent
      .put(`/api/moulds/${keys.mould}`)
      .send({ ...potInput(mould!.version), piece: 'slab' })
      .expect(200);
    const pour = await begun();
    const { steps } = benchOf(pour);
    const strike = steps.find(({ kind }) => kind === 'strike')!.key;
    const broom = steps.find(({ kind }) => kind === 'broom')!;
    const struck = Date.now() - 6 * 3_600_000;
    await happened(pour, event({ kind: 'done', step: strike }, struck)).expect(200);
    const casts = [0, 1, 2].map(() => ({ id: uuid(), item: 0 }));
    const done = await finish(pour, casts).expect(200);
    expect(done.body.lessons[0].tries).toEqual([]);
    const at = Math.round(struck + broom.window!.from * 60_000);
    await happened(pour, event({ kind: 'tried', step: broom.key, went: 'early' }, at)).expect(200);
    await happened(pour, event({ kind: 'water', bucket: '0.0', mass: 5 })).expect(409);
    const { body: after } = await agent.get(`/api/pours/${pour.id}`).expect(200);
    expect(after.lessons[0].tries).toEqual([{ kind: 'broom', share: expect.closeTo(0.35, 6), went: 'early' }]);
    expect((await begun()).parts[0]!.windows).toBeCloseTo(0.75 + 0.25 * 1.15, 6);
  });
});

describe('the simulated bench scale', () => {
  const readings = (state: typeof EMPTY_SCALE, from: number, seconds: number) =>
    Array.from({ length: seconds * 5 }, (_, i) => scaleReading(state, from + i * 200)).filter(
      (one) => one !== undefined,
    );

  it('settles, trembles, drifts and tares; a steady reading is within a gram or two of what lies there', () => {
    const full = scaleAfter(EMPTY_SCALE, { load: 800 }, NOW);
    const all = readings(full, NOW, 6);
    expect(all[0]!.mass).toBeLessThan(100);
    expect(stableReading(all.slice(0, 4))).toBeUndefined();
    expect(Math.abs(stableReading(all)! - 800)).toBeLessThanOrEqual(2);
    const tared = scaleAfter(full, { tare: true }, NOW + 6000);
    const more = scaleAfter(tared, { load: 1050 }, NOW + 7000);
    expect(Math.abs(stableReading(readings(more, NOW + 7000, 6))! - 250)).toBeLessThanOrEqual(3);
    const day = Array.from({ length: 100 }, (_, i) => scaleReading(EMPTY_SCALE, NOW + i * 30_000)!.mass!);
    expect(new Set(day).size).toBeGreaterThan(1);
  });

  it('is overloaded, falls silent, and gives way to a real one for as long as that posts', () => {
    const heavy = scaleAfter(EMPTY_SCALE, { load: 20000 }, NOW);
    expect(scaleReading(heavy, NOW + 5000)).toMatchObject({ state: 'overload' });
    expect(scaleReading(heavy, NOW + 5000)).not.toHaveProperty('mass');
    const silent = scaleAfter(EMPTY_SCALE, { silent: 3000 }, NOW);
    expect(scaleReading(silent, NOW + 2999)).toBeUndefined();
    expect(scaleReading(silent, NOW + 3001)).toBeDefined();
    const real = scalePosted(silent, { mass: 412.5, step: 0.1 }, NOW);
    expect(scaleReading(real, NOW + 1000)).toMatchObject({ mass: 412.5, step: 0.1, device: 'Bench scale' });
    expect(scaleReading(real, NOW + 6000)!.device).toBe('Simulated bench scale');
  });

  it('streams to whoever listens, is poured onto by its panel, and takes a bridge’s readings but no rubbish', async () => {
    await agent.post('/api/scale').send({ load: 640 }).expect(200);
    const first = await heard<ScaleReading>('/api/scale/stream', 2);
    expect(first[0]).toMatchObject({ state: 'reads', device: 'Simulated bench scale' });
    for (const mass of ['wet', null, 1 / 0]) await agent.post('/api/scale/readings').send({ mass }).expect(422);
    await agent
      .post('/api/scale/readings')
      .send({ mass: 5, at: Date.now() + 3_600_000 })
      .expect(422);
    await agent.post('/api/scale/readings').send({ mass: 33.4 }).expect(204);
    expect((await heard<ScaleReading>('/api/scale/stream', 1))[0]).toMatchObject({ mass: 33.4, device: 'Bench scale' });
    expect((await agent.get('/api/scale').expect(200)).body).toMatchObject({ load: 640 });
    const other = await newWorkshop(harness);
    expect((await other.get('/api/scale').expect(200)).body).toMatchObject({ load: 0 });
  });
});
