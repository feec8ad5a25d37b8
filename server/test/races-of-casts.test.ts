import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it, vi } from 'vitest';
import type { LiftOutView } from '@dewpot/contract';
import { potInput, pouredPots, type Agent } from './harness.js';
import { both, ROUNDS, rounds, sound, rivals } from './racing.js';

// Each race is run many times, and each needs things of its own.
vi.hoisted(() => {
  process.env.DEWPOT_SIGN_IN_LIMIT = '10000';
  process.env.DEWPOT_REQUEST_LIMIT = '1000000';
});

const HOUR = 3_600_000;

const servers = rivals();
let here: Agent;
let there: Agent;
beforeAll(() => {
  ({ here, there } = servers);
});

it('six demoulds at once teach six lessons, on two servers', async () => {
  await rounds(
    async () => {
      const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 6);
      const answers = await Promise.all(
        casts.map((id, i) =>
          (i % 2 ? here : there)
            .post(`/api/casts/${id}/events`)
            .send({ id: uuid(), at: Date.now() - HOUR, type: 'lifted-out', damage: [] }),
        ),
      );
      expect(answers.map(({ status }) => status)).toEqual(casts.map(() => 200));
      const { liftOut } = (await here.get(`/api/casts/${casts[0]}`)).body as { liftOut: LiftOutView };
      expect(liftOut.records).toHaveLength(6);
    },
    Math.ceil(ROUNDS / 4),
  );
});

it('what happens to the casts of one pour, from two sides, is all on record; the same event sent twice is one', async () => {
  await rounds(
    async () => {
      const { casts } = await pouredPots(here, Date.now() - 70 * HOUR, 3);
      const same = { id: uuid(), at: Date.now() - HOUR, type: 'covered', cover: 'film' };
      const answers = await Promise.all([
        ...casts.map((id) =>
          here.post(`/api/casts/${id}/events`).send({ ...same, id: id === casts[0] ? same.id : uuid() }),
        ),
        there.post(`/api/casts/${casts[0]}/events`).send(same),
        ...casts.map((id) =>
          there.post(`/api/casts/${id}/events`).send({ id: uuid(), at: Date.now(), type: 'wetted' }),
        ),
      ]);
      expect(answers.filter(({ status }) => status !== 200)).toEqual([]);
      for (const id of casts) {
        const { events } = (await here.get(`/api/casts/${id}`)).body as { events: { type: string }[] };
        expect(events.map(({ type }) => type).sort()).toEqual(['covered', 'poured', 'wetted']);
      }
    },
    Math.ceil(ROUNDS / 4),
  );
});

it('two casts are joined once, however often it is asked, and taken apart once', async () => {
  await rounds(
    async () => {
      const { casts } = await pouredPots(here, Date.now() - 60 * 24 * HOUR, 2);
      for (const id of casts)
        await here
          .post(`/api/casts/${id}/events`)
          .send({ id: uuid(), at: Date.now() - 50 * 24 * HOUR, type: 'lifted-out', damage: [] })
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
    },
    Math.ceil(ROUNDS / 4),
  );
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
  const { pictures } = ((await here.get('/api/moulds')).body as { id: string; pictures: object[] }[]).find(
    ({ id }) => id === mould,
  )!;
  expect(pictures.length).toBe(answers.filter(({ status }) => status === 201).length);
  expect(answers.every(({ status }) => [201, 409, 429, 503].includes(status))).toBe(true);
});

it('readings that arrive on two servers at once are counted alike by both, and one workshop keeps a place', async () => {
  await rounds(
    async () => {
      const id = uuid();
      await here
        .put(`/api/places/${id}`)
        .send({ name: 'Loft', kind: 'shed', source: 'logger', version: 0 })
        .expect(200);
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
        here.get(`/api/places/${id}/air?from=${from - 1}`),
        there.get(`/api/places/${id}/air?from=${from - 1}`),
      );
      expect(seen.map(({ body }) => (body.recorded as object[]).length)).toEqual([20, 20]);
      await here.delete(`/api/places/${id}`).expect(204);
    },
    Math.ceil(ROUNDS / 4),
  );
  const places = (await here.get('/api/places')).body as { id: string }[];
  await Promise.all(places.flatMap(({ id }) => [here.delete(`/api/places/${id}`), there.delete(`/api/places/${id}`)]));
  expect(((await here.get('/api/places')).body as object[]).length).toBe(1);
});
