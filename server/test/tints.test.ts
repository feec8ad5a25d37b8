import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY } from '@dewpot/core/units';
import { colourDifference } from '@dewpot/core/tints';
import { newWorkshop, potInput, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let materials: { id: string; name: string }[];
let scoopId: string;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  const { body } = await agent.get('/api/store').expect(200);
  materials = body.materials;
  scoopId = body.scoops[0].id;
});
afterAll(() => harness.close());

const id = (name: string) => materials.find((one) => one.name === name)!.id;
const base = () => ({ binderId: id('White Portland cement'), sandId: id('Fine sand') });
const tintInput = (amount = 0.02, over: object = {}) => ({
  name: 'Brick',
  base: base(),
  doses: [{ materialId: id('Iron oxide, red'), amount }],
  version: 0,
  ...over,
});
const fields = (body: { errors: { field: string }[] }) => body.errors.map(({ field }) => field);
const tintsNow = async () => (await agent.get('/api/tints/all').expect(200)).body;

async function newMix(): Promise<string> {
  const key = uuid();
  await agent
    .put(`/api/mixes/${key}`)
    .send({
      name: 'Chalk',
      by: 'volume',
      grade: 5,
      exposure: 'outdoors',
      packed: false,
      binderClass: 'portland',
      moistCuringDays: 7,
      colour: '#e0d9ca',
      lines: [
        { materialId: id('White Portland cement'), parts: 1 },
        { materialId: id('Fine sand'), parts: 2 },
      ],
      version: 0,
    })
    .expect(200);
  return key;
}

describe('a tint', () => {
  it('is kept with its versions: one that was poured never changes', async () => {
    const [tint, mixId, mouldId, pour] = [uuid(), await newMix(), uuid(), uuid()];
    await agent.put(`/api/tints/${tint}`).send(tintInput()).expect(200);
    await agent.put(`/api/moulds/${mouldId}`).send(potInput()).expect(200);
    const colouring = { kind: 'solid', parts: [{ tint, share: 1 }] };
    const input = { mixId, grade: 5, spare: 0.05, moisture: {}, scoopId, step: 0.25, temperature: 18, version: 0 };
    await agent
      .put(`/api/pours/${pour}`)
      .send({ ...input, items: [{ mouldId, count: 1, colouring }] })
      .expect(200);
    const unpoured = await agent
      .put(`/api/tints/${tint}`)
      .send(tintInput(0.025, { version: 1 }))
      .expect(200);
    expect(unpoured.body).toMatchObject({ revision: 1, used: false });
    await agent.post(`/api/pours/${pour}/start`).expect(200);
    const next = await agent
      .put(`/api/tints/${tint}`)
      .send(tintInput(0.03, { version: 2 }))
      .expect(200);
    expect(next.body).toMatchObject({ revision: 2, used: false });
    const revisions = (await agent.get(`/api/tints/${tint}/revisions`).expect(200)).body;
    expect(
      revisions.map((one: { revision: number; body: { doses: { amount: number }[] } }) => [
        one.revision,
        one.body.doses[0]!.amount,
      ]),
    ).toEqual([
      [2, 0.03],
      [1, 0.025],
    ]);
  });

  it('edited by two at once is refused to the second, who is told what differs and loses nothing', async () => {
    const key = uuid();
    await agent.put(`/api/tints/${key}`).send(tintInput()).expect(200);
    await agent
      .put(`/api/tints/${key}`)
      .send(tintInput(0.03, { version: 1 }))
      .expect(200);
    const { body } = await agent
      .put(`/api/tints/${key}`)
      .send(tintInput(0.01, { version: 1 }))
      .expect(409);
    expect(fields(body)).toContain('body.doses');
    expect(body.current.version).toBe(2);
  });

  it('that cannot be is refused by field', async () => {
    const put = async (input: object) => fields((await agent.put(`/api/tints/${uuid()}`).send(input).expect(422)).body);
    expect(await put(tintInput(0.2))).toEqual(['doses.0.amount']);
    expect(await put(tintInput(0.02, { base: { binderId: id('Fine sand') } }))).toEqual(['base.binder']);
    const unknown = tintInput(0.02, { base: { binderId: uuid() } });
    await agent.put(`/api/tints/${uuid()}`).send(unknown).expect(404);
  });

  it('keeps its pigment in the store', async () => {
    await agent
      .put(`/api/tints/${uuid()}`)
      .send(tintInput(0.02, { name: 'Kept brick' }))
      .expect(200);
    const { body } = await agent.delete(`/api/materials/${id('Iron oxide, red')}`).expect(409);
    expect(body.detail).toMatch(/Kept brick/);
  });
});

