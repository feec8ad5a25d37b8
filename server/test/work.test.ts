import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY, HOUR } from '@dewpot/core/units';
import { mixInput, newWorkshop, potInput, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

describe('a mould', () => {
  it('sent twice is one, and keeps its copies', async () => {
    const id = uuid();
    const given = potInput();
    const first = await agent.put(`/api/moulds/${id}`).send(given).expect(200);
    const second = await agent.put(`/api/moulds/${id}`).send(given).expect(200);
    expect(second.body).toEqual(first.body);
    expect(first.body.copies.map(({ mark }: { mark: string }) => mark)).toEqual(['A', 'B']);
  });

  it('that a second browser changed is refused with what differs, and what stands now', async () => {
    const id = uuid();
    const { body: mould } = await agent.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    const theirs = await agent
      .put(`/api/moulds/${id}`)
      .send({ ...potInput(mould.version), name: 'Theirs' })
      .expect(200);
    const stale = await agent
      .put(`/api/moulds/${id}`)
      .send({ ...potInput(mould.version), name: 'Mine', flexibility: 'flexible' })
      .expect(409);
    expect(stale.body.errors.map(({ field }: { field: string }) => field).sort()).toEqual(['body.flexibility', 'name']);
    expect(stale.body.current).toMatchObject({ name: 'Theirs', version: theirs.body.version });
    await agent
      .put(`/api/moulds/${id}`)
      .send({ ...potInput(theirs.body.version), name: 'Mine' })
      .expect(200);
  });

  it.each([
    [
      'a core wider than the mould',
      {
        cores: [
          {
            name: 'The core',
            bottom: 18,
            solid: { kind: 'round-frustum', bottomDiameter: 170, topDiameter: 220, height: 162 },
          },
        ],
      },
      'cores.0.solid.bottomDiameter',
    ],
    [
      'text for a size',
      { outer: { kind: 'round-frustum', bottomDiameter: 'wide', topDiameter: 200, height: 180 } },
      'shape.outer.bottomDiameter',
    ],
    [
      'five metres',
      { outer: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 5000 } },
      'outer.height',
    ],
    [
      'a kind that is none',
      { outer: { kind: 'teapot', bottomDiameter: 160, topDiameter: 200, height: 180 } },
      'shape.outer.kind',
    ],
  ])('with %s is refused by field, value and remedy', async (_, over, field) => {
    const given = potInput();
    const answer = await agent
      .put(`/api/moulds/${uuid()}`)
      .send({ ...given, shape: { ...given.shape, ...over } })
      .expect(422);
    const issue = answer.body.errors.find((one: { field: string }) => one.field === field);
    expect(issue).toMatchObject({ message: expect.any(String), remedy: expect.any(String) });
  });

  it('that is not here cannot be edited, and a key that is no key is not found', async () => {
    await agent.put(`/api/moulds/${uuid()}`).send(potInput(3)).expect(404);
    await agent.put('/api/moulds/nested-pot').send(potInput()).expect(404);
  });
});

