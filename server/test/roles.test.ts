import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { mayActAs, type InvitationOffer, type InvitationView, type NewInvitation, type PersonView, type Role } from '@dewpot/contract'; // prettier-ignore
import { WorkshopContext } from '../src/index.js';
import { InvitationEntity } from '../src/accounts/accounts.entities.js';
import { isOpen, letIn, me, newAddress, newWorkshop, PASSPHRASE, potInput, pouredPots, routesOf, startServer, visitor, type Agent, type Harness, type Route } from './harness.js'; // prettier-ignore

let harness: Harness;
const agents = {} as Record<Role, Agent>;
beforeAll(async () => {
  harness = await startServer();
  agents.owner = await newWorkshop(harness);
  for (const role of ['guest', 'helper', 'caster'] as const)
    agents[role] = await letIn(harness, agents.owner, { role });
}, 60_000);
afterAll(() => harness.close());

/** What helpers may change: the tasks of Today, and the bench. */
const helping = [
  'post /api/casts/{id}/events',
  'post /api/casts/{id}/pictures',
  'post /api/pours/{id}/run',
  'post /api/pours/{id}/finish',
  'post /api/scale',
  'post /api/scale/readings',
];
/** What is everybody's own. */
const own = ['/api/account/', '/api/session', '/api/calendar/address', '/api/calculate/'];
const leaving = 'delete /api/people';
/** What owners alone may do. */
const owning = ['put /api/people/{id}', 'delete /api/people/{id}', 'post /api/people/{id}/renewal', 'get /api/invitations', 'get /api/mails', 'post /api/invitations', 'delete /api/invitations/{id}', 'get /api/archive', 'get /api/archive/outline', 'post /api/archive/check', 'post /api/archive/import', 'post /api/workshop/removal', 'delete /api/workshop/removal', 'get /api/webhooks', 'post /api/webhooks', 'post /api/webhooks/{id}/try', 'delete /api/webhooks/{id}']; // prettier-ignore

/** Who may use a route at the least, said here anew: a route that is added is refused to guests and helpers until it stands above. */
function leastFor({ method, path }: Route): Role {
  const route = `${method} ${path}`;
  if (owning.includes(route)) return 'owner';
  if (helping.includes(route)) return 'helper';
  if (method === 'get' || route === leaving || own.some((one) => path.startsWith(one))) return 'guest';
  return 'caster';
}

describe('every route', () => {
  it.each(['guest', 'helper', 'caster'] as const)('is refused to a %s for whom it is not, before anything else is looked at', async (role) => {
    const closed = (await routesOf(harness)).filter((route) => !isOpen(route) && !mayActAs(role, leastFor(route)));
    expect(closed.length).toBeGreaterThan(role === 'caster' ? 4 : 40);
    for (const { method, path } of closed) {
      const { status, body } = await agents[role][method](path.replace(/\{[^}]+\}/g, uuid())).send(method === 'get' ? undefined : {});
      expect(status, `${role}: ${method} ${path}`).toBe(403);
      expect((body as { detail: string }).detail).toMatch(/Ask an owner/);
    }
  }, 60_000); // prettier-ignore

  it('is not refused to whom it is for', async () => {
    const changing = (await routesOf(harness)).filter(({ method, path }) => method !== 'get' && path.includes('{') && !path.includes('calculate'));
    for (const route of changing) {
      const { method, path } = route;
      const { status } = await agents[leastFor(route)][method](path.replace(/\{[^}]+\}/g, uuid())).send({});
      expect(status, `${method} ${path}`).not.toBe(403);
    }
    for (const path of ['/api/moulds', '/api/casts', '/api/pours', '/api/people', '/api/store']) await agents.guest.get(path).expect(200);
  }, 60_000); // prettier-ignore
});