describe('a chip', () => {
  const chip = (amount: number, castAt?: number) => ({
    ...tintInput(amount, { name: `Red ${amount}` }),
    ...(castAt !== undefined && { castAt }),
  });

  it('is read by the simulated reader: dry after two days, darker while damp, the same each time', async () => {
    const [dry, damp] = [uuid(), uuid()];
    await agent
      .put(`/api/swatches/${dry}`)
      .send(chip(0.02, Date.now() - 5 * DAY))
      .expect(200);
    await agent.put(`/api/swatches/${damp}`).send(chip(0.02, Date.now())).expect(200);
    const read = async (key: string) => (await agent.post(`/api/swatches/${key}/reading`).expect(200)).body;
    const [one, again, wet] = [await read(dry), await read(dry), await read(damp)];
    expect(one).toEqual(again);
    expect(one).toMatchObject({ damp: false });
    expect(one.touches).toHaveLength(3);
    expect(one.spread).toBeLessThan(2);
    expect(wet.damp).toBe(true);
    expect(colourDifference(one.colour, wet.colour)).toBeGreaterThan(5);
  });

  it('is measured only once it was cast, and never in days to come', async () => {
    const measured = { colour: '#a05040', by: 'reader', at: Date.now() };
    const put = async (input: object) =>
      fields((await agent.put(`/api/swatches/${uuid()}`).send(input).expect(422)).body);
    expect(await put({ ...chip(0.02), measured })).toEqual(['measured']);
    expect(await put(chip(0.02, Date.now() + 3 * DAY))).toEqual(['castAt']);
    const planned = uuid();
    await agent.put(`/api/swatches/${planned}`).send(chip(0.02)).expect(200);
    const { body } = await agent.post(`/api/swatches/${planned}/reading`).expect(422);
    expect(fields(body)).toEqual(['castAt']);
    await agent.delete(`/api/swatches/${planned}`).expect(204);
    await agent.post(`/api/swatches/${planned}/reading`).expect(404);
  });
});

