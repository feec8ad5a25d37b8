import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { HOUR } from '@dewpot/core/units';
import type { Season } from '@dewpot/core/money';
import type { PieceMoneyView } from '@dewpot/contract';
import { PourEntity } from '../src/pours/pours.entities.js';
import { WorkshopContext } from '../src/index.js';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let poured: Awaited<ReturnType<typeof pouredPots>>;
const pouredAt = Date.UTC(2026, 5, 15, 12);
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  poured = await pouredPots(agent, pouredAt);
});
afterAll(() => harness.close());

const season = async (query = '', by = agent) => (await by.get(`/api/money/season${query}`).expect(200)).body as Season;
const tell = (cast: string, body: object, at: number) => agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), at, ...body }).expect(200); // prettier-ignore

it('sums up pieces, what they took at the price of their lot, and what is in store', async () => {
  const [first, second, third] = poured.casts as [string, string, string];
  const out = pouredAt + 50 * HOUR;
  for (const cast of [first, second]) await tell(cast, { type: 'demoulded', damage: [] }, out);
  await tell(third, { type: 'broken', how: 'dropped' }, out);
  await tell(second, { type: 'fault-seen', fault: 'crazing', severity: 'clear' }, out + HOUR);
  await tell(first, { type: 'uncovered' }, out + HOUR);
  await tell(first, { type: 'finished', where: 'the stall', gone: 'sold', price: 24 }, out + 2 * HOUR);
  await agent.get('/api/findings/watch').expect(200);
  const { months, total, mixes, materials, stock, stockValue } = await season();
  expect(months).toHaveLength(1);
  expect(months[0]).toMatchObject({ month: '2026-06', casts: 3, broken: 1, seen: 3, sold: 1, income: 24 });
  // 3.1 kg of a bag of 25 kg that cost 9.50; nothing else has a lot.
  expect(total.spent).toBeCloseTo((3100 / 25_000) * 9.5, 6);
  expect(materials).toEqual([{ material: 'Grey Portland cement', mass: 3100, cost: expect.closeTo(1.178, 3) }]);
  expect(stock).toEqual([{ material: 'Grey Portland cement', left: 16_900, value: expect.closeTo(6.422, 3) }]);
  expect(stockValue).toBeCloseTo(6.422, 3);
  expect(mixes).toHaveLength(1);
  expect(total.volume).toBeGreaterThan(5000);
  expect(total.wasted).toBeCloseTo(total.spent / 3, 6);
});

it('is asked by its months, in the workshop’s own zone', async () => {
  expect((await season('?from=2026-06&to=2026-06')).total.casts).toBe(3);
  expect((await season('?from=2026-07')).months).toEqual([]);
  expect((await season('?to=2026-05')).total.casts).toBe(0);
  await agent.get('/api/money/season?from=June').expect(422);
  expect((await season('', await newWorkshop(harness))).months).toEqual([]);
});

it('learns of pours that were done before amounts were kept', async () => {
  const rows = harness.app.get(WorkshopContext);
  const { workshop } = (await agent.get('/api/session').expect(200)).body as { workshop: { id: string } };
  await rows.inWorkshop(workshop.id, async () => {
    const { taught } = await rows.of(PourEntity).findOneByOrFail({ id: poured.pour });
    const older = taught!.map(({ made: _, leftover: __, ...lesson }) => lesson);
    await rows.of(PourEntity).update({ id: poured.pour }, { taught: older as object[] });
  });
  expect((await season()).total.volume).toBe(0);
  await agent.get('/api/pours/past').expect(200);
  expect((await season()).total.volume).toBeGreaterThan(5000);
});

it('a piece costs what its pours spent, and what its caster told beside', async () => {
  const asked = `/api/money/piece?mould=${poured.mould}&mix=${poured.mix}`;
  const { facts, costing } = (await agent.get(asked).expect(200)).body as PieceMoneyView;
  expect(facts).toMatchObject({ casts: 3, sold: 1, soldFor: 24, copies: expect.any(Array) });
  const { total } = await season();
  expect(facts.gramCost).toBeCloseTo(total.spent / total.mass, 9);
  expect(facts.fresh).toBeCloseTo(total.mass / 3, 6);
  expect(costing).toEqual({ version: 0 });
  const told = { price: 30, lasts: 80, sealer: 0.6, version: 0 };
  await agent.put(`/api/money/costings/${poured.mould}`).send(told).expect(204);
  expect(((await agent.get(asked).expect(200)).body as PieceMoneyView).costing).toEqual({ ...told, version: 1 });
  await agent
    .put(`/api/money/costings/${poured.mould}`)
    .send({ ...told, price: 31 })
    .expect(409);
  await agent
    .put(`/api/money/costings/${poured.mould}`)
    .send({ ...told, lasts: 0, version: 1 })
    .expect(422);
  await agent.put(`/api/money/costings/${uuid()}`).send(told).expect(404);
  await agent.get(`/api/money/piece?mould=${uuid()}&mix=${poured.mix}`).expect(404);
  await agent.get('/api/money/piece?mould=pot').expect(422);
});
