import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import type { AuditEntryView, Page } from '@dewpot/contract';
import { deedOf } from '../src/audit/audit-trail.js';
import { letIn, me, newWorkshop, potInput, pouredPots, routesOf, startServer, type Agent, type Harness } from './harness.js'; // prettier-ignore

let harness: Harness;
let owner: Agent;
beforeAll(async () => {
  harness = await startServer();
  owner = await newWorkshop(harness);
});
afterAll(() => harness.close());

const entries = async (agent: Agent, query = '') =>
  (await agent.get(`/api/audit?${query}`).expect(200)).body as Page<AuditEntryView>;

describe('who did what', () => {
  it('is kept of every route that changes something, but the scale and signing out', async () => {
    const nameless = (await routesOf(harness))
      .filter(({ method, path }) => method !== 'get' && !path.includes('/calculate/'))
      .map(({ method, path }) => ({
        method,
        path,
        did: deedOf(method.toUpperCase(), path.replace(/\{(\w+)\}/g, ':$1')),
      })) // prettier-ignore
      .filter(({ did }) => did === undefined);
    const paths = [...new Set(nameless.map(({ path }) => path))].sort();
    const waysIn = [
      '',
      '/demo',
      '/join',
      '/passkey',
      '/passkey/offer',
      '/passkey/options',
      '/recover',
      '/workshop',
      '/workshops',
    ].map((way) => `/api/session${way}`);
    expect(paths).toEqual(['/api/archive/check', '/api/scale', '/api/scale/readings', ...waysIn, '/api/workshops']);
    expect(deedOf('GET', '/api/pours/:id/run')).toBeUndefined();
  });

  it('names the thing, also once it is gone, and the person, also once they left', async () => {
    const tobias = await letIn(harness, owner);
    const mould = uuid();
    await tobias.put(`/api/moulds/${mould}`).send(potInput()).expect(200);
    await tobias.delete(`/api/moulds/${mould}`).expect(204);
    const { id } = await me(tobias);
    await owner.delete(`/api/people/${id}`).expect(204);
    const { rows } = await entries(owner, `record=${mould}`);
    expect(rows.map(({ person, thing, deed, record }) => [person, thing, deed, record])).toEqual([
      ['Tobias', 'moulds', 'removed', 'Nested pot'],
      ['Tobias', 'moulds', 'changed', 'Nested pot'],
    ]);
    expect((await entries(owner, `person=${id}`)).count).toBe(2);
    // What is not there any more is removed by nobody.
    await owner.delete(`/api/moulds/${mould}`).expect(204);
    expect((await entries(owner, `record=${mould}`)).count).toBe(2);
  });

  it('is kept with a pour and its casts, found by words and by kind, page by page', async () => {
    const { casts, pour } = await pouredPots(owner, Date.now() - 30 * 3_600_000);
    const event = { id: uuid(), at: Date.now(), type: 'broken' };
    await owner.post(`/api/casts/${casts[0]}/events`).send(event).expect(200);
    expect((await entries(owner, `record=${casts[0]}`)).rows[0]).toMatchObject({ thing: 'casts', deed: 'events', event: 'broken', record: expect.stringMatching(/a$/) }); // prettier-ignore
    expect((await entries(owner, `record=${pour}`)).rows.map(({ deed }) => deed)).toEqual(['finish', 'start', 'changed']); // prettier-ignore
    const mixes = await entries(owner, 'thing=mixes&q=garden');
    expect(mixes.rows).toMatchObject([{ person: 'Ada', record: 'Garden grey' }]);
    const first = await entries(owner, 'size=2');
    const next = await entries(owner, `size=2&after=${first.after}`);
    expect(next.rows[0]!.at).toBeLessThanOrEqual(first.rows[1]!.at);
    expect(next.rows.map(({ id }) => id)).not.toContain(first.rows[1]!.id);
  });

  it('keeps nothing of what was refused, and shows a stranger and a guest none of it', async () => {
    const before = (await entries(owner)).count;
    await owner.put(`/api/moulds/${uuid()}`).send({}).expect(422);
    await owner.put(`/api/people/${uuid()}`).send({ role: 'guest' }).expect(404);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    expect((await entries(stranger)).rows.every(({ thing }) => thing === 'scoops')).toBe(true);
    const guest = await letIn(harness, owner, { role: 'guest' });
    await guest.get('/api/audit').expect(403);
    // The invitation alone is new.
    expect((await entries(owner)).count).toBe(before + 1);
  });
});
