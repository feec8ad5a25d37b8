import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { HOUR } from '@dewpot/core/units';
import type { AllWaysView, CastFindings, WatchView } from '@dewpot/contract';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const tell = (cast: string, body: object, by = agent) =>
  by.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: Date.now(), ...body });
const findings = async (cast: string): Promise<CastFindings> =>
  (await agent.get(`/api/findings/casts/${cast}`).expect(200)).body as CastFindings;

it('a cast in its mould has no findings; out of it, it has a record of what it stood under', async () => {
  const { casts } = await pouredPots(agent, Date.now() - 40 * HOUR);
  const [cast] = casts as [string];
  expect(await findings(cast)).toMatchObject({ seen: false, faults: [], explanations: [] });
  await tell(cast, { type: 'demoulded', damage: [] }).expect(200);
  const found = await findings(cast);
  expect(found).toMatchObject({ seen: true, good: true, faults: [] });
  expect(found.under.water?.value).toBeGreaterThan(0.85);
  expect(found.under.water?.value).toBeLessThan(1);
  expect(found.under.temperature?.most).toBe(32);
  // Nobody measured the air: nothing is made up of it.
  expect(found.under.evaporation).toBeUndefined();
  expect(found.under.demouldAge?.least).toBe(1);
});

it('a place of known air tells what left the faces, and how cold it was', async () => {
  const by = await newWorkshop(harness);
  const [place] = (await by.get('/api/places').expect(200)).body as {
    id: string;
    name: string;
    version: number;
    kind: string;
  }[];
  const typed = { temperature: 33, humidity: 0.2, wind: 25 };
  await by.put(`/api/places/${place!.id}`).send({ name: place!.name, kind: place!.kind, source: 'typed', typed, version: place!.version }).expect(200); // prettier-ignore
  const { casts } = await pouredPots(by, Date.now() - 40 * HOUR, 1);
  await tell(casts[0]!, { type: 'demoulded', damage: [] }, by).expect(200);
  const { under } = (await by.get(`/api/findings/casts/${casts[0]}`).expect(200)).body as CastFindings;
  expect(under.evaporation?.value).toBeGreaterThan(1);
  expect(under.evaporationHours?.value).toBeCloseTo(24, 0);
  expect(under.coldest).toEqual({ value: 33, least: 0 });
});

it('a fault is explained with its evidence, and taken back with its event', async () => {
  const { casts } = await pouredPots(agent, Date.now() - 20 * HOUR, 6);
  for (const cast of casts) await tell(cast, { type: 'demoulded', damage: [] }).expect(200);
  const [cast] = casts as [string];
  const id = uuid();
  await tell(cast, { id, type: 'fault-seen', fault: 'crazing', severity: 'clear', drawn: { x: 0.4, y: 0.9 } }).expect(
    200,
  );
  const { good, explanations } = await findings(cast);
  expect(good).toBe(false);
  expect(explanations).toHaveLength(1);
  expect(explanations[0]).toMatchObject({ fault: 'crazing' });
  // Nobody measured the air: that nothing lay over it is all that speaks for it.
  expect(explanations[0]?.causes.map(({ cause }) => cause)).toEqual(['uncovered']);
  const shares = explanations[0]!.causes.reduce((sum, { share }) => sum + share, explanations[0]!.unrecorded);
  expect(shares).toBeLessThanOrEqual(1 + 1e-9);
  await tell(cast, { type: 'voided', event: id }).expect(200);
  expect(await findings(cast)).toMatchObject({ good: true, explanations: [] });
});

it('refuses a fault before demoulding, of no known kind, or off the drawing', async () => {
  const { casts } = await pouredPots(agent, Date.now() - HOUR, 1);
  const [cast] = casts as [string];
  await tell(cast, { type: 'fault-seen', fault: 'crack', severity: 'clear' }).expect(422);
  await tell(cast, { type: 'demoulded', damage: [] }).expect(200);
  await tell(cast, { type: 'fault-seen', fault: 'bewitched', severity: 'clear' }).expect(422);
  await tell(cast, { type: 'fault-seen', fault: 'crack', severity: 'clear', drawn: { x: 2, y: 0 } }).expect(422);
  await tell(cast, { type: 'found-sound' }).expect(200);
});

it('ways are compared, and what is watched is charted, over the casts that are out', async () => {
  const other = await newWorkshop(harness);
  expect((await other.get('/api/findings/ways').expect(200)).body as AllWaysView).toEqual({ tables: [], comparisons: 0, casts: 0, left: 0 }); // prettier-ignore
  for (const hours of [60, 50, 40]) {
    const { casts } = await pouredPots(other, Date.now() - hours * HOUR, 4);
    for (const [i, cast] of casts.entries()) await tell(cast, { type: 'demoulded', damage: i === 0 ? [{ spot: 'rim', size: 'piece' }] : [] }, other).expect(200); // prettier-ignore
  }
  const { casts, left } = (await other.get('/api/findings/ways').expect(200)).body as AllWaysView;
  expect({ casts, left }).toEqual({ casts: 12, left: 0 });
  const { months } = (await other.get('/api/findings/watch').expect(200)).body as WatchView;
  expect(months.reduce((sum, month) => sum + month.casts, 0)).toBe(12);
  expect(months.reduce((sum, month) => sum + month.good, 0)).toBe(9);
});

it('what is asked for by many at once is gathered whole, whatever happens meanwhile', async () => {
  const { casts } = await pouredPots(agent, Date.now() - 30 * HOUR, 5);
  await Promise.all(casts.map((cast) => tell(cast, { type: 'demoulded', damage: [] }).expect(200)));
  const [first] = casts as [string];
  await Promise.all([
    ...casts.map((cast) => findings(cast)),
    tell(first, { type: 'fault-seen', fault: 'pinholes', severity: 'slight' }).expect(200),
    ...casts.map((cast) => findings(cast)),
  ]);
  expect((await findings(first)).faults).toEqual([{ fault: 'pinholes', severity: 'slight' }]);
});

it('another workshop sees nothing of it', async () => {
  const { casts } = await pouredPots(agent, Date.now() - 30 * HOUR, 1);
  const other = await newWorkshop(harness);
  await other.get(`/api/findings/casts/${casts[0]}`).expect(404);
});
