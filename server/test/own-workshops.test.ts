import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import type { NewInvitation, OwnWorkshopView, Role, SessionView } from '@dewpot/contract';
import { letIn, me, newAddress, newWorkshop, PASSPHRASE, potInput, signedIn, startServer, visitor, wideRates, type Agent, type Harness } from './harness.js'; // prettier-ignore

let harness: Harness;
beforeAll(async () => {
  harness = await startServer({ rates: wideRates });
});
afterAll(() => harness.close());

const here = async (agent: Agent) => ((await agent.get('/api/session').expect(200)).body as SessionView).workshop;
const workshops = async (agent: Agent) =>
  (await agent.get('/api/session/workshops').expect(200)).body as OwnWorkshopView[];
const invitation = async (owner: Agent, role: Role = 'helper') =>
  ((await owner.post('/api/invitations').send({ role, days: 7 }).expect(201)).body as NewInvitation).token;
const join = (agent: Agent, token: string) => agent.post('/api/session/join').send({ token });

/** Somebody who owns a shed and helps in a club. */
async function inTwo() {
  const email = newAddress();
  const agent = await newWorkshop(harness, 'Shed', email);
  const club = await newWorkshop(harness, 'Club');
  const shed = await here(agent);
  await join(agent, await invitation(club)).expect(204);
  return { agent, email, club, shed };
}

describe('one account', () => {
  it('is in several workshops, by a role in each; it goes from one to another, and sees of each its own', async () => {
    const { agent, shed, club } = await inTwo();
    expect(await workshops(agent)).toEqual([
      { id: shed.id, name: 'Shed', role: 'owner', current: false },
      { id: (await here(club)).id, name: 'Club', role: 'helper', current: true },
    ]);
    await agent.put(`/api/moulds/${uuid()}`).send(potInput()).expect(403);
    await agent.put('/api/session/workshop').send({ workshopId: shed.id }).expect(204);
    await agent.put(`/api/moulds/${uuid()}`).send(potInput()).expect(200);
    expect((await club.get('/api/moulds/all').expect(200)).body).toEqual([]);
    expect((await club.get('/api/people').expect(200)).body).toHaveLength(2);
  });

  it('has one session in a browser: the one of the workshop that was left is over', async () => {
    const { agent, shed } = await inTwo();
    const [cookie] = (await agent.put('/api/session/workshop').send({ workshopId: shed.id }).expect(204)).get('Set-Cookie')!; // prettier-ignore
    const former = cookie!.split(';')[0]!;
    await agent.post('/api/session/workshops').send({ workshop: 'Kiln Room' }).expect(204);
    await visitor(harness).get('/api/session').set('Cookie', former).expect(401);
    expect(await here(agent)).toMatchObject({ name: 'Kiln Room', demo: false });
    expect(await workshops(agent)).toHaveLength(3);
    expect((await agent.get('/api/store').expect(200)).body.materials.length).toBeGreaterThan(10);
  });

  it('begins no more than fifty', async () => {
    const agent = await newWorkshop(harness, 'Shed');
    for (let i = 1; i < 50; i++)
      await agent
        .post('/api/session/workshops')
        .send({ workshop: `Shed ${i}` })
        .expect(204);
    const { body } = await agent.post('/api/session/workshops').send({ workshop: 'One more' }).expect(409);
    expect(body.detail).toContain('Leave one first');
  });

  it('signs in where it was at work last', async () => {
    const { email, shed } = await inTwo();
    expect((await here(await signedIn(harness, email))).name).toBe('Club');
    const agent = await signedIn(harness, email);
    await agent.put('/api/session/workshop').send({ workshopId: shed.id }).expect(204);
    expect((await here(await signedIn(harness, email))).name).toBe('Shed');
  });

  it('goes to no workshop that it is not in, and by a script’s token to none', async () => {
    const { agent, shed } = await inTwo();
    const stranger = await newWorkshop(harness, 'Elsewhere');
    const { detail } = (await stranger.put('/api/session/workshop').send({ workshopId: shed.id }).expect(404)).body as { detail: string }; // prettier-ignore
    expect(detail).toContain('no such workshop');
    await stranger.put('/api/session/workshop').send({ workshopId: 'shed' }).expect(422);
    await stranger.post('/api/session/workshops').send({ workshop: '' }).expect(422);
    const { token } = (await agent.post('/api/account/tokens').send({ label: 'Scale' }).expect(201)).body as { token: string }; // prettier-ignore
    const script = { Authorization: `Bearer ${token}` };
    await visitor(harness).put('/api/session/workshop').set(script).send({ workshopId: shed.id }).expect(403);
  });

  it('is removed from one and stays in the other; it goes with the last, and its address is free', async () => {
    const { agent, email, club, shed } = await inTwo();
    const { id } = await me(agent);
    await club.delete(`/api/people/${id}`).expect(204);
    await agent.get('/api/session').expect(401);
    const again = await signedIn(harness, email);
    expect(await here(again)).toMatchObject({ id: shed.id });
    expect(await workshops(again)).toHaveLength(1);
    await letIn(harness, again, { role: 'owner' });
    await again.delete('/api/people').expect(204);
    await visitor(harness).post('/api/session').send({ email, passphrase: PASSPHRASE }).expect(401);
    expect(await workshops(await newWorkshop(harness, 'Anew', email))).toHaveLength(1);
  });

  it('that leaves two workshops at once leaves nothing behind', async () => {
    for (let round = 0; round < 5; round++) {
      const { agent, email, club, shed } = await inTwo();
      const other = await signedIn(harness, email);
      await other.put('/api/session/workshop').send({ workshopId: shed.id }).expect(204);
      await letIn(harness, other, { role: 'owner' });
      const left = await Promise.all([club.delete(`/api/people/${(await me(agent)).id}`), other.delete('/api/people')]);
      expect(left.map(({ status }) => status)).toEqual([204, 204]);
      expect(await workshops(await newWorkshop(harness, 'Anew', email))).toHaveLength(1);
    }
  });
});

