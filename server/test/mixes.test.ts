import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { english } from '@dewpot/locales/testing';
import { HOUR } from '@dewpot/core/units';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

interface Lot {
  id: string;
  left: number;
  openedAt?: number;
  version: number;
}
const lotsOf = async (agent: Agent) => ((await agent.get('/api/store').expect(200)).body as { lots: Lot[] }).lots;
const mixNames = async (agent: Agent) =>
  ((await agent.get('/api/mixes/all').expect(200)).body as { name: string }[]).map(({ name }) => name);
const mixOf = async (agent: Agent) => (await agent.get('/api/mixes/all').expect(200)).body[0];

describe('a recipe', () => {
  it('that was poured never changes: its next version is another, and both can be read', async () => {
    const agent = await newWorkshop(harness);
    const keys = await pouredPots(agent, Date.now() - HOUR);
    const { id, revision, used, ...mix } = await mixOf(agent);
    expect({ revision, used }).toEqual({ revision: 1, used: true });
    const leaner = mix.lines.map((line: { parts: number }, i: number) => (i === 1 ? { ...line, parts: 3 } : line));
    const saved = await agent
      .put(`/api/mixes/${id}`)
      .send({ ...mix, lines: leaner })
      .expect(200);
    expect(saved.body).toMatchObject({ revision: 2, used: false });
    const revisions = (await agent.get(`/api/mixes/${id}/revisions`).expect(200)).body;
    expect(
      revisions.map((one: { revision: number; body: { lines: { parts: number }[] } }) => [
        one.revision,
        one.body.lines[1]!.parts,
      ]),
    ).toEqual([
      [2, 3],
      [1, 2.5],
    ]);
    const { body: pour } = await agent.get(`/api/pours/${keys.pour}`).expect(200);
    expect(pour.parts[0]).toMatchObject({ mixRevision: 1 });
    expect(pour.parts[0].plan.mix.lines[1].parts).toBe(2.5);
  });

  it('that was not poured is edited in place, and one saved without a change stays the version it was', async () => {
    const agent = await newWorkshop(harness);
    await pouredPots(agent, Date.now() - HOUR);
    const { id, revision: _, used: __, ...mix } = await mixOf(agent);
    const same = await agent.put(`/api/mixes/${id}`).send(mix).expect(200);
    expect(same.body.revision).toBe(1);
    const second = await agent
      .put(`/api/mixes/${id}`)
      .send({ ...mix, grade: 4, version: same.body.version })
      .expect(200);
    const third = await agent
      .put(`/api/mixes/${id}`)
      .send({ ...mix, grade: 3, version: second.body.version })
      .expect(200);
    expect(third.body.revision).toBe(2);
    expect((await agent.get(`/api/mixes/${id}/revisions`)).body).toHaveLength(2);
  });

  it('keeps its doses and ways; a dose past the hard stop is refused, a material it uses cannot go', async () => {
    const agent = await newWorkshop(harness);
    await pouredPots(agent, Date.now() - HOUR);
    const { materials } = (await agent.get('/api/store')).body as { materials: { id: string; name: string }[] };
    const oxide = materials.find(({ name }) => name === 'Iron oxide, red')!.id;
    const { id, revision: _, used: __, ...mix } = await mixOf(agent);
    const dosed = { ...mix, doses: [{ materialId: oxide, amount: 0.03 }], ways: { colour: 'water' } };
    expect((await agent.put(`/api/mixes/${id}`).send(dosed).expect(200)).body).toMatchObject({
      doses: [{ materialId: oxide, amount: 0.03 }],
      ways: { colour: 'water' },
    });
    const much = { ...dosed, doses: [{ materialId: oxide, amount: 0.2 }], version: 2 };
    const refused = await agent.put(`/api/mixes/${id}`).send(much).expect(422);
    expect(refused.body.errors[0]).toMatchObject({ field: 'doses.0.amount', value: 0.2 });
    await agent.delete(`/api/materials/${oxide}`).expect(409);
  });
});

