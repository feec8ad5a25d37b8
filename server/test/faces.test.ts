import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { HOUR } from '@dewpot/core/units';
import type { AllWaysView, CountedFace } from '@dewpot/contract';
import { CastEntity } from '../src/casts/casts.entities.js';
import { KeptWaysEntity } from '../src/findings/findings.entities.js';
import { WorkshopContext } from '../src/index.js';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';
import { photoOf } from './pictures.js';

let harness: Harness;
let agent: Agent;
let casts: readonly string[];
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  ({ casts } = await pouredPots(agent, Date.now() - 40 * HOUR));
  for (const cast of casts) await tell(cast, { type: 'demoulded', damage: [] }).expect(200);
});
afterAll(() => harness.close());

const tell = (cast: string, body: object) => agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: Date.now(), ...body }); // prettier-ignore
const faces = async (by = agent) => (await by.get('/api/findings/faces').expect(200)).body as CountedFace[];
const counted = { share: 0.02, per100: 40, patch: { x: 0.2, y: 0.2, width: 0.6, height: 0.6 }, across: 60 };
const bubbles = (id: string) => ({ id, type: 'bubbles', face: 'face', grade: 4, counted });

it('a face whose voids were counted is kept with its photo, until the count is taken back', async () => {
  const [cast] = casts as [string];
  const id = uuid();
  await tell(cast, bubbles(id)).expect(200);
  expect(await faces()).toEqual([]);
  const png = await photoOf();
  const picture = (await agent.post(`/api/casts/${cast}/pictures?event=${id}`).attach('picture', png, 'f.png').expect(201)).body; // prettier-ignore
  expect(await faces()).toEqual([expect.objectContaining({ castId: cast, grade: 4, ...counted, picture: { id: picture.id, width: 40, height: 30 } })]); // prettier-ignore
  expect(await faces(await newWorkshop(harness))).toEqual([]);
  await tell(cast, { type: 'voided', event: id }).expect(200);
  expect(await faces()).toEqual([]);
});

it('a patch that no photo has is refused by name', async () => {
  const { body } = await tell(casts[0]!, { ...bubbles(uuid()), counted: { ...counted, patch: { ...counted.patch, width: 7 } } }).expect(422); // prettier-ignore
  expect(body.errors[0].field).toContain('patch.width');
});

it('a colour that was seen is on record beside the one that was wanted, and a measure of its cast', async () => {
  const [, cast] = casts as [string, string];
  const detail = (await tell(cast, { type: 'colour-seen', colour: '#b8b0a2' }).expect(200)).body;
  const seen = detail.events.at(-1);
  expect(seen).toMatchObject({ type: 'colour-seen', colour: '#b8b0a2', wanted: detail.snapshot.colour });
  expect(seen.difference).toBeGreaterThan(0);
  await agent.get('/api/findings/ways').expect(200);
  const { finding } = await harness.app.get(WorkshopContext).inWorkshop(await workshopId(), () => harness.app.get(WorkshopContext).of(CastEntity).findOneByOrFail({ id: cast })); // prettier-ignore
  expect(finding?.measured.colour).toBeCloseTo(seen.difference, 9);
  await tell(cast, { type: 'colour-seen', colour: 'red' }).expect(422);
});

const workshopId = async () => ((await agent.get('/api/session').expect(200)).body as { workshop: { id: string } }).workshop.id; // prettier-ignore

it('the comparison of all ways is kept until a record changes, or a cast is gone', async () => {
  const rows = harness.app.get(WorkshopContext);
  const workshop = await workshopId();
  const row = () => rows.inWorkshop(workshop, () => rows.of(KeptWaysEntity).findOneByOrFail({ id: workshop }));
  const ways = async () => (await agent.get('/api/findings/ways').expect(200)).body as AllWaysView;
  const first = await ways();
  expect(first.casts).toBe(3);
  const before = await row();
  expect(before.body).not.toBeNull();
  // What is kept is what is answered.
  await rows.inWorkshop(workshop, () => rows.of(KeptWaysEntity).update({ id: workshop }, { seen: 77 }));
  expect((await ways()).casts).toBe(77);
  await tell(casts[2]!, { type: 'fault-seen', fault: 'crazing', severity: 'clear' }).expect(200);
  expect((await ways()).casts).toBe(3);
  expect((await row()).revision).toBeGreaterThan(before.revision);
  await rows.inWorkshop(workshop, () => rows.of(CastEntity).delete({ id: casts[2]! }));
  expect((await ways()).casts).toBe(2);
});
