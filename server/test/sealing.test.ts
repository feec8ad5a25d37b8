import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { english } from '@dewpot/locales/testing';
import { DAY, HOUR } from '@dewpot/core/units';
import { sealingExamples } from '../src/script-api/sealing-examples.js';
import { castOf, dryingPots, span } from './drying-pots.js';
import { answersItsExamples, newWorkshop, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const pots = (by = agent, daysAgo?: number, count?: number) => dryingPots(by, daysAgo, count);

describe('drying', () => {
  it('a weighing keeps the air it was made in, and the rule that decides is told', async () => {
    const { casts, dried, weigh } = await pots();
    await dried(casts[0]!);
    await weigh(casts[0]!, [9, 10, 11]);
    const cast = await castOf(agent, casts[0]!);
    expect(cast.life.weighings[0].temperature).toEqual(expect.any(Number));
    expect(cast.dry.decides).toMatchObject({ rule: 'water', unit: 'g' });
    expect(cast.dry.opensAt).toBeLessThanOrEqual(cast.dry.opensHigh);
  });

  it('has one judgement, on the shelf and in the rules of its page, also in a place that dries slowly', async () => {
    const { casts, dried, weigh } = await pots();
    await dried(casts[0]!);
    for (const days of [[9, 10, 11], [12]]) {
      await weigh(casts[0]!, days);
      const { dry, dryDown } = await castOf(agent, casts[0]!);
      expect(dry.pace).not.toBe(1);
      expect(dryDown.missing).toEqual(dry.missing);
      expect(dryDown.remaining.band[1] / dryDown.limit).toBeCloseTo(dry.over, 9);
    }
  });

  it('asks whether it is the right piece, and takes it once that is said', async () => {
    const { casts, dried, weigh, tell, mass } = await pots();
    await dried(casts[0]!);
    await weigh(casts[0]!, span(9, 13));
    const wrong = { type: 'weighed', day: 14, mass: mass(14) - 300, step: 1 };
    const { body } = await tell(casts[0]!, wrong).expect(422);
    expect(body.errors[0]).toMatchObject({ field: 'sure', message: expect.stringContaining('should weigh about') });
    expect((await castOf(agent, casts[0]!)).life.weighings).toHaveLength(5);
    const sure = (await tell(casts[0]!, { ...wrong, sure: true }).expect(200)).body;
    expect(sure.dryDown.strays).toHaveLength(1);
    expect(english(sure.dry.missing).join()).toContain('The weighings are inconsistent');
  });

  it('of five like pieces two are weighed, and the rest are inferred from them and marked so', async () => {
    const own = await newWorkshop(harness);
    const { casts, dried, weigh, tell } = await pots(own, 60, 5);
    for (const cast of casts) await dried(cast);
    const tasks = async () => {
      const { body } = await own.get('/api/casts/shelf').expect(200);
      return (body as { code: string; dues: { task: string }[] }[]).map(({ dues }) => dues[0]?.task);
    };
    expect(await tasks()).toEqual(['weigh', 'weigh', undefined, undefined, undefined]);
    for (const cast of casts.slice(0, 2)) await weigh(cast, span(9, 30));
    const inferred = await castOf(own, casts[4]!);
    expect(inferred.dry).toMatchObject({
      dryEnough: true,
      inferredFrom: [expect.stringMatching(/a$/), expect.stringMatching(/b$/)],
    });
    expect(await tasks()).toEqual(['coat', 'coat', 'coat', 'coat', 'coat']);
    await tell(casts[4]!, { type: 'coated', day: 40, sealer: 'penetrating', side: 'both' }).expect(200);
  });

  it('is weighed in the air of its place, unless a whole reading of it is told', async () => {
    const { casts, tell, dried, mass } = await dryingPots(agent, 60, 1);
    await dried(casts[0]!);
    const one = { type: 'weighed', step: 1 };
    await tell(casts[0]!, { ...one, day: 9, mass: mass(9), humidity: 0.99 }).expect(200);
    await tell(casts[0]!, { ...one, day: 10, mass: mass(10), temperature: 3, humidity: 0.99 }).expect(200);
    const { events } = await castOf(agent, casts[0]!);
    const [half, whole] = events.filter(({ type }: { type: string }) => type === 'weighed');
    expect(half.temperature).toEqual(expect.any(Number));
    expect(half.humidity).not.toBe(0.99);
    expect(whole).toMatchObject({ temperature: 3, humidity: 0.99 });
  });

  it('wetted again it begins again, and what was known of its dry mass stays', async () => {
    const { casts, dried, weigh, tell, mass } = await pots();
    await dried(casts[0]!);
    await weigh(casts[0]!, span(9, 20));
    const before = await castOf(agent, casts[0]!);
    await tell(casts[0]!, { type: 'wetted', day: 21 }).expect(200);
    const wetted = await castOf(agent, casts[0]!);
    expect(english(wetted.dry)).toMatchObject({
      dryEnough: false,
      missing: [expect.stringContaining('not been weighed')],
    });
    expect(wetted.life.weighings).toHaveLength(12);
    await tell(casts[0]!, { type: 'weighed', day: 22, mass: mass(12), step: 1, sure: true }).expect(200);
    const { dryDown } = await castOf(agent, casts[0]!);
    expect(Math.abs(dryDown.final.mass - before.dryDown.final.mass)).toBeLessThan(30);
  });

  it('by another school wants a taped film, and all that dry are judged again when it is chosen', async () => {
    const own = await newWorkshop(harness);
    const { casts, dried, tell } = await pots(own);
    await dried(casts[0]!);
    const { body: session } = await own.get('/api/session').expect(200);
    const { id: _, demo: __, ...settings } = session.workshop;
    await own
      .put('/api/workshop')
      .send({ ...settings, drying: 'calendar' })
      .expect(200);
    await vi.waitFor(async () => expect((await castOf(own, casts[0]!)).dry.opensAt).toEqual(expect.any(Number)), {
      timeout: 15_000,
    });
    const now = (await own.get('/api/session').expect(200)).body.workshop;
    await own
      .put('/api/workshop')
      .send({ ...settings, version: now.version, drying: 'clear-film' })
      .expect(200);
    expect((await castOf(own, casts[0]!)).dues[0].task).toBe('moisture-test');
    const coat = { type: 'coated', day: 59, sealer: 'penetrating', side: 'both' };
    expect((await tell(casts[0]!, coat).expect(422)).body.detail).toContain('No clear film was taped');
    await tell(casts[0]!, { type: 'film-tested', day: 58.5, hours: 16, drops: false }).expect(200);
    await tell(casts[0]!, coat).expect(200);
  });
});

describe('sealing', () => {
  it('goes by a plan with a product of the store, coat by coat in its window, out of its lot', async () => {
    const { casts, dried, weigh, tell, poured } = await pots();
    const id = casts[0]!;
    await dried(id);
    await weigh(id, span(9, 30));
    const store = (await agent.get('/api/store').expect(200)).body;
    const product = store.materials.find(({ name }: { name: string }) => name === 'Acrylic film');
    const lot = uuid();
    await agent
      .put(`/api/lots/${lot}`)
      .send({ materialId: product.id, bought: 1030, left: 1030, price: 24, boughtAt: 1, version: 0 })
      .expect(200);
    await tell(id, {
      type: 'seal-planned',
      day: 30,
      uses: ['plants'],
      sealer: 'acrylic',
      materialId: product.id,
      coats: 2,
      side: 'both',
    }).expect(200);
    const coat = { type: 'coated', sealer: 'acrylic', materialId: product.id, side: 'both', volume: 40, tool: 'brush' };
    const first = (await tell(id, { ...coat, day: 40 }).expect(200)).body;
    expect(first.life.coats[0]).toMatchObject({
      product: { name: 'Acrylic film', recoatFrom: 2 },
      ambient: { humidity: expect.any(Number) },
    });
    expect(english(first.dues[0])).toMatchObject({ task: 'coat', told: 'coat 2 of 2' });
    const { left } = (await agent.get('/api/store').expect(200)).body.lots.find(
      (one: { id: string }) => one.id === lot,
    );
    expect(left).toBeCloseTo(1030 - 40 * 1.03, 6);
    const soon = await tell(id, { ...coat }, poured + 40 * DAY + HOUR / 4).expect(422);
    expect(soon.body.detail).toContain('The coat before is not dry');
    const second = (await tell(id, { ...coat }, first.dues[0].good + HOUR).expect(200)).body;
    expect(english(second.dues[0])).toMatchObject({ task: 'seal-test', told: 'water bead and look' });
    await tell(id, { type: 'checked', day: 50, check: 'bead', held: true }).expect(200);
    const checked = (await tell(id, { type: 'checked', day: 50, check: 'look', held: true }).expect(200)).body;
    expect(checked.dues[0].task).toBe('finish');
  });

  it('against the advice is on record, and moves the limit once three came out well', async () => {
    const own = await newWorkshop(harness);
    const { casts, dried, weigh, tell } = await pots(own);
    for (const id of casts) {
      await dried(id);
      await weigh(id, [9, 10, 11, 12]);
      const coat = { type: 'coated', day: 12, sealer: 'penetrating', side: 'both' };
      expect((await tell(id, coat).expect(422)).body.errors[0].remedy).toContain('override');
      await tell(id, { ...coat, overridden: 'promised for Sunday' }).expect(200);
      await tell(id, { type: 'checked', day: 30, check: 'bead', held: true }).expect(200);
    }
    const { body } = await own.get('/api/overrides').expect(200);
    expect(body.seen).toHaveLength(3);
    expect(body.seen[0]).toMatchObject({ reason: 'promised for Sunday', held: true, film: false });
    expect(body.open.ease).toBeGreaterThan(1);
    expect(body.film.ease).toBe(1);
    await tell(casts[0]!, { type: 'checked', day: 40, check: 'look', held: false }).expect(200);
    expect((await own.get('/api/overrides').expect(200)).body.open.ease).toBe(1);
  });

  it('a tile is kept with its mix, and is only its workshop’s', async () => {
    const { mix } = await pots();
    const id = uuid();
    const tile = { ...sealingExamples.tile, mixId: mix };
    await agent.put(`/api/tiles/${id}`).send(tile).expect(204);
    await agent
      .put(`/api/tiles/${id}`)
      .send({ ...tile, liked: false })
      .expect(204);
    expect((await agent.get(`/api/tiles?mix=${mix}`).expect(200)).body).toMatchObject([{ id, liked: false }]);
    const stranger = await newWorkshop(harness);
    expect((await stranger.get('/api/tiles').expect(200)).body).toEqual([]);
    await agent.delete(`/api/tiles/${id}`).expect(204);
    expect((await agent.get(`/api/tiles?mix=${mix}`).expect(200)).body).toEqual([]);
  });

  it('paint waits for a dry piece, and the sealer for the paint', async () => {
    const { casts, dried, weigh, tell } = await pots();
    const id = casts[0]!;
    await dried(id);
    expect((await tell(id, { type: 'decorated', day: 9, decoration: 'paint' }).expect(422)).body.detail).toContain(
      'not dry enough',
    );
    await weigh(id, span(9, 30));
    await tell(id, { type: 'decorated', day: 30, decoration: 'paint' }).expect(200);
    const coat = { type: 'coated', day: 30.3, sealer: 'penetrating', side: 'both' };
    expect((await tell(id, coat).expect(422)).body.detail).toContain('not dry for another');
    await tell(id, { ...coat, day: 31.2 }).expect(200);
  });
});

it('a piece that went out is asked after once, and what is told of it stays', async () => {
  const { casts, dried, tell } = await pots(agent, 250);
  const id = casts[0]!;
  await dried(id);
  await tell(id, { type: 'seal-planned', day: 8, uses: ['indoors'], coats: 0, side: 'both' }).expect(200);
  const out = (await tell(id, { type: 'finished', day: 30, gone: 'given' }).expect(200)).body;
  expect(out.dues[0]).toMatchObject({ task: 'record-condition' });
  const shelf = (await agent.get('/api/casts/shelf').expect(200)).body as { id: string }[];
  expect(shelf.some((one) => one.id === id)).toBe(true);
  const told = (await tell(id, { type: 'came-later', day: 240, came: 'bloom', note: 'white at the foot' }).expect(200))
    .body;
  expect(told).toMatchObject({ dues: [], life: { later: [{ came: 'bloom', note: 'white at the foot' }] } });
  expect(
    ((await agent.get('/api/casts/shelf').expect(200)).body as { id: string }[]).some((one) => one.id === id),
  ).toBe(false);
});

answersItsExamples('sealing', sealingExamples, () => harness);

it('a piece from a workshop where winter is in July is asked after in October', async () => {
  const own = await newWorkshop(harness);
  const { workshop } = (await own.get('/api/session').expect(200)).body;
  const { id: _, demo: __, ...settings } = workshop;
  await own
    .put('/api/workshop')
    .send({ ...settings, zone: 'Pacific/Auckland' })
    .expect(200);
  const { casts, dried, tell } = await pots(own, 40);
  await dried(casts[0]!);
  await tell(casts[0]!, { type: 'seal-planned', day: 8, uses: ['frost'], coats: 0, side: 'both' }).expect(200);
  const { dues } = (await tell(casts[0]!, { type: 'finished', day: 30, gone: 'given' }).expect(200)).body;
  expect(dues[0].task).toBe('record-condition');
  expect(new Date(dues[0].good).getUTCMonth()).toBe(9);
});