describe('lots', () => {
  it('give to two pours at once what each took, and no gram twice', async () => {
    const agent = await newWorkshop(harness);
    const keys = await pouredPots(agent, Date.now() - HOUR);
    const pours = [uuid(), uuid(), uuid(), uuid()];
    for (const pour of pours) await agent.put(`/api/pours/${pour}`).send(keys.input).expect(200);
    const finishes = pours.map((pour) =>
      agent
        .post(`/api/pours/${pour}/finish`)
        .send({ ...keys.finish, casts: [1, 2, 3].map(() => ({ id: uuid(), item: 0 })) }),
    );
    for (const { status } of await Promise.all(finishes)) expect(status).toBe(200);
    expect((await lotsOf(agent))[0]!.left).toBeCloseTo(20000 - 5 * 3100, 6);
  });

  it('count as opened when a pour first takes from them, and get back what an undone pour took', async () => {
    const agent = await newWorkshop(harness);
    const pouredAt = Date.now() - HOUR;
    const keys = await pouredPots(agent, pouredAt);
    const [lot] = await lotsOf(agent);
    expect(lot).toMatchObject({ left: 16900, openedAt: pouredAt });
    const undone = await agent.post(`/api/pours/${keys.pour}/undo`).expect(200);
    expect(undone.body.status).toBe('started');
    expect((await lotsOf(agent))[0]!.left).toBe(20000);
    expect((await agent.get('/api/casts/shelf')).body).toEqual([]);
    expect((await agent.get('/api/moulds/all')).body[0]).toMatchObject({
      cycles: 0,
      copies: [{ cycles: 0 }, { cycles: 0 }],
    });
    await agent.post(`/api/pours/${keys.pour}/undo`).expect(200);
    await agent.post(`/api/pours/${keys.pour}/finish`).send(keys.finish).expect(200);
    expect((await lotsOf(agent))[0]!.left).toBe(16900);
  });

  it('stay as they are where something was done to a cast since', async () => {
    const agent = await newWorkshop(harness);
    const keys = await pouredPots(agent, Date.now() - 30 * HOUR);
    await agent
      .post(`/api/casts/${keys.casts[1]}/events`)
      .send({ id: uuid(), at: Date.now() - HOUR, type: 'wetted' })
      .expect((answer) => expect(answer.status).toBeLessThan(300));
    const refused = await agent.post(`/api/pours/${keys.pour}/undo`).expect(409);
    expect(refused.body.detail).toContain('1b');
    expect((await lotsOf(agent))[0]!.left).toBe(16900);
  });

  it('an edit made before a pour took from a lot is stale: it overwrites nothing', async () => {
    const agent = await newWorkshop(harness);
    const keys = await pouredPots(agent, Date.now() - HOUR);
    const given = {
      materialId: keys.cement,
      bought: 25000,
      left: 20000,
      price: 9.5,
      boughtAt: 1,
      version: 1,
      lumpy: true,
    };
    await agent.put(`/api/lots/${keys.lot}`).send(given).expect(409);
    const [lot] = await lotsOf(agent);
    const noted = await agent
      .put(`/api/lots/${keys.lot}`)
      .send({ ...given, left: 16900, bags: 1, version: lot!.version })
      .expect(200);
    expect(noted.body).toMatchObject({ lumpy: true, left: 16900 });
  });
});

describe('what a mix learned', () => {
  it('goes into the next plan with how many batches it rests on', async () => {
    const agent = await newWorkshop(harness);
    const keys = await pouredPots(agent, Date.now() - HOUR);
    const next = await agent.put(`/api/pours/${uuid()}`).send(keys.input).expect(200);
    expect(next.body.parts[0].plan.conditions.learnedDemand.batches).toBe(1);
    expect(next.body.parts[0].plan.conditions.cementMonths).toBeCloseTo(0, 1);
    expect(next.body.parts[0].plan.learnedYield).toEqual({ factor: 1, batches: 0 });
  });
});

