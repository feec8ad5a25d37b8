import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { english } from '@dewpot/locales/testing';
import { DAY, HOUR, MINUTE } from '@dewpot/core/units';
import { ageBetween, ageCourse } from '@dewpot/core/curing';
import type { Due } from '@dewpot/core/casts';
import type { CastDetail, CastView, PlaceView } from '@dewpot/contract';
import { hears, newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';
import { photoOf } from './pictures.js';

const now = Math.floor(Date.now() / HOUR) * HOUR;

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const places = async () => (await agent.get('/api/places').expect(200)).body as PlaceView[];
const open = async (over: object = {}) => {
  const id = uuid();
  const place = { name: `A place ${id.slice(-6)}`, kind: 'shed', source: 'files', version: 0, ...over };
  await agent.put(`/api/places/${id}`).send(place).expect(200);
  return { id, name: place.name };
};
const send = (id: string, readings: object[]) => agent.post(`/api/places/${id}/readings`).send({ readings });
const steady = (temperature: number, from: number, to: number, step = 10 * MINUTE, more: object = {}) =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => ({
    at: from + i * step,
    temperature: temperature + (i % 2) / 10,
    humidity: 0.5 + (i % 5) / 100,
    ...more,
  }));

describe('places', () => {
  it('a new workshop has a bench whose air is a guess and says so, until it is told', async () => {
    const fresh = await newWorkshop(harness);
    const [bench, ...others] = (await fresh.get('/api/places').expect(200)).body as PlaceView[];
    expect(others).toEqual([]);
    expect(bench).toMatchObject({ kind: 'shed', source: 'unknown', basis: 'guess', now: { temperature: 18 } });
    expect(bench!.lastRead).toBeUndefined();
    const { body } = await fresh.get('/api/ambient').expect(200);
    expect(body).toMatchObject({ station: bench!.name, basis: 'guess' });
    expect(body.ahead[0].at).toBeGreaterThanOrEqual(body.past.at(-1).at);
    const typed = { name: 'Bench', kind: 'shed', source: 'typed', typed: { temperature: 11, humidity: 0.8, wind: 0 }, version: bench!.version }; // prettier-ignore
    await fresh.put(`/api/places/${bench!.id}`).send(typed).expect(200);
    expect((await fresh.get('/api/ambient')).body).toMatchObject({ basis: 'typed', now: { temperature: 11 } });
  });

  it('the simulated weather is the demo’s alone, and a table of months is straight between them', async () => {
    const fresh = await newWorkshop(harness);
    for (const source of [{ source: 'forecast' }, { source: 'logger', simulated: true }]) {
      const sent = { name: 'Yard', kind: 'yard', version: 0, ...source };
      const { body } = await fresh.put(`/api/places/${uuid()}`).send(sent).expect(422);
      expect(body.errors[0]).toMatchObject({ field: 'source', message: expect.stringContaining('demo') });
    }
    const season = Array.from({ length: 12 }, () => ({ temperature: 9, humidity: 0.75 }));
    const sent = { name: 'Barn', kind: 'shed', source: 'season', version: 0 };
    const barn = await fresh
      .put(`/api/places/${uuid()}`)
      .send({ ...sent, season })
      .expect(200);
    expect(barn.body).toMatchObject({ basis: 'season', now: { temperature: 9, humidity: 0.75 } });
    await fresh
      .put(`/api/places/${uuid()}`)
      .send({ ...sent, season: season.slice(1) })
      .expect(422);
  });

  it('take readings late, twice and in any order, and set aside what cannot be; nothing is lost', async () => {
    const { id } = await open();
    const readings = steady(15, now - 6 * HOUR, now - HOUR);
    const first = await send(id, [...readings.slice(20), { at: now - HOUR + 1, temperature: 127 }]).expect(200);
    expect(english(first.body)).toMatchObject({
      kept: readings.length - 20,
      twice: 0,
      aside: [{ why: expect.stringMatching(/127/) }],
    });
    const second = await send(id, [...[...readings].reverse(), { ...readings[25]!, temperature: 40 }]).expect(200);
    expect(english(second.body)).toMatchObject({ kept: 20, aside: [{ why: expect.stringMatching(/same time/) }] });
    const { body } = await agent.get(`/api/places/${id}/ambient`).expect(200);
    expect(body.recorded).toHaveLength(readings.length);
    expect(body.recorded[0].at).toBe(now - 6 * HOUR);
    expect(body.aside).toHaveLength(2);
  });

  it('bridge a gap, mark it, and go on from a month to the next', async () => {
    const { id } = await open();
    const month = Date.UTC(new Date(now).getUTCFullYear(), new Date(now).getUTCMonth(), 1);
    await send(id, [
      ...steady(8, month - 10 * HOUR, month - 6 * HOUR),
      ...steady(12, month - HOUR, month + 2 * HOUR),
    ]).expect(200);
    const { body } = await agent.get(`/api/places/${id}/ambient?from=${month - DAY}&to=${month + DAY}`).expect(200);
    expect(english(body.bridges)).toEqual([{ from: month - 6 * HOUR, to: month - HOUR, why: 'nothing was read' }]);
  });

  it('take the first readings of a month from many at once, while others read', async () => {
    const opened = await Promise.all(Array.from({ length: 6 }, () => open()));
    const month = Date.UTC(2019, 2, 1);
    const answers = await Promise.all(
      opened.flatMap(({ id }, i) => [
        agent.get('/api/places'),
        send(id, steady(10, month - (i % 3) * 32 * DAY, month - (i % 3) * 32 * DAY + 40 * DAY, 6 * HOUR)),
        agent.get(`/api/places/${id}/ambient?from=${month}&to=${month + 5 * DAY}`),
      ]),
    );
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200));
  });

  it('are refused by name: readings for a typed place, bad ones, too many, and the last place taken away', async () => {
    const { id } = await open({ source: 'typed', typed: { temperature: 12, humidity: 0.8, wind: 0 } });
    await send(id, [{ at: now, temperature: 3 }]).expect(409);
    await agent.put(`/api/places/${uuid()}`).send({ name: 'x', kind: 'shed', source: 'typed', version: 0 }).expect(422);
    const { id: files } = await open();
    expect((await send(files, [{ at: 'soon', temperature: 3 }]).expect(422)).body.errors[0].field).toBe(
      'readings.0.at',
    );
    await send(files, steady(1, now - 6000 * MINUTE, now, MINUTE)).expect(422);
    const alone = await newWorkshop(harness);
    const [bench] = (await alone.get('/api/places')).body as PlaceView[];
    expect((await alone.delete(`/api/places/${bench!.id}`).expect(409)).body.title).toBe('The last place');
    await alone.put(`/api/places/${uuid()}`).send({ name: 'x', kind: 'shed', source: 'unknown', version: 0 }).expect(200); // prettier-ignore
    await alone.delete(`/api/places/${bench!.id}`).expect(204);
    await alone.get(`/api/places/${id}/ambient`).expect(404);
  });

  it('tell of a reading at once to whoever listens', async () => {
    const { id } = await open({ source: 'logger' });
    const told = await hears<PlaceView[]>(harness, agent, '/api/places/stream', 2, () =>
      send(id, [{ at: now - HOUR, temperature: 21.5 }])
        .expect(200)
        .then(),
    );
    expect(told[0]!.find((one) => one.id === id)!.now).toBeUndefined();
    expect(told[1]!.find((one) => one.id === id)!.now).toMatchObject({ temperature: 21.5 });
  });
});

