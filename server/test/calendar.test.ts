import ICAL from 'ical.js';
import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { CastView } from '@dewpot/contract';
import { HOUR } from '@dewpot/core/units';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

const now = Date.now();

let harness: Harness;
let agent: Agent;
let casts: readonly string[];
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness, 'Quince; Yard, “north”');
  ({ casts } = await pouredPots(agent, now - 30 * HOUR));
});
afterAll(() => harness.close());

const outside = () => request(harness.app.getHttpServer());
const address = async () => (await agent.post('/api/calendar/address').expect(200)).body.path as string;

/** Read by a parser that shares no line with what wrote it. */
function parsed(text: string) {
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  const calendar = new ICAL.Component(ICAL.parse(text));
  expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
  return calendar.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component));
}

describe('the calendar', () => {
  it('is read by an independent parser: one entry for like casts, with its window, its place and an alarm', async () => {
    const { text, headers } = await outside()
      .get(await address())
      .expect(200);
    expect(headers['content-type']).toContain('text/calendar');
    const [lift] = parsed(text);
    expect(lift!.summary).toBe('Demould: Nested pot × 3, no place told');
    const due = ((await agent.get('/api/casts/shelf')).body as CastView[])[0]!.dues[0]!;
    expect(Math.abs(lift!.startDate.toJSDate().getTime() - due.good)).toBeLessThanOrEqual(150_000);
    expect(lift!.description).toMatch(/^Good from .* to .*, by the air as it is forecast now\.\n/);
    expect(lift!.component.getFirstSubcomponent('valarm')!.getFirstPropertyValue('action')).toBe('DISPLAY');
  });

  it('keeps the name of an entry as its window moves, and counts up', async () => {
    const path = await address();
    const before = parsed((await outside().get(path)).text)[0]!;
    const until = now + 50 * HOUR;
    for (const id of casts)
      await agent
        .post(`/api/casts/${id}/events`)
        .send({ id: uuid(), type: 'postponed', at: now, task: 'demould', until })
        .expect(200);
    const after = parsed((await outside().get(path)).text)[0]!;
    expect(after.uid).toBe(before.uid);
    expect(after.sequence).toBeGreaterThanOrEqual(before.sequence);
    expect(Math.abs(after.startDate.toJSDate().getTime() - until)).toBeLessThanOrEqual(150_000);
    expect(after.description).toContain('Postponed to');
  });

  it('has a secret address for each person: a new one ends the old, and none is found by guessing', async () => {
    const old = await address();
    expect((await agent.get('/api/calendar').expect(200)).body.madeAt).toBeGreaterThanOrEqual(now);
    const fresh = await address();
    expect(fresh).not.toBe(old);
    await outside().get(old).expect(404);
    await outside().get(fresh).expect(200);
    await agent.delete('/api/calendar/address').expect(204);
    await outside().get(fresh).expect(404);
    await outside().get('/api/calendar/round.ics').expect(401);
  });

  it('comes as a file too, and of another workshop only its own', async () => {
    const { text, headers } = await agent.get('/api/calendar/round.ics').expect(200);
    expect(headers['content-disposition']).toContain('round.ics');
    expect(parsed(text).length).toBeGreaterThan(0);
    const other = await newWorkshop(harness, 'Elder Yard');
    expect(parsed((await other.get('/api/calendar/round.ics').expect(200)).text)).toEqual([]);
  });
});