describe('a role', () => {
  it('lets a helper weigh, and nothing more; it changes at once, for a script’s token too', async () => {
    const { casts } = await pouredPots(agents.owner, Date.now() - 30 * 3_600_000);
    const helper = await letIn(harness, agents.owner, { role: 'helper' });
    const { token } = (await helper.post('/api/account/tokens').send({ label: 'Shed scale' }).expect(201)).body as { token: string }; // prettier-ignore
    const event = () => ({ id: uuid(), at: Date.now(), type: 'broken' });
    await helper.post(`/api/casts/${casts[0]}/events`).send(event()).expect(200);
    await helper.put(`/api/moulds/${uuid()}`).send(potInput()).expect(403);
    const { id } = await me(helper);
    await agents.owner.put(`/api/people/${id}`).send({ role: 'guest' }).expect(200);
    await helper.post(`/api/casts/${casts[1]}/events`).send(event()).expect(403);
    await visitor(harness).post(`/api/casts/${casts[1]}/events`).set('Authorization', `Bearer ${token}`).send(event()).expect(403); // prettier-ignore
    await agents.owner.put(`/api/people/${id}`).send({ role: 'caster' }).expect(200);
    await helper.put(`/api/moulds/${uuid()}`).send(potInput()).expect(200);
    await agents.owner.put(`/api/people/${id}`).send({ role: 'king' }).expect(422);
  });

  it('of an owner is kept by one at least: the last neither leaves nor is made less', async () => {
    const owner = await newWorkshop(harness);
    const { id } = await me(owner);
    await owner.delete('/api/people').expect(409);
    await owner.delete(`/api/people/${id}`).expect(409);
    const { body } = await owner.put(`/api/people/${id}`).send({ role: 'guest' }).expect(409);
    expect(body.detail).toContain('Make somebody else an owner first');
    const second = await letIn(harness, owner, { role: 'owner' });
    const [one, other] = await Promise.all([owner.delete('/api/people'), second.delete('/api/people')]);
    expect([one.status, other.status].sort()).toEqual([204, 409]);
    const left = one.status === 204 ? second : owner;
    expect(((await left.get('/api/people').expect(200)).body as PersonView[]).map(({ role }) => role)).toEqual(['owner']); // prettier-ignore
    await (left === owner ? second : owner).get('/api/session').expect(401);
  });
});

describe('an invitation', () => {
  const invite = async (owner = agents.owner, role: Role = 'helper') =>
    (await owner.post('/api/invitations').send({ role, days: 7 }).expect(201)).body as NewInvitation;
  const offer = (token: string) => visitor(harness).post('/api/invitations/offer').send({ token });
  const take = (token: string, email = newAddress()) => visitor(harness).post('/api/invitations/take').send({ token, name: 'Tobias', email, passphrase: PASSPHRASE }); // prettier-ignore

  it('says what it offers, serves once, and lets in with its role', async () => {
    const { token, id, expiresAt } = await invite();
    expect(expiresAt).toBeGreaterThan(Date.now() + 6 * 86_400_000);
    const open = ((await agents.owner.get('/api/invitations')).body as InvitationView[]).find((one) => one.id === id);
    expect(open).toEqual({ id, role: 'helper', invitedBy: 'Ada', expiresAt });
    expect((await offer(token).expect(200)).body).toEqual({ workshop: 'Quince Yard', invitedBy: 'Ada', role: 'helper', state: 'open' } satisfies InvitationOffer); // prettier-ignore
    const tobias = visitor(harness);
    await tobias.post('/api/invitations/take').send({ token, name: 'Tobias', email: newAddress(), passphrase: PASSPHRASE }).expect(204); // prettier-ignore
    expect((await me(tobias)).role).toBe('helper');
    const { body } = await take(token).expect(409);
    expect(body.detail).toContain('taken up already');
    expect((await offer(token).expect(200)).body.state).toBe('used');
    expect((await agents.owner.get('/api/invitations')).body).not.toContainEqual(expect.objectContaining({ id }));
  });

  it('that is over, taken back, or was never made serves nobody', async () => {
    const { token, id } = await invite();
    const { workshop } = (await agents.owner.get('/api/session')).body as { workshop: { id: string } };
    const rows = harness.app.get(WorkshopContext);
    await rows.inWorkshop(workshop.id, () => rows.of(InvitationEntity).update({ id }, { expiresAt: new Date(Date.now() - 1) })); // prettier-ignore
    expect((await offer(token).expect(200)).body.state).toBe('over');
    expect((await take(token).expect(409)).body.detail).toContain('It is over');
    const back = await invite();
    await agents.owner.delete(`/api/invitations/${back.id}`).expect(204);
    await agents.owner.delete(`/api/invitations/${back.id}`).expect(404);
    await offer(back.token).expect(404);
    await take(back.token).expect(404);
    await take('x'.repeat(43)).expect(404);
    await take('short').expect(422);
  });

  it('keeps open for somebody else when the address is somebody’s already', async () => {
    const { token } = await invite();
    const email = newAddress();
    await letIn(harness, agents.owner, { email, passphrase: 'known to them alone' });
    const { body } = await take(token, ` ${email.toUpperCase()}`.trim()).expect(409);
    expect(body.errors[0]).toMatchObject({ field: 'email' });
    expect(body.errors[0].remedy).toContain('passphrase of that account');
    await take(token).expect(204);
  });

  it('of another workshop is out of sight', async () => {
    const { id } = await invite();
    const stranger = await newWorkshop(harness, 'Elsewhere');
    expect((await stranger.get('/api/invitations').expect(200)).body).toEqual([]);
    await stranger.delete(`/api/invitations/${id}`).expect(404);
  });

  it('is one of fifty at the most', async () => {
    const owner = await newWorkshop(harness, 'Full House');
    for (let i = 0; i < 50; i++) await invite(owner);
    const { body } = await owner.post('/api/invitations').send({ role: 'guest', days: 1 }).expect(409);
    expect(body.detail).toContain('Take one back first');
  });
});