describe('a file of mixes', () => {
  let agent: Agent;
  beforeAll(async () => {
    agent = await newWorkshop(harness);
  });
  const sand = {
    name: 'Pit sand',
    kind: 'aggregate',
    bulk: 1.48,
    particle: 2.62,
    absorption: 0.01,
    demand: 0.08,
    largestGrain: 2,
    bulking: 'fine',
  };
  const lean = {
    name: 'Lean',
    by: 'volume',
    grade: 4,
    exposure: 'outdoors',
    packed: false,
    binderClass: 'portland',
    moistCuringDays: 7,
    colour: '#aaaaaa',
    lines: [
      { material: 'grey portland cement', parts: 1 },
      { material: 'Pit sand', parts: 4 },
    ],
  };
  const file = { format: 'dew-pot-mixes', version: 2, materials: [sand], mixes: [lean] };
  const bring = (agent: Agent, over: object = {}, dry = false) =>
    agent.post('/api/mixes/import').send({ file: { ...file, ...over }, dry });

  it('says first what it would do, then does it, and then has nothing left to do', async () => {
    const said = await bring(agent, {}, true).expect(200);
    expect(said.body).toMatchObject({
      done: false,
      things: [
        { name: 'Pit sand', does: 'new' },
        { name: 'Lean', does: 'new' },
      ],
    });
    expect((await agent.get('/api/mixes/all')).body).toEqual([]);
    await bring(agent).expect(200);
    const again = await bring(agent, {}, true).expect(200);
    expect(again.body.things.map(({ does }: { does: string }) => does)).toEqual(['same', 'same']);
    const richer = { ...lean, lines: [lean.lines[0], { material: 'pit sand', parts: 3 }] };
    const changed = await bring(agent, { mixes: [richer] }, true).expect(200);
    expect(english(changed.body.things[1])).toMatchObject({
      does: 'changed',
      differences: [{ what: 'Pit sand', before: '4 by volume', after: '3 by volume' }],
    });
  });

  it.each<[string, object, string]>([
    ['of another version', { version: 3 }, 'file.version'],
    ['of another format', { format: 'cookbook' }, 'file.format'],
    ['with a field that is none', { mixes: [{ ...lean, mood: 'good' }] }, 'file.mixes.0.mood'],
    [
      'with two units on a line',
      { mixes: [{ ...lean, lines: [{ material: 'Pit sand', parts: 1, grams: 400 }] }] },
      'file.mixes.0.lines.0.grams',
    ],
    ['with a name twice', { materials: [sand, { ...sand, name: 'PIT SAND' }] }, 'materials.1.name'],
    [
      'with a material that is nowhere',
      { mixes: [{ ...lean, lines: [lean.lines[0], { material: 'Moon dust', parts: 1 }] }] },
      'mixes.0.lines.1.material',
    ],
    ['with a negative density', { materials: [{ ...sand, bulk: -1 }] }, 'file.materials.0.bulk'],
    ['without a binder', { mixes: [{ ...lean, lines: [{ material: 'Pit sand', parts: 1 }] }] }, 'mixes.0.lines'],
    [
      'with a dose of sand',
      { mixes: [{ ...lean, doses: [{ material: 'Sharp sand', amount: 0.1 }] }] },
      'mixes.0.doses.0.material',
    ],
    [
      'of too many rows',
      { materials: Array.from({ length: 501 }, (_, i) => ({ ...sand, name: `Sand ${i}` })) },
      'file.materials',
    ],
  ])('%s is refused by name and remedy, and changes nothing', async (_, over, field) => {
    const before = (await agent.get('/api/store')).body;
    const refused = await bring(agent, over).expect(422);
    const issue = refused.body.errors.find((one: { field: string }) => one.field === field);
    expect(issue, JSON.stringify(refused.body.errors)).toMatchObject({
      remedy: expect.any(String),
      message: expect.any(String),
    });
    expect((await agent.get('/api/store')).body).toEqual(before);
    expect((await mixNames(agent)).sort()).toEqual(['Lean']);
  });

  it('of which one mix is wrong brings in none of the others', async () => {
    await bring(agent, { mixes: [lean, { ...lean, name: 'Wrong', lines: [] }, { ...lean, name: 'Right' }] }).expect(
      422,
    );
    expect(await mixNames(agent)).toEqual(['Lean']);
  });
});

describe('a material', () => {
  it('denser in the scoop than in the mix, and a scoop that holds less heaped, are refused by field', async () => {
    const agent = await newWorkshop(harness);
    const put = (path: string, body: object) => agent.put(`/api/${path}/${uuid()}`).send({ version: 0, ...body });
    const sand = {
      name: 'Sand',
      kind: 'aggregate',
      bulk: 1.5,
      particle: 1.2,
      absorption: 0,
      demand: 0.1,
      largestGrain: 2,
      bulking: 'none',
    };
    expect((await put('materials', sand).expect(422)).body.errors[0].field).toBe('bulk');
    expect((await put('scoops', { name: 'Cup', volume: 240, heaped: 200 }).expect(422)).body.errors[0].field).toBe(
      'heaped',
    );
    const scoop = await put('scoops', { name: 'Cup', volume: 240, heaped: 300 }).expect(200);
    expect(scoop.body).toMatchObject({ volume: 240, heaped: 300 });
  });
});
