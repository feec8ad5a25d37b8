import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DataSource } from 'typeorm';
import type { OwnWorkshopView, SessionView } from '@dewpot/contract';
import { RemovalService } from '../src/accounts/removal.service.js';
import { letIn, newAddress, newWorkshop, PASSPHRASE, pouredPots, startServer, visitor, type Agent, type Harness } from './harness.js'; // prettier-ignore
import { takenFrom } from './zips.js';

const DAY = 86_400_000;
let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const removal = '/api/workshop/removal';
const remove = (agent: Agent, workshop = 'Quince Yard') => agent.post(removal).send({ workshop });
const session = async (agent: Agent) => (await agent.get('/api/session').expect(200)).body as SessionView;

describe('a workshop that is deleted', () => {
  it('is asked for by its name, and by its owners alone', async () => {
    const owner = await newWorkshop(harness);
    const caster = await letIn(harness, owner);
    await remove(caster).expect(403);
    const { body } = await remove(owner, 'Quince').expect(422);
    expect(body.errors[0]).toMatchObject({ field: 'workshop', message: 'The workshop is called “Quince Yard”.' });
    await remove(owner, ' Quince Yard ').expect(204);
    expect((await session(owner)).workshop.goneAt).toBeGreaterThan(Date.now() + 29 * DAY);
  });

  it('is shut to everybody at once, and says until when it can be brought back', async () => {
    const owner = await newWorkshop(harness);
    const { casts } = await pouredPots(owner, Date.now() - 30 * 3_600_000);
    const caster = await letIn(harness, owner);
    const { token } = (await caster.post('/api/account/tokens').send({ label: 'Logger' }).expect(201)).body as { token: string }; // prettier-ignore
    const invitation = (await owner.post('/api/invitations').send({ role: 'guest', days: 7 })).body as {
      token: string;
    };
    await remove(owner).expect(204);
    for (const path of ['/api/casts', '/api/places', '/api/people', '/api/account/sessions']) {
      const { body } = await caster.get(path).expect(410);
      expect(body.detail).toMatch(/bring it back until/);
    }
    await caster.post(`/api/casts/${casts[0]}/events`).send({ id: crypto.randomUUID(), at: Date.now(), type: 'broken' }).expect(410); // prettier-ignore
    await visitor(harness).get('/api/casts').set('Authorization', `Bearer ${token}`).expect(410);
    await visitor(harness).post('/api/invitations/offer').send({ token: invitation.token }).expect(404);
    expect((await takenFrom(owner)).length).toBeGreaterThan(1000);
    await caster.get('/api/archive').expect(403);
    const other = (await caster.get('/api/session/workshops').expect(200)).body as OwnWorkshopView[];
    expect(other).toEqual([expect.objectContaining({ goneAt: expect.any(Number) as number })]);
    await caster.delete(removal).expect(403);
    await owner.delete(removal).expect(204);
    await caster.get('/api/casts').expect(200);
    await visitor(harness).post('/api/invitations/offer').send({ token: invitation.token }).expect(200);
    expect((await session(owner)).workshop).not.toHaveProperty('goneAt');
  });

  it('is gone for good after 30 days, with its accounts that are in no other; a day before nothing goes', async () => {
    const email = newAddress();
    const owner = await newWorkshop(harness, 'Quince Yard', email);
    const { workshop } = await session(owner);
    const [place] = (await owner.get('/api/places')).body as { id: string }[];
    await owner
      .put(`/api/places/${place!.id}`)
      .send({ name: 'Shed', kind: 'shed', source: 'logger', version: 1 })
      .expect(200);
    await owner.post(`/api/places/${place!.id}/readings`).send({ readings: [{ at: Date.now() - 3_600_000, temperature: 18 }] }).expect(200); // prettier-ignore
    const friend = newAddress();
    await letIn(harness, owner, { email: friend });
    const elsewhere = await newWorkshop(harness, 'Elsewhere');
    const { token } = (await elsewhere.post('/api/invitations').send({ role: 'guest', days: 7 })).body as {
      token: string;
    };
    await visitor(harness).post('/api/invitations/take').send({ token, name: 'Tobias', email: friend, passphrase: PASSPHRASE }).expect(204); // prettier-ignore
    await remove(owner).expect(204);
    const removals = harness.app.get(RemovalService);
    await removals.purge(Date.now() + 29 * DAY);
    await owner.get('/api/session').expect(200);
    const [one, two] = await Promise.all([
      removals.purge(Date.now() + 31 * DAY),
      removals.purge(Date.now() + 31 * DAY),
    ]);
    expect(one! + two!).toBeGreaterThan(0);
    await owner.get('/api/session').expect(401);
    await visitor(harness).post('/api/session').send({ email, passphrase: PASSPHRASE }).expect(401);
    await visitor(harness).post('/api/session').send({ email: friend, passphrase: PASSPHRASE }).expect(204);
    const source = harness.app.get(DataSource);
    const left = await source.query<{ count: string }[]>(
      `select count(*) from (select set_config('app.workshop', $1, true)) as at, ambient_readings`,
      [workshop.id],
    );
    expect(Number(left[0]?.count)).toBe(0);
  });

  it('that is brought back while it goes is either here or gone', async () => {
    const owner = await newWorkshop(harness);
    await remove(owner).expect(204);
    const [, back] = await Promise.all([
      harness.app.get(RemovalService).purge(Date.now() + 31 * DAY),
      owner.delete(removal),
    ]);
    const { status } = await owner.get('/api/session');
    expect([
      [204, 200],
      [401, 401],
      [404, 401],
    ]).toContainEqual([back.status, status]);
  });
});