describe('a pour', () => {
  it('makes its casts, takes from the store and counts the moulds’ cycles, once however often it is finished', async () => {
    const own = await newWorkshop(harness);
    const keys = await pouredPots(own, Date.now() - 30 * HOUR);
    await own.post(`/api/pours/${keys.pour}/finish`).send(keys.finish).expect(200);
    const casts = (await own.get('/api/casts/shelf').expect(200)).body as {
      code: string;
      stage: string;
      snapshot: { copyMark: string; release: string };
    }[];
    expect(casts.map(({ code }) => code)).toEqual(['1a', '1b', '1c']);
    expect(casts.map(({ snapshot }) => snapshot.copyMark)).toEqual(['A', 'B', 'A']);
    expect(casts[0]!.snapshot.release).toBe('paste wax');
    const store = (await own.get('/api/store')).body as { lots: { left: number }[] };
    expect(store.lots[0]!.left).toBeCloseTo(20000 - 3100, 6);
    const [mould] = (await own.get('/api/moulds/all')).body as { copies: { cycles: number }[] }[];
    expect(mould!.copies.map(({ cycles }) => cycles)).toEqual([2, 1]);
  });

  it('of two mixes makes casts of each, takes both from the store, and teaches each mix its own', async () => {
    const own = await newWorkshop(harness);
    const keys = await pouredPots(own, Date.now() - 30 * HOUR);
    const [lean, pour] = [uuid(), uuid()];
    await own
      .put(`/api/mixes/${lean}`)
      .send({ ...mixInput(keys, 4), name: 'Lean' })
      .expect(200);
    const items = [
      { mouldId: keys.mould, count: 1 },
      { mouldId: keys.mould, count: 2, mixId: lean },
    ];
    const { body } = await own
      .put(`/api/pours/${pour}`)
      .send({ ...keys.input, items })
      .expect(200);
    expect(body.parts.map(({ mixName, items: of }: { mixName: string; items: number[] }) => [mixName, of])).toEqual([
      ['Garden grey', [0]],
      ['Lean', [1]],
    ]);
    const [log] = keys.finish.logs;
    const casts = [1, 0, 1].map((item) => ({ id: uuid(), item }));
    const finish = { ...keys.finish, casts, logs: [log] };
    const one = await own.post(`/api/pours/${pour}/finish`).send(finish).expect(422);
    expect(one.body.errors[0].field).toBe('logs');
    await own
      .post(`/api/pours/${pour}/finish`)
      .send({ ...finish, logs: [log, log] })
      .expect(200);
    const made = (await own.get('/api/casts/shelf')).body as { pourId: string; snapshot: { mixName: string } }[];
    const named = made.filter(({ pourId }) => pourId === pour).map(({ snapshot }) => snapshot.mixName);
    expect(named.sort()).toEqual(['Garden grey', 'Lean', 'Lean']);
    const store = (await own.get('/api/store')).body as { lots: { left: number }[] };
    expect(store.lots[0]!.left).toBeCloseTo(20000 - 3 * 3100, 6);
    const next = await own.put(`/api/pours/${uuid()}`).send({ ...keys.input, items });
    type Taught = { plan: { conditions: { learnedDemand: { batches: number } } } };
    expect(next.body.parts.map(({ plan }: Taught) => plan.conditions.learnedDemand.batches)).toEqual([2, 1]);
  });

  it('keeps its own copies of what it used', async () => {
    const own = await newWorkshop(harness);
    const keys = await pouredPots(own, Date.now() - HOUR);
    const [mould] = (await own.get('/api/moulds/all')).body as { version: number }[];
    const changed = potInput(mould!.version);
    await own
      .put(`/api/moulds/${keys.mould}`)
      .send({ ...changed, shape: { ...changed.shape, cores: [] } })
      .expect(200);
    const { body } = await own.get(`/api/pours/${keys.pour}`).expect(200);
    expect(body.parts[0].plan.items[0].shape.cores).toHaveLength(1);
    await own
      .put(`/api/pours/${keys.pour}`)
      .send({ ...keys.input, version: body.version })
      .expect(409);
    await own.delete(`/api/pours/${keys.pour}`).expect(409);
  });

  it('in the future, of a mould that is not in it, or without cement is refused', async () => {
    const own = await newWorkshop(harness);
    const keys = await pouredPots(own, Date.now() - HOUR);
    const pour = uuid();
    await own.put(`/api/pours/${pour}`).send(keys.input).expect(200);
    const fresh = keys.finish.casts.map(() => ({ id: uuid(), item: 0 }));
    const finish = (over: object) =>
      own.post(`/api/pours/${pour}/finish`).send({ ...keys.finish, casts: fresh, ...over });
    expect((await finish({ pouredAt: Date.now() + DAY })).body.errors[0].field).toBe('pouredAt');
    expect((await finish({ casts: [{ id: uuid(), item: 4 }] })).body.errors[0].field).toBe('casts');
    const [log] = keys.finish.logs;
    const dry = { ...log, used: { ...log!.used, [keys.cement]: 0 } };
    expect((await finish({ logs: [dry] })).body.errors[0].field).toBe(`used.${keys.cement}`);
    expect((await own.get('/api/casts/shelf')).body).toHaveLength(3);
  });
});