describe('casts in their air', () => {
  const detail = async (id: string) => (await agent.get(`/api/casts/${id}`).expect(200)).body as CastDetail;
  const due = (dues: readonly Due[], task: string) => dues.find((one) => one.task === task)!;

  it('are demoulded by the series of the place in which they stand, and age on where they are moved to', async () => {
    const cold = await open();
    const warm = await open();
    const poured = now - 30 * HOUR;
    await send(cold.id, steady(6, poured - HOUR, now));
    await send(warm.id, steady(24, poured - HOUR, now));
    const { casts } = await pouredPots(agent, poured);
    const move = (cast: number, place: { id: string; name: string }, at: number) =>
      agent
        .post(`/api/casts/${casts[cast]}/events`)
        .send({ id: uuid(), type: 'moved', at, place: place.name, placeId: place.id })
        .expect(200);
    await move(0, cold, poured);
    await move(1, warm, poured);
    await move(2, cold, poured);
    await move(2, warm, now - 10 * HOUR);
    const list = (await agent.get('/api/casts/shelf').expect(200)).body as CastView[];
    const goodOf = (i: number) => due(list.find(({ id }) => id === casts[i])!.dues, 'demould').good;
    expect(goodOf(1)).toBeLessThan(goodOf(2));
    expect(goodOf(2)).toBeLessThan(goodOf(0));
    const course = (t: number) => ageCourse([{ hour: 0, temperature: t + 0.05 }], 'portland');
    const demoulded = await agent
      .post(`/api/casts/${casts[2]}/events`)
      .send({ id: uuid(), type: 'demoulded', at: now, damage: [] })
      .expect(200);
    const age = (demoulded.body as CastDetail).life.demould!.age!;
    expect(age).toBeCloseTo(ageBetween(course(6), 0, 20) + ageBetween(course(24), 0, 10), 1);
  });

  it('a damaged demoulding moves the next proposal, may be taken back, forgotten, and switched off', async () => {
    const place = await open();
    // 38 h at this are as many as the handbook's 24 h at 20 °C.
    await send(place.id, steady(12.5, now - 40 * HOUR, now, 10 * MINUTE));
    const { mould, mix, casts } = await pouredPots(agent, now - 40 * HOUR);
    for (const cast of casts)
      await agent
        .post(`/api/casts/${cast}/events`)
        .send({ id: uuid(), type: 'moved', at: now - 40 * HOUR, place: place.name, placeId: place.id })
        .expect(200);
    const lift = (cast: number, damage: object[], more: object = {}) =>
      agent
        .post(`/api/casts/${casts[cast]}/events`)
        .send({ id: uuid(), type: 'demoulded', at: now - 2 * HOUR, damage, force: 'slid', ...more })
        .expect(200);
    const before = (await detail(casts[2]!)).demould;
    expect(before).toMatchObject({ handbook: 24, records: [] });
    const clean = ((await lift(0, [])).body as CastDetail).demould;
    expect(clean.learned.age.value).toBeLessThan(before.learned.age.value);
    const hurt = (await lift(1, [{ spot: 'rim', size: 'chip' }])).body as CastDetail;
    expect(english(hurt.demould.learned)).toMatchObject({
      wary: true,
      sentence: expect.stringMatching(/2 demouldings, 1 of them too early/),
    });
    expect(hurt.demould.learned.age.value).toBeGreaterThan(clean.learned.age.value);
    const proposed = due((await detail(casts[2]!)).dues, 'demould').good;
    const choose = (ways: object) => agent.put(`/api/moulds/${mould}/demoulding/${mix}`).send(ways).expect(204);
    await choose({ care: 'cautious', off: true });
    const off = await detail(casts[2]!);
    expect(due(off.dues, 'demould').good).toBeLessThan(proposed);
    await choose({ care: 'bold', off: false, since: now });
    expect((await detail(casts[2]!)).demould.records).toEqual([]);
    await choose({ care: 'usual', off: false });
    const undo = { id: uuid(), type: 'voided', at: now, event: hurt.events.at(-1)!.id };
    await agent.post(`/api/casts/${casts[1]}/events`).send(undo).expect(200);
    expect((await detail(casts[2]!)).demould.records.map(({ came }) => came)).toEqual(['clean']);
  });

  it('are told what their air does: evaporation, covers, misting, frost, how wet they were kept', async () => {
    const place = await open();
    await send(place.id, steady(31, now - 20 * HOUR, now, 10 * MINUTE, { humidity: 0.3, wind: 20 }));
    const { casts } = await pouredPots(agent, now - 18 * HOUR);
    const event = (type: string, at: number, more: object = {}) =>
      agent
        .post(`/api/casts/${casts[0]}/events`)
        .send({ id: uuid(), type, at, ...more })
        .expect(200);
    await event('moved', now - 18 * HOUR, { place: place.name, placeId: place.id });
    await event('demoulded', now - 6 * HOUR, { damage: [] });
    const { body } = await event('wetted', now - 3 * HOUR);
    const { ambient, dues } = body as CastDetail;
    expect(ambient.does).toMatchObject({ risk: 'cover', misting: { coverInstead: true }, surface: { done: 1 } });
    expect(ambient.does!.surface!.missed).toBeGreaterThan(5);
    expect(ambient.does!.covers.map(({ cover }) => cover)).toEqual([
      'none',
      'shade',
      'damp cloth',
      'film',
      'bag',
      'bath',
    ]);
    expect(dues.map(({ task }) => task)).toContain('cover');
    const covered = (await event('covered', now - HOUR, { cover: 'bag' })).body as CastDetail;
    expect(covered.dues.map(({ task }) => task)).not.toContain('cover');
    expect(ambient.temperatures.some(({ hour }) => hour > 18)).toBe(true);
  });

  it('bathe, are dressed and tested with strips, and refuse a vinegar bath of two days', async () => {
    const { casts } = await pouredPots(agent, now - 60 * HOUR);
    const event = (type: string, more: object, status = 200) =>
      agent
        .post(`/api/casts/${casts[0]}/events`)
        .send({ id: uuid(), type, at: now - HOUR, ...more })
        .expect(status);
    await event('demoulded', { damage: [], at: now - 20 * HOUR });
    await event('rinsed', {}, 422);
    expect((await event('soaked', { bath: 'vinegar', hours: 48 }, 422)).body.errors[0].remedy).toMatch(/at most 24 h/);
    const soaked = (await event('soaked', { bath: 'leach', hours: 24 })).body as CastDetail;
    expect(due(soaked.dues, 'end-soak').good).toBe(now + 23 * HOUR);
    await event('dressed', { work: 'grit', grit: 120 });
    await event('ph', { ph: 17 }, 422);
    const tested = (await event('ph', { ph: 9.2 })).body as CastDetail;
    expect(tested.life).toMatchObject({ leaches: 1, ph: [{ ph: 9.2 }] });
    const until = now + 5 * HOUR;
    const put = (await event('postponed', { task: 'end-moist-curing', until })).body as CastDetail;
    expect(due(put.dues, 'end-moist-curing').postponedUntil).toBe(until);
  });

  it('two people at one cast at once: the first is kept, the other is told, and what both saw is on record', async () => {
    const { casts } = await pouredPots(agent, now - 45 * HOUR);
    const say = (told: object) =>
      agent.post(`/api/casts/${casts[0]}/events`).send({ id: uuid(), at: now - HOUR, ...told });
    const answers = await Promise.all([
      say({ type: 'demoulded', damage: [] }),
      say({ type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }] }),
      say({ type: 'wetted' }),
      say({ type: 'covered', cover: 'bag' }),
    ]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 422]);
    const refused = answers.find(({ status }) => status === 422)!;
    expect(refused.body.errors[0]).toMatchObject({ field: 'type', message: expect.stringMatching(/moist curing/) });
    expect((await detail(casts[0]!)).events.map(({ type }) => type).sort()).toEqual([
      'covered',
      'demoulded',
      'poured',
      'wetted',
    ]);
  });

  it('keep a photo with the event that it shows; what is no picture is refused, and no stranger sees it', async () => {
    const { casts } = await pouredPots(agent, now - 50 * HOUR);
    const event = (await detail(casts[0]!)).events[0]!.id;
    const shown = () => agent.post(`/api/casts/${casts[0]}/pictures?event=${event}`);
    const png = await photoOf();
    const { body } = await shown().attach('picture', png, 'rim.png').expect(201);
    expect(body).toMatchObject({ width: 40, height: 30, eventId: event });
    expect((await detail(casts[0]!)).pictures).toEqual([body]);
    const image = await agent.get(`/api/cast-pictures/${body.id}`).expect(200);
    expect(image.headers['content-type']).toBe('image/webp');
    await shown().attach('picture', Buffer.from('no picture'), 'x.png').expect(422);
    await shown().expect(422);
    await agent.post(`/api/casts/${casts[0]}/pictures?event=${uuid()}`).attach('picture', png, 'rim.png').expect(404);
    await agent.delete(`/api/cast-pictures/${body.id}`).expect(204);
    await agent.get(`/api/cast-pictures/${body.id}`).expect(404);
  });

  it('stand in a workshop of their own: another’s places are not to be found', async () => {
    const other = await newWorkshop(harness, 'Elder Yard');
    const [mine] = await places();
    await other
      .post(`/api/places/${mine!.id}/readings`)
      .send({ readings: [{ at: now, temperature: 3 }] })
      .expect(404);
    await request(harness.app.getHttpServer()).get('/api/places').expect(401);
  });
});
