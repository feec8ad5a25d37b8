import ICAL from 'ical.js';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY, HOUR } from '@dewpot/core/units';
import type { CalendarFacts, CalendarPlanInput, OrderView } from '@dewpot/contract';
import { letIn, newAddress, newWorkshop, pouredPots, startServer, visitor, type Agent, type Harness } from './harness.js'; // prettier-ignore

const now = Date.now();

let harness: Harness;
let agent: Agent;
let keys: Awaited<ReturnType<typeof pouredPots>>;
const email = newAddress();
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness, 'Quince Yard', email);
  keys = await pouredPots(agent, now - 30 * HOUR);
});
afterAll(() => harness.close());

const lineOf = (over: object = {}) => ({ id: uuid(), mouldId: keys.mould, mixId: keys.mix, count: 6, state: 'cured', ...over }); // prettier-ignore
const order = (lines: readonly object[], over: object = {}) => ({ name: 'Fair', lines, version: 0, ...over });
const facts = async () => (await agent.get('/api/calendar/facts').expect(200)).body as CalendarFacts;
const plan = (line: string, over: Partial<CalendarPlanInput> = {}) => ({
  madeAt: now,
  sessions: [{ at: now + DAY, minutes: 80, room: 150, poured: [{ line, count: 3 }] }],
  tasks: [{ task: 'demould', line, count: 3, at: now + 3 * DAY, latest: now + 4 * DAY }],
  outcomes: [{ line, wanted: 6, poured: 3, late: 0, chance: 0.9 }],
  chance: 0.9,
  leastSessions: 1,
  version: 0,
  ...over,
});

describe('an order', () => {
  it('is kept with its lines, changed by its version, closed and removed', async () => {
    const [id, line] = [uuid(), lineOf({ by: now + 40 * DAY, state: 'sealed', sealer: 'acrylic', coats: 2 })];
    const { body: saved } = await agent.put(`/api/orders/${id}`).send(order([line])).expect(200);
    expect(saved).toMatchObject({ id, name: 'Fair', version: 1, lines: [{ ...line, poured: 0, ready: 0 }] });
    await agent.put(`/api/orders/${id}`).send(order([line], { version: 1, name: 'Spring fair' })).expect(200);
    const { body: stale } = await agent.put(`/api/orders/${id}`).send(order([line], { version: 1, name: 'Market' })).expect(409);
    expect(stale.title).toContain('changed');
    expect((await facts()).lines.map(({ id: own }) => own)).toContain(line.id);
    await agent.put(`/api/orders/${id}`).send(order([line], { version: 2, closed: true })).expect(200);
    expect((await facts()).lines.map(({ id: own }) => own)).not.toContain(line.id);
    await agent.delete(`/api/orders/${id}`).expect(204);
    expect(((await agent.get('/api/orders')).body as OrderView[]).map((one) => one.id)).not.toContain(id);
  }); // prettier-ignore

  it('is refused by field where it cannot be', async () => {
    const line = lineOf();
    for (const [given, field] of [
      [order([{ ...line, count: 10_000 }]), 'lines.0.count'],
      [order([{ ...line, count: 0 }]), 'lines.0.count'],
      [order([{ ...line, state: 'baked' }]), 'lines.0.state'],
      [order([]), 'lines'],
      [order([line, line]), 'lines'],
      [order([line], { name: '' }), 'name'],
    ] as const) {
      const { body } = await agent.put(`/api/orders/${uuid()}`).send(given);
      expect(body.errors[0].field).toBe(field);
    }
  });

  it('counts what was poured for it and stands, and no longer what is broken', async () => {
    const [id, line] = [uuid(), lineOf({ count: 4, state: 'demoulded' })];
    await agent.put(`/api/orders/${id}`).send(order([line])).expect(200);
    const pour = uuid();
    const items = [{ mouldId: keys.mould, count: 2, orderLine: line.id }];
    await agent.put(`/api/pours/${pour}`).send({ ...keys.input, items }).expect(200);
    await agent.post(`/api/pours/${pour}/start`).expect(200);
    const casts = [uuid(), uuid()].map((own) => ({ id: own, item: 0 }));
    await agent.post(`/api/pours/${pour}/finish`).send({ ...keys.finish, casts, pouredAt: now - 40 * HOUR }).expect(200);
    const own = async () => ((await agent.get('/api/orders')).body as OrderView[]).find((one) => one.id === id)!.lines[0]!;
    expect(await own()).toMatchObject({ poured: 2, ready: 0 });
    const happened = (cast: string, event: object) => agent.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: now - HOUR, ...event }).expect(200);
    await happened(casts[0]!.id, { type: 'demoulded', damage: [] });
    expect(await own()).toMatchObject({ poured: 2, ready: 1 });
    await happened(casts[1]!.id, { type: 'broken' });
    expect(await own()).toMatchObject({ poured: 1, ready: 1 });
    const open = (await facts()).lines.find((one) => one.id === line.id)!;
    expect(open.poured).toEqual([{ at: now - 40 * HOUR, count: 1, safe: true, ready: 1 }]);
    await agent.delete(`/api/orders/${id}`).expect(204);
  }); // prettier-ignore
});

