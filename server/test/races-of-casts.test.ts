import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it } from 'vitest';
import type { DemouldView } from '@dewpot/contract';
import { HOUR } from '@dewpot/core/units';
import { sealingExamples } from '../src/script-api/sealing-examples.js';
import { potInput, pouredPots, type Agent } from './harness.js';
import { both, ROUNDS, rounds, sound, rivals } from './racing.js';

/** Where a round makes much before it races. */
const FEW = Math.ceil(ROUNDS / 4);

const servers = rivals();
let here: Agent;
let there: Agent;
beforeAll(() => {
  ({ here, there } = servers);
});

it('six demouldings at once teach six lessons, on two servers', async () => {
  await rounds(async () => {
    const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 6);
    const answers = await Promise.all(
      casts.map((id, i) =>
        (i % 2 ? here : there)
          .post(`/api/casts/${id}/events`)
          .send({ id: uuid(), at: Date.now() - HOUR, type: 'demoulded', damage: [] }),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual(casts.map(() => 200));
    const { demould } = (await here.get(`/api/casts/${casts[0]}`)).body as { demould: DemouldView };
    expect(demould.records).toHaveLength(6);
  }, FEW);
});

it('what happens to the casts of one pour, from two sides, is all on record; the same event sent twice is one', async () => {
  await rounds(async () => {
    const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 3);
    const same = { id: uuid(), at: Date.now() - HOUR, type: 'covered', cover: 'film' };
    const answers = await Promise.all([
      ...casts.map((id) =>
        here.post(`/api/casts/${id}/events`).send({ ...same, id: id === casts[0] ? same.id : uuid() }),
      ),
      there.post(`/api/casts/${casts[0]}/events`).send(same),
      ...casts.map((id) => there.post(`/api/casts/${id}/events`).send({ id: uuid(), at: Date.now(), type: 'wetted' })),
    ]);
    expect(answers.filter(({ status }) => status !== 200)).toEqual([]);
    for (const id of casts) {
      const { events } = (await here.get(`/api/casts/${id}`)).body as { events: { type: string }[] };
      expect(events.map(({ type }) => type).sort()).toEqual(['covered', 'poured', 'wetted']);
    }
  }, FEW);
});

it('two casts are joined once, however often it is asked, and taken apart once', async () => {
  await rounds(async () => {
    const { casts } = await pouredPots(here, Date.now() - 60 * 24 * HOUR, 2);
    for (const id of casts)
      await here
        .post(`/api/casts/${id}/events`)
        .send({ id: uuid(), at: Date.now() - 50 * 24 * HOUR, type: 'demoulded', damage: [] })
        .expect(200);
    const article = (id: string) => ({
      id,
      at: Date.now(),
      name: 'Two pots',
      arrangement: 'stacked',
      bond: 'mortar',
      uses: [],
      parts: casts.map((castId, i) => ({ castId, over: i === 1 })),
    });
    const id = uuid();
    const same = await both(
      here.post('/api/articles').send(article(id)),
      there.post('/api/articles').send(article(id)),
    );
    expect(sound(same)).toBe(true);
    const other = await here.post('/api/articles').send(article(uuid()));
    if (same.some(({ status }) => status === 200)) expect(other.status).toBe(422);
    const apart = await both(here.delete(`/api/articles/${id}`), there.delete(`/api/articles/${id}`));
    expect(sound(apart)).toBe(true);
  }, FEW);
});

it('pictures at once never pass their limit', async () => {
  const mould = uuid();
  await here.put(`/api/moulds/${mould}`).send(potInput()).expect(200);
  const photo = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#987' } })
    .png()
    .toBuffer();
  const answers = await Promise.all(
    Array.from({ length: 32 }, (_, i) =>
      (i % 2 ? here : there).post(`/api/moulds/${mould}/pictures`).attach('picture', photo, 'a.png'),
    ),
  );
  expect(answers.filter(({ status }) => status === 201).length).toBeLessThanOrEqual(24);
  const { pictures } = ((await here.get('/api/moulds/all')).body as { id: string; pictures: object[] }[]).find(
    ({ id }) => id === mould,
  )!;
  expect(pictures.length).toBe(answers.filter(({ status }) => status === 201).length);
  expect(answers.every(({ status }) => [201, 409, 429, 503].includes(status))).toBe(true);
});