describe('an invitation', () => {
  it('is taken up with the account that one has: signed in, or by its passphrase', async () => {
    const club = await newWorkshop(harness, 'Club');
    const email = newAddress();
    await newWorkshop(harness, 'Shed', email);
    const token = await invitation(club);
    const take = (passphrase: string) =>
      visitor(harness).post('/api/invitations/take').send({ token, name: 'Ada', email, passphrase });
    await take('another long one').expect(409);
    await take(PASSPHRASE).expect(204);
    expect(await workshops(await signedIn(harness, email))).toHaveLength(2);
  });

  it('takes nobody in who is in already, and stays open for others; of one account at once, it takes one', async () => {
    const { agent, club } = await inTwo();
    const token = await invitation(club);
    const { detail } = (await join(agent, token).expect(409)).body as { detail: string };
    expect(detail).toContain('in that workshop already');
    const other = await newWorkshop(harness, 'Third');
    await join(other, token).expect(204);
    await join(await newWorkshop(harness, 'Fourth'), token).expect(409);
    const email = newAddress();
    const [one, two] = [await newWorkshop(harness, 'Fifth', email), await signedIn(harness, email)];
    const joined = await Promise.all([join(one, await invitation(club)), join(two, await invitation(club))]);
    expect(joined.map(({ status }) => status).sort()).toEqual([204, 409]);
    const people = (await club.get('/api/people').expect(200)).body as { email: string }[];
    expect(people.filter((person) => person.email === email)).toHaveLength(1);
  });
});

describe('a passphrase', () => {
  it('that is changed ends the sessions of every workshop, but for the one at hand', async () => {
    const { agent, email, shed } = await inTwo();
    const other = await signedIn(harness, email);
    await other.put('/api/session/workshop').send({ workshopId: shed.id }).expect(204);
    await agent.put('/api/account/passphrase').send({ current: PASSPHRASE, fresh: 'one that is new' }).expect(204);
    await other.get('/api/session').expect(401);
    await agent.get('/api/session').expect(200);
    await signedIn(harness, email, 'one that is new');
  });

  it('is not an owner’s to renew who has it in one workshop of two, before and after they joined the other', async () => {
    const { agent, club } = await inTwo();
    const { body } = await club.post(`/api/people/${(await me(agent)).id}/renewal`).expect(409);
    expect(body.detail).toContain('another workshop too');
    const email = newAddress();
    const helper = await letIn(harness, club, { email });
    const { token } = (await club.post(`/api/people/${(await me(helper)).id}/renewal`).expect(201)).body as NewInvitation; // prettier-ignore
    await join(helper, await invitation(await newWorkshop(harness, 'Third'))).expect(204);
    await visitor(harness).post('/api/invitations/renew').send({ token, passphrase: 'one that is new' }).expect(409);
    await signedIn(harness, email);
  });
});

describe('a recovery code', () => {
  const codesOf = async (agent: Agent) =>
    ((await agent.post('/api/account/recovery').expect(201)).body as { codes: string[] }).codes;
  const recover = (email: string, code: string, passphrase = 'one that is new') =>
    visitor(harness).post('/api/session/recover').send({ email, code, passphrase });
  const left = async (agent: Agent) => ((await agent.get('/api/account/recovery').expect(200)).body as { left: number }).left; // prettier-ignore

  it('lets one choose a new passphrase, once, however it is typed; sessions end everywhere', async () => {
    const { agent, email } = await inTwo();
    expect(await left(agent)).toBe(0);
    const codes = await codesOf(agent);
    expect(new Set(codes).size).toBe(10);
    expect(codes.every((code) => /^([0-9A-HJKMNP-TV-Z]{4}-){3}[0-9A-HJKMNP-TV-Z]{4}$/.test(code))).toBe(true);
    await recover(email, ` ${codes[0]!.toLowerCase().replaceAll('-', ' ').replaceAll('0', 'o')}`).expect(204);
    await agent.get('/api/session').expect(401);
    const again = await signedIn(harness, email, 'one that is new');
    expect(await left(again)).toBe(9);
    const { detail } = (await recover(email, codes[0]!).expect(401)).body as { detail: string };
    expect(detail).toContain('the code was used');
  });

  it('of somebody else, of nobody, and one that newer ones took the place of serve nobody', async () => {
    const email = newAddress();
    const agent = await newWorkshop(harness, 'Shed', email);
    const [old] = await codesOf(agent);
    const [fresh] = await codesOf(agent);
    const [others] = await codesOf(await newWorkshop(harness, 'Elsewhere'));
    for (const code of [old!, others!, '0000-0000-0000-0000']) await recover(email, code).expect(401);
    await recover(newAddress(), fresh!).expect(401);
    await recover(email, 'short').expect(422);
    await recover(email, fresh!, 'short').expect(422);
    await recover(email, fresh!).expect(204);
  });

  it('that is used twice at once serves once', async () => {
    for (let round = 0; round < 5; round++) {
      const email = newAddress();
      const [code] = await codesOf(await newWorkshop(harness, 'Shed', email));
      const used = await Promise.all(['the first of them', 'the second of them'].map((passphrase) => recover(email, code!, passphrase))); // prettier-ignore
      expect(used.map(({ status }) => status).sort()).toEqual([204, 401]);
    }
  });
});