describe('what the calendar is planned from', () => {
  it('holds the air of each place, its usual months, what stands in the way and what was learned', async () => {
    const found = await facts();
    expect(found.places[0]!.air.months).toHaveLength(12);
    expect(found.places[0]!.air.known.length).toBeGreaterThan(20);
    expect(found.standing.filter(({ mouldId, freeAt }) => mouldId === keys.mould && freeAt! >= now).length).toBe(3);
    expect(found).toMatchObject({ weekKnown: false, weeks: [{ person: 'Ada', version: 0 }] });
  });

  it('holds the weeks that people told of', async () => {
    const week = { attended: [{ weekday: 0, from: 7, to: 22 }], sessions: [{ weekday: 2, from: 19, to: 21 }], away: [{ date: '2026-12-24' }], otherSessions: [] };
    const { body: saved } = await agent.put('/api/calendar/week').send({ ...week, version: 0 }).expect(200);
    expect(saved).toMatchObject({ ...week, version: 1, person: 'Ada' });
    const { body: wrong } = await agent.put('/api/calendar/week').send({ ...week, sessions: [{ weekday: 2, from: 21, to: 19 }], version: 1 });
    expect(wrong.errors[0]).toMatchObject({ field: 'sessions.0.to', message: expect.stringContaining('end before they begin') });
    await agent.put('/api/calendar/week').send({ ...week, away: [{ date: '24 December' }], version: 1 }).expect(422);
    expect(await facts()).toMatchObject({ weekKnown: true, weeks: [{ sessions: [{ weekday: 2 }] }] });
  }); // prettier-ignore
});

describe('room and minutes', () => {
  it('of a place and of sessions are told with what the calendar is planned from', async () => {
    const [place] = (await agent.get('/api/places').expect(200)).body;
    const { id, now: _, lastRead: __, basis: ___, ...kept } = place;
    await agent.put(`/api/places/${id}`).send({ ...kept, room: { length: 3000, depth: 400 } }).expect(200);
    const { body: wrong } = await agent.put(`/api/places/${id}`).send({ ...kept, room: { length: 3000 }, version: 2 });
    expect(wrong.errors[0].field).toBe('room.depth');
    const { workshop } = (await agent.get('/api/session').expect(200)).body;
    const { id: ____, demo: _____, ...settings } = workshop;
    await agent.put('/api/workshop').send({ ...settings, session: { setUp: 10, cleanUp: 15 } }).expect(200);
    const found = await facts();
    expect(found.places[0]!.room).toBe(1_200_000);
    expect(found.setup).toEqual({ setUp: 10, cleanUp: 15 });
  }); // prettier-ignore
});

describe('a plan', () => {
  it('of two people at once is kept once: the other is told', async () => {
    const [id, line] = [uuid(), lineOf()];
    await agent.put(`/api/orders/${id}`).send(order([line])).expect(200);
    const other = await letIn(harness, agent);
    const [a, b] = await Promise.all([
      agent.put('/api/calendar/plan').send(plan(line.id)),
      other.put('/api/calendar/plan').send(plan(line.id, { chance: 0.5 })),
    ]);
    expect([a.status, b.status].sort()).toEqual([200, 409]);
    const { body } = await other.get('/api/calendar/plan').expect(200);
    expect(body.lines.find((one: { id: string }) => one.id === line.id)).toMatchObject({ order: 'Fair', mould: 'Nested pot', mix: 'Garden grey' });
    expect(body.plan.version).toBe(1);
    const { body: stray } = await agent.put('/api/calendar/plan').send(plan(uuid(), { version: 1 })).expect(422);
    expect(stray.errors[0]).toMatchObject({ field: 'sessions', remedy: expect.stringContaining('Plan again') });
  }); // prettier-ignore

  it('stands in the feed as what may still move', async () => {
    const { text } = await agent.get('/api/calendar/round.ics').expect(200);
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    const planned = events.filter((one) => one.getFirstPropertyValue('status') === 'TENTATIVE').map((one) => new ICAL.Event(one)); // prettier-ignore
    expect(planned.map(({ summary }) => summary)).toEqual(['Pour: 3 pieces', 'Demould: 3 × Nested pot']);
    expect(planned[0]!.description).toBe('3 × Nested pot, Garden grey (Fair)');
    expect(planned[0]!.endDate.toJSDate().getTime() - planned[0]!.startDate.toJSDate().getTime()).toBe(80 * 60_000);
  });

  it('is nobody else’s', async () => {
    const stranger = await newWorkshop(harness, 'Pear Yard');
    expect((await stranger.get('/api/calendar/plan').expect(200)).body).toEqual({ lines: [] });
    expect((await stranger.get('/api/orders').expect(200)).body).toEqual([]);
    await visitor(harness).get('/api/calendar/facts').expect(401);
  });
});
