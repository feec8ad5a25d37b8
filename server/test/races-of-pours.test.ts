import { v7 as uuid } from 'uuid';
import { beforeEach, describe, expect, it } from 'vitest';
import type { CastRow, Page, PourView } from '@dewpot/contract';
import { HOUR } from '@dewpot/core/units';
import { pouredPots, type Agent } from './harness.js';
import { both, kept, ROUNDS, rounds, sound, rivals } from './racing.js';

const servers = rivals();
let here: Agent;
let there: Agent;
beforeEach(async () => {
  await servers.moveOn();
  ({ here, there } = servers);
});

describe('a pour', () => {
  let keys: Awaited<ReturnType<typeof pouredPots>>;
  beforeEach(async () => {
    keys = await pouredPots(here, Date.now() - 2 * HOUR, 1);
  });

  /** A started pour of one pot, and what ends it. */
  async function started() {
    const pour = uuid();
    await here.put(`/api/pours/${pour}`).send(keys.input).expect(200);
    await here.post(`/api/pours/${pour}/start`).expect(200);
    const finish = { ...keys.finish, casts: [{ id: uuid(), item: 0 }], pouredAt: Date.now() - HOUR };
    return { pour, finish, path: `/api/pours/${pour}` };
  }
  const castsOf = async (pour: string) =>
    ((await here.get(`/api/casts?pour=${pour}`).expect(200)).body as Page<CastRow>).rows.length;

  it('started while it is finished stays finished', async () => {
    await rounds(async () => {
      const { path, finish } = await started();
      const answers = await both(here.post(`${path}/finish`).send(finish), there.post(`${path}/start`));
      expect(sound(answers)).toBe(true);
      expect(((await here.get(path)).body as PourView).status).toBe('finished');
    });
  });

  it('finished twice at once makes its casts once, by one of them', async () => {
    await rounds(async () => {
      const { path, pour, finish } = await started();
      const other = { ...finish, casts: [{ id: uuid(), item: 0 }] };
      const answers = await both(here.post(`${path}/finish`).send(finish), there.post(`${path}/finish`).send(other));
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
      expect(await castsOf(pour)).toBe(1);
    });
  });

  it('deleted while it is finished is either, and never casts without a pour', async () => {
    await rounds(async () => {
      const { path, pour, finish } = await started();
      const answers = await both(here.post(`${path}/finish`).send(finish), there.delete(path));
      expect(sound(answers)).toBe(true);
      const stands = (await here.get(path)).status === 200;
      expect(await castsOf(pour)).toBe(stands ? 1 : 0);
      expect(stands).toBe(answers[0].status === 200);
    });
  });

  it('planned again while it is started keeps one of the two, whole', async () => {
    await rounds(async () => {
      const pour = uuid();
      const { body } = await here.put(`/api/pours/${pour}`).send(keys.input).expect(200);
      const again = { ...keys.input, spare: 0.1, version: (body as PourView).version };
      const answers = await both(here.post(`/api/pours/${pour}/start`), there.put(`/api/pours/${pour}`).send(again));
      expect(sound(answers)).toBe(true);
      const after = (await here.get(`/api/pours/${pour}`)).body as PourView;
      expect(after.status).toBe('started');
      expect(after.input.spare).toBe(answers[1].status === 200 ? 0.1 : 0.05);
    });
  });

  it('taken back while something happens to its cast loses neither', async () => {
    await rounds(async () => {
      const { path, pour, finish } = await started();
      await here.post(`${path}/finish`).send(finish).expect(200);
      const event = { id: uuid(), at: Date.now(), type: 'covered', cover: 'film' };
      const answers = await both(
        here.post(`${path}/undo`),
        there.post(`/api/casts/${finish.casts[0]!.id}/events`).send(event),
      );
      expect(sound(answers)).toBe(true);
      // Either the cast went with the pour, or what happened to it holds the pour.
      expect(kept(answers)).toBe(1);
      expect(await castsOf(pour)).toBe(answers[0].status === 200 ? 0 : 1);
    });
  });
});

it('what happens at the bench, from two devices at two servers, is all on record and each once', async () => {
  const { input } = await pouredPots(here, Date.now() - 2 * HOUR, 1);
  await rounds(
    async () => {
      const path = `/api/pours/${uuid()}`;
      await here.put(path).send(input).expect(200);
      await here.post(`${path}/start`).expect(200);
      const event = () => ({ id: uuid(), at: Date.now(), kind: 'done', step: 'lay-out' });
      const shared = event();
      const answers = await both(
        here.post(`${path}/run`).send({ events: [shared, event()] }),
        there.post(`${path}/run`).send({ events: [shared, event()] }),
      );
      expect(sound(answers)).toBe(true);
      const { events } = (await here.get(`${path}/run`)).body as { events: object[] };
      expect(events.length).toBe(answers.every(({ status }) => status === 200) ? 3 : 0);
      expect(answers.map(({ status }) => status)[0]).toBe(answers.map(({ status }) => status)[1]);
    },
    Math.ceil(ROUNDS / 4),
  );
});