describe('a lost passphrase', () => {
  it('is renewed by an owner’s link, once, within a day; the old one and its sessions are over', async () => {
    const email = newAddress();
    const tobias = await letIn(harness, agents.owner, { email, role: 'helper' });
    const { id } = await me(tobias);
    const link = async () => ((await agents.owner.post(`/api/people/${id}/renewal`).expect(201)).body as NewInvitation).token; // prettier-ignore
    const renew = (agent: Agent, token: string) => agent.post('/api/invitations/renew').send({ token, passphrase: 'one that is new' }); // prettier-ignore
    const [first, token] = [await link(), await link()];
    await renew(visitor(harness), first).expect(404);
    const { body } = await visitor(harness).post('/api/invitations/offer').send({ token }).expect(200);
    expect(body).toMatchObject({ person: 'Tobias', role: 'helper', state: 'open' });
    // It lets nobody new in, and an invitation renews nobody's passphrase.
    await visitor(harness).post('/api/invitations/take').send({ token, name: 'Eve', email: newAddress(), passphrase: PASSPHRASE }).expect(404); // prettier-ignore
    const { body: invitation } = await agents.owner.post('/api/invitations').send({ role: 'guest', days: 1 }).expect(201); // prettier-ignore
    await renew(visitor(harness), (invitation as NewInvitation).token).expect(404);
    const again = visitor(harness);
    await renew(again, token).expect(204);
    expect((await me(again)).id).toBe(id);
    await tobias.get('/api/session').expect(401);
    await renew(visitor(harness), token).expect(409);
    await visitor(harness).post('/api/session').send({ email, passphrase: PASSPHRASE }).expect(401);
    await visitor(harness).post('/api/session').send({ email, passphrase: 'one that is new' }).expect(204);
    await agents.owner.post(`/api/people/${uuid()}/renewal`).expect(404);
  });
});

describe('the people of a workshop', () => {
  it('are removed by the owner alone, and their sessions end at once', async () => {
    const owner = await newWorkshop(harness);
    const [email, passphrase] = [newAddress(), 'another long one'];
    const other = await letIn(harness, owner, { email, passphrase });
    const { id } = await me(other);
    await other.delete(`/api/people/${(await me(owner)).id}`).expect(403);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    await stranger.delete(`/api/people/${id}`).expect(404);
    await owner.delete(`/api/people/${id}`).expect(204);
    await other.get('/api/session').expect(401);
    await visitor(harness).post('/api/session').send({ email, passphrase }).expect(401);
    expect(((await owner.get('/api/people')).body as PersonView[]).map(({ role }) => role)).toEqual(['owner']);
  });
});