describe('a cast', () => {
  const poured = Date.now() - 40 * DAY;
  let casts: string[];
  const send = (cast: string, event: object) => agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), ...event });
  const at = (day: number) => poured + day * DAY;
  beforeAll(async () => {
    casts = (await pouredPots(agent, poured)).casts;
  });

  it('goes from the mould to the door, and one step back', async () => {
    const cast = casts[0]!;
    await send(cast, {
      at: at(1),
      type: 'demoulded',
      damage: [{ spot: 'rim', size: 'chip' }],
      force: 'tapped',
    }).expect(200);
    await send(cast, { at: at(8), type: 'uncovered' }).expect(200);
    const { body: fresh } = await agent.get(`/api/casts/${cast}`).expect(200);
    const { dry, loss } = fresh.expected as { dry: number; loss: number };
    for (let day = 0; day < 16; day++) {
      const mass = Math.round(dry + loss * 0.8 * Math.exp(-((day / 3) ** 0.8)));
      await send(cast, { at: at(9 + day), type: 'weighed', mass, step: 1 }).expect(200);
    }
    const coated = await send(cast, { at: at(26), type: 'coated', sealer: 'penetrating', side: 'both' }).expect(200);
    expect(coated.body.stage).toBe('sealed');
    expect(coated.body.dryDown.curve.length).toBeGreaterThan(10);
    const out = await send(cast, { at: at(30), type: 'finished', where: 'by the gate' }).expect(200);
    expect(out.body.stage).toBe('finished');
    const last = out.body.events.at(-1).id as string;
    const back = await send(cast, { at: at(31), type: 'voided', event: last }).expect(200);
    expect(back.body.stage).toBe('sealed');
  });

  it('that is still losing water is not sealed, unless that is overridden with a reason', async () => {
    const cast = casts[1]!;
    await send(cast, { at: at(1), type: 'demoulded', damage: [] }).expect(200);
    await send(cast, { at: at(8), type: 'uncovered' }).expect(200);
    const refused = await send(cast, { at: at(9), type: 'coated', sealer: 'acrylic', side: 'outside' }).expect(422);
    expect(refused.body).toMatchObject({ title: 'Not dry enough to seal' });
    expect(refused.body.errors[0].remedy).toContain('override');
    const done = await send(cast, {
      at: at(9),
      type: 'coated',
      sealer: 'acrylic',
      side: 'outside',
      overridden: 'a trial',
    }).expect(200);
    expect(done.body.life.coats[0].overridden).toBe('a trial');
  });

  it('takes a double tap once', async () => {
    const event = { id: uuid(), at: at(1), type: 'demoulded', damage: [] };
    await agent.post(`/api/casts/${casts[2]}/events`).send(event).expect(200);
    const again = await agent.post(`/api/casts/${casts[2]}/events`).send(event).expect(200);
    expect(again.body.events).toHaveLength(2);
  });

  it.each([
    ['a weighing heavier than the fresh piece', { at: at(10), type: 'weighed', mass: 9000, step: 1 }, 'mass'],
    ['a weighing without a mass', { at: at(10), type: 'weighed', step: 1 }, 'mass'],
    ['tomorrow', { at: Date.now() + 2 * DAY, type: 'wetted' }, 'at'],
    ['a coat in its moist curing', { at: at(10), type: 'coated', sealer: 'wax', side: 'both' }, 'type'],
    ['an event of no kind', { at: at(10), type: 'painted' }, 'type'],
  ])('refuses %s', async (_, event, field) => {
    const answer = await send(casts[2]!, event).expect(422);
    expect(answer.body.errors[0].field).toBe(field);
  });

  it('what is finished leaves the shelf but stays in the record', async () => {
    const cast = casts[1]!;
    await send(cast, { at: at(12), type: 'finished' }).expect(200);
    const shelf = (await agent.get('/api/casts/shelf')).body as { id: string }[];
    const all = (await agent.get('/api/casts')).body.rows as { id: string }[];
    expect(shelf.some(({ id }) => id === cast)).toBe(false);
    expect(all.some(({ id }) => id === cast)).toBe(true);
  });
});

describe('the store', () => {
  it('keep a material that a mix uses', async () => {
    const [mix] = (await agent.get('/api/mixes/all')).body as { lines: { materialId: string }[] }[];
    const refused = await agent.delete(`/api/materials/${mix!.lines[0]!.materialId}`).expect(409);
    expect(refused.body.detail).toContain('Garden grey');
  });

  it('refuse a lot with more left than was bought, and a scoop of no size', async () => {
    const { materials } = (await agent.get('/api/store')).body as { materials: { id: string }[] };
    const lot = { materialId: materials[0]!.id, bought: 1000, left: 2000, price: 1, boughtAt: 1, version: 0 };
    expect((await agent.put(`/api/lots/${uuid()}`).send(lot).expect(422)).body.errors[0].field).toBe('left');
    expect(
      (await agent.put(`/api/scoops/${uuid()}`).send({ name: 'can', volume: 0, version: 0 }).expect(422)).body.errors[0]
        .field,
    ).toBe('volume');
  });
});
