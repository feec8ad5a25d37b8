import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY } from '@dewpot/core/units';
import { castOf, dryingPots, span } from './drying-pots.js';
import { newWorkshop, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

describe('an article', () => {
  const joined = (casts: readonly string[], at: number, more: object = {}) => ({
    id: uuid(),
    at: Math.round(at),
    name: 'Two-tier planter',
    arrangement: 'stacked',
    // Rim on rim: a pot stands on its head on the other.
    parts: casts.map((castId, i) => ({ castId, over: i === 1 })),
    bond: 'mortar',
    uses: ['outdoors'],
    ...more,
  });

  it('is one thing from joining on: unclamped, dried, sealed and finished as one, its parts gone into it', async () => {
    const { casts, dried, tell, poured } = await dryingPots(agent);
    for (const id of casts.slice(0, 2)) await dried(id);
    const given = joined(casts.slice(0, 2), poured + 12 * DAY);
    const { body: article } = await agent.post('/api/articles').send(given).expect(200);
    expect((await agent.post('/api/articles').send(given).expect(200)).body.id).toBe(article.id);
    expect(article).toMatchObject({ stage: 'setting', code: expect.stringMatching(/^\d+a\+\d+b$/) });
    expect(article.dues[0].task).toBe('unclamp');
    const part = await castOf(agent, casts[0]!);
    expect(part).toMatchObject({ stage: 'joined', life: { joinedInto: { id: article.id } }, dues: [] });
    const one = part.expected as { fresh: number; dry: number };
    expect(article.expected.fresh).toBeGreaterThan(2 * one.fresh);
    await tell(casts[0]!, { type: 'voided', day: 13, event: part.events.at(-1).id }).expect(422);
    const later = (await tell(article.id, { type: 'unclamped', day: 14 }).expect(200)).body;
    expect(later.stage).toBe('drying');
    const mass = later.expected.dry as number;
    for (const day of span(20, 40))
      await tell(article.id, {
        type: 'weighed',
        day,
        mass: Math.round(mass + 200 * Math.exp((15 - day) / 4)),
        step: 5,
      }).expect(200);
    expect(
      (await tell(article.id, { type: 'coated', day: 41, sealer: 'penetrating', side: 'both' }).expect(200)).body.stage,
    ).toBe('sealed');
    await agent.delete(`/api/articles/${article.id}`).expect(409);
    const out = (
      await tell(article.id, { type: 'finished', day: 50, gone: 'sold', price: 35, where: 'the stall' }).expect(200)
    ).body;
    expect(out.life.gone).toEqual({ how: 'sold', price: 35, where: 'the stall' });
  });

  it('is taken apart again while it is only clamped', async () => {
    const { casts, dried, poured } = await dryingPots(agent);
    for (const id of casts.slice(0, 2)) await dried(id);
    const given = joined(casts.slice(0, 2), poured + 12 * DAY);
    await agent.post('/api/articles').send(given).expect(200);
    await agent.delete(`/api/articles/${given.id}`).expect(204);
    await agent.get(`/api/casts/${given.id}`).expect(404);
    expect((await castOf(agent, casts[0]!)).stage).toBe('drying');
  });

  it('refuses a part in its mould, one that is taken, one twice, and what does not hold, and nothing is lost', async () => {
    const { casts, dried, poured } = await dryingPots(agent);
    await dried(casts[0]!);
    const at = poured + 12 * DAY;
    const refused = async (given: object) =>
      (await agent.post('/api/articles').send(given).expect(422)).body.detail as string;
    expect(await refused(joined(casts.slice(0, 2), at))).toContain('still in its mould');
    expect(await refused(joined([casts[0]!, casts[0]!], at))).toContain('stands in it twice');
    await dried(casts[1]!);
    expect(await refused(joined(casts.slice(0, 2), at, { bond: 'hot glue' }))).toContain('does not hold on concrete');
    const upright = casts.slice(0, 2).map((castId) => ({ castId, over: false }));
    expect(await refused(joined([], at, { parts: upright }))).toContain('does not touch');
    await agent
      .post('/api/articles')
      .send(joined(casts.slice(0, 2), at))
      .expect(200);
    await dried(casts[2]!);
    expect(await refused(joined(casts.slice(1), at))).toContain('part of another article');
    expect((await castOf(agent, casts[2]!)).stage).toBe('drying');
  });
});
