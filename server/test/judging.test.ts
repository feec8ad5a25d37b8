import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pourExamples } from '../src/script-api/pour-examples.js';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let keys: { mould: string; mix: string };
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  keys = await pouredPots(agent, Date.now() - 3_600_000);
});
afterAll(() => harness.close());

const address = (finding = 'floating-core', { mould, mix } = keys) => `/api/findings-aside/${mould}/${mix}/${finding}`;
const all = async (who = agent) => (await who.get('/api/findings-aside').expect(200)).body as object[];

describe('findings that are put aside', () => {
  it('are kept for a mould with a mix, with the last reason, and taken up again', async () => {
    await agent.put(address()).send({ reason: 'I clamp it.' }).expect(204);
    await agent.put(address()).send({ reason: 'A bar lies across.' }).expect(204);
    const { mould: mouldId, mix: mixId } = keys;
    expect(await all()).toEqual([{ mouldId, mixId, key: 'floating-core', reason: 'A bar lies across.' }]);
    await agent.delete(address()).expect(204);
    await agent.delete(address()).expect(204);
    expect(await all()).toEqual([]);
  });

  it('are refused without a reason, for what is no finding, and where the mould or the mix is not here', async () => {
    const { body } = await agent.put(address()).send({}).expect(422);
    expect(body.errors[0].field).toBe('reason');
    await agent.put(address('bad-luck')).send({ reason: 'No.' }).expect(400);
    await agent
      .put(address('wall', { ...keys, mould: uuid() }))
      .send({ reason: 'No.' })
      .expect(404);
    await agent
      .put(address('wall', { ...keys, mix: uuid() }))
      .send({ reason: 'No.' })
      .expect(404);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    await stranger.put(address()).send({ reason: 'Mine.' }).expect(404);
    expect(await all()).toEqual([]);
  });

  it('put aside from two sides are one, and go with their mould', async () => {
    const made = await Promise.all(
      ['one', 'two', 'three', 'four'].map((reason) => agent.put(address('wall')).send({ reason })),
    );
    expect(made.map(({ status }) => status)).toEqual([204, 204, 204, 204]);
    expect(await all()).toHaveLength(1);
    const answers = await Promise.all([
      agent.delete(`/api/moulds/${keys.mould}`),
      agent.put(address('grain')).send({ reason: 'While it goes.' }),
    ]);
    expect(answers[0].status).toBe(204);
    expect([204, 404]).toContain(answers[1].status);
    expect(await all()).toEqual([]);
  });
});

describe('a sheet for scripts', () => {
  it('says what speaks against it, by what the question says of mould, use and hours ahead', async () => {
    const hour = { temperature: 2, humidity: 0.8, wind: 4 };
    const [item] = pourExamples.sheet.items;
    const { body } = await request(harness.app.getHttpServer())
      .post('/api/calculate/pours/sheet')
      .send({
        ...pourExamples.sheet,
        items: [{ ...item, mould: { flexibility: 'rigid', material: 'rigid-plastic' } }],
        release: 'soap',
        uses: ['candle'],
        ahead: [hour, hour],
      })
      .expect(200);
    const found = (body.findings as { key: string }[]).map(({ key }) => key);
    expect(found).toEqual(expect.arrayContaining(['use-candle', 'release', 'cold-ahead']));
    expect(body.unknown).toEqual([]);
  });
});