it('one picture removed from two sides is gone, and the others stay', async () => {
  const photo = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#789' } })
    .png()
    .toBuffer();
  const mould = uuid();
  await here.put(`/api/moulds/${mould}`).send(potInput()).expect(200);
  const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 1);
  for (const [owner, pictures] of [
    [`moulds/${mould}`, 'pictures'],
    [`casts/${casts[0]}`, 'cast-pictures'],
  ] as const)
    await rounds(async () => {
      const add = (agent: Agent) => agent.post(`/api/${owner}/pictures`).attach('picture', photo, 'a.png');
      const made = await both(add(here), add(there));
      expect(made.map(({ status }) => status)).toEqual([201, 201]);
      const [first, second] = made.map(({ body }) => String(body.id));
      const gone = await both(here.delete(`/api/${pictures}/${first}`), there.delete(`/api/${pictures}/${first}`));
      expect(gone.every(({ status }) => [204, 404].includes(status))).toBe(true);
      await here.get(`/api/${pictures}/${first}`).expect(404);
      await there.get(`/api/${pictures}/${second}`).expect(200);
      await there.delete(`/api/${pictures}/${second}`).expect(204);
    }, FEW);
});

it('a tile kept from two sides is one, and one that is removed meanwhile is there whole or not at all', async () => {
  const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 1);
  const { snapshot } = (await here.get(`/api/casts/${casts[0]}`)).body as { snapshot: { mixId: string } };
  await rounds(async (round) => {
    const tile = { ...sealingExamples.tile, mixId: snapshot.mixId };
    const address = `/api/tiles/${uuid()}`;
    const notes = [`here ${round}`, `there ${round}`];
    const made = await both(
      here.put(address).send({ ...tile, note: notes[0] }),
      there.put(address).send({ ...tile, note: notes[1] }),
    );
    expect(made.map(({ status }) => status)).toEqual([204, 204]);
    const found = async () =>
      (await here.get(`/api/tiles?mix=${tile.mixId}`).expect(200)).body as { note: string; coats: number }[];
    expect(notes).toContain((await found())[0]?.note);
    expect(await found()).toHaveLength(1);
    const raced = await both(here.put(address).send({ ...tile, coats: 3 }), there.delete(address));
    expect(raced.map(({ status }) => status)).toEqual([204, 204]);
    expect((await found()).every(({ coats }) => coats === 3)).toBe(true);
    await here.delete(address).expect(204);
  });
});

it('ways of demoulding chosen while a cast is demoulded keep the choice and the lesson', async () => {
  await rounds(async (round) => {
    const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 1);
    const { mouldId, snapshot } = (await here.get(`/api/casts/${casts[0]}`)).body as {
      mouldId: string;
      snapshot: { mixId: string };
    };
    const ways = { care: round % 2 ? 'bold' : 'cautious', off: false };
    const answers = await both(
      here.put(`/api/moulds/${mouldId}/demoulding/${snapshot.mixId}`).send(ways),
      there
        .post(`/api/casts/${casts[0]}/events`)
        .send({ id: uuid(), at: Date.now() - HOUR, type: 'demoulded', damage: [] }),
    );
    expect(answers.map(({ status }) => status)).toEqual([204, 200]);
    const { demould } = (await here.get(`/api/casts/${casts[0]}`)).body as { demould: DemouldView };
    expect(demould).toMatchObject({ ways, records: [expect.anything()] });
  }, FEW);
});

it('readings that arrive on two servers at once are counted alike by both, and one workshop keeps a place', async () => {
  await rounds(async () => {
    const id = uuid();
    await here.put(`/api/places/${id}`).send({ name: 'Loft', kind: 'shed', source: 'logger', version: 0 }).expect(200);
    const from = Date.now() - 40 * 60_000;
    const readings = (odd: number) =>
      Array.from({ length: 10 }, (_, i) => ({
        at: from + (2 * i + odd) * 60_000,
        temperature: 14 + i / 10,
        humidity: 0.6,
      }));
    await both(
      here.post(`/api/places/${id}/readings`).send({ readings: readings(0) }),
      there.post(`/api/places/${id}/readings`).send({ readings: readings(1) }),
    );
    const seen = await both(
      here.get(`/api/places/${id}/ambient?from=${from - 1}`),
      there.get(`/api/places/${id}/ambient?from=${from - 1}`),
    );
    expect(seen.map(({ body }) => (body.recorded as object[]).length)).toEqual([20, 20]);
    await here.delete(`/api/places/${id}`).expect(204);
  }, FEW);
  const places = (await here.get('/api/places')).body as { id: string }[];
  await Promise.all(places.flatMap(({ id }) => [here.delete(`/api/places/${id}`), there.delete(`/api/places/${id}`)]));
  expect(((await here.get('/api/places')).body as object[]).length).toBe(1);
});