describe('a pour in bands', () => {
  it('takes each tint’s pigment from its lot, and its casts carry their bands', async () => {
    const [paleTint, darkTint, mouldId, pour, cast] = [uuid(), uuid(), uuid(), uuid(), uuid()];
    const mixId = await newMix();
    await agent.put(`/api/moulds/${mouldId}`).send(potInput()).expect(200);
    await agent
      .put(`/api/tints/${paleTint}`)
      .send(tintInput(0.005, { name: 'Pale' }))
      .expect(200);
    await agent
      .put(`/api/tints/${darkTint}`)
      .send(tintInput(0.04, { name: 'Dark' }))
      .expect(200);
    const lot = uuid();
    await agent
      .put(`/api/lots/${lot}`)
      .send({ materialId: id('Iron oxide, red'), bought: 1000, left: 1000, price: 8, boughtAt: 0, version: 0 })
      .expect(200);
    const colouring = {
      kind: 'banded',
      by: 'volume',
      edge: 'crisp',
      parts: [
        { tint: darkTint, share: 0.5 },
        { tint: paleTint, share: 0.5 },
      ],
    };
    const input = { mixId, grade: 5, spare: 0.05, moisture: {}, scoopId, step: 0.25, temperature: 18, version: 0 };
    const wrong = { ...colouring, parts: [{ tint: darkTint, share: 0.9 }, colouring.parts[1]] };
    const refused = await agent
      .put(`/api/pours/${pour}`)
      .send({ ...input, items: [{ mouldId, count: 1, colouring: wrong }] })
      .expect(422);
    expect(fields(refused.body)).toEqual(['colouring.parts']);
    const { body: kept } = await agent
      .put(`/api/pours/${pour}`)
      .send({ ...input, items: [{ mouldId, count: 1, colouring }] })
      .expect(200);
    const doses = kept.parts[0].plan.mix.doses as { material: { id: string }; amount: number }[];
    expect(doses).toHaveLength(1);
    expect(doses[0]!.amount).toBeCloseTo(0.0225, 3);
    const used = Object.fromEntries(
      [...kept.parts[0].plan.mix.lines, ...doses].map((one: { material: { id: string } }) => [one.material.id, 500]),
    );
    await agent.post(`/api/pours/${pour}/start`).expect(200);
    await agent
      .post(`/api/pours/${pour}/finish`)
      .send({
        logs: [{ used: { ...used, [id('Iron oxide, red')]: 20 }, tap: 300, grade: 5, temperature: 18 }],
        casts: [{ id: cast, item: 0 }],
        pouredAt: Date.now() - 60_000,
      })
      .expect(200);
    const { snapshot } = (await agent.get(`/api/casts/${cast}`).expect(200)).body;
    expect(snapshot.faceColouring).toMatchObject({ kind: 'banded', edge: 'crisp' });
    expect(snapshot.faceColouring.parts.map(({ to }: { to: number }) => Math.round(to * 180 * 10) / 10)).toEqual([
      85.1, 180,
    ]);
    const store = (await agent.get('/api/store').expect(200)).body;
    expect(store.lots.find((one: { id: string }) => one.id === lot).left).toBe(980);
    await agent.delete(`/api/tints/${darkTint}`).expect(204);
    expect((await tintsNow()).tints.map(({ name }: { name: string }) => name)).not.toContain('Dark');
    await agent.get(`/api/pours/${pour}`).expect(200);
  });
});

describe('a file of tints', () => {
  const file = (over: object = {}) => ({
    format: 'dew-pot-tints',
    version: 1,
    tints: [
      {
        name: 'From a file',
        base: { binder: 'white portland cement', sand: 'Fine sand' },
        doses: [{ material: 'Carbon black', amount: 0.01 }],
      },
    ],
    swatches: [
      {
        name: 'Black 1 %',
        base: { binder: 'White Portland cement' },
        doses: [{ material: 'Carbon black', amount: 0.01 }],
        castAt: 1_700_000_000_000,
        measured: { colour: '#3a3a3c', by: 'reader', at: 1_700_500_000_000 },
      },
    ],
    ...over,
  });
  const bring = (given: object, dry = false) => agent.post('/api/tints/import').send({ file: given, dry });

  it('says first what it would change, then comes in whole, and changes nothing the second time', async () => {
    const said = await bring(file(), true).expect(200);
    expect(said.body).toMatchObject({ done: false, things: [{ kind: 'tint', does: 'new' }, { kind: 'chip', does: 'new' }] }); // prettier-ignore
    expect((await tintsNow()).swatches.map(({ name }: { name: string }) => name)).not.toContain('Black 1 %');
    await bring(file()).expect(200);
    expect((await tintsNow()).swatches.find(({ name }: { name: string }) => name === 'Black 1 %')).toMatchObject({
      measured: { colour: '#3a3a3c' },
    });
    const again = await bring(file()).expect(200);
    expect(again.body.things.map(({ does }: { does: string }) => does)).toEqual(['same', 'same']);
  });

  it('with a material that is not in store, of another kind, or of another version, is refused with nothing kept', async () => {
    const [tint] = file().tints;
    const strange = { ...tint, name: 'Strange', doses: [{ material: 'Moon dust', amount: 0.01 }] };
    const refused = await bring(file({ tints: [strange, { ...tint, name: 'Good one' }] })).expect(422);
    expect(fields(refused.body)).toEqual(['tints.0.doses.0.material']);
    expect((await tintsNow()).tints.map(({ name }: { name: string }) => name)).not.toContain('Good one');
    expect(fields((await bring(file({ format: 'something' })).expect(422)).body)).toEqual(['file.format']);
    expect(fields((await bring(file({ version: 7 })).expect(422)).body)).toEqual(['file.version']);
  });
});
