import { beforeAll, expect, it } from 'vitest';
import type { OwnSessionView } from '@dewpot/contract';
import { letIn, me, newAddress, signedIn, startServer, visitor, type Agent, wideRates } from './harness.js';
import { both, ROUNDS, rounds, rivals } from './racing.js';

/** Hashing a passphrase takes its time by design, so that these have fewer rounds. */
const FEW = Math.ceil(ROUNDS / 10);

const servers = rivals();
let here: Agent;
let there: Agent;
beforeAll(() => {
  ({ here, there } = servers);
});

const statuses = (answers: readonly { status: number }[]) => answers.map(({ status }) => status).sort();
const sessions = async () => (await here.get('/api/account/sessions').expect(200)).body as OwnSessionView[];

it('tokens made at once are two, and one that is ended from two sides is gone', async () => {
  await rounds(async () => {
    const made = await both(
      here.post('/api/account/tokens').send({ label: 'Shed logger' }),
      there.post('/api/account/tokens').send({ label: 'Loft logger' }),
    );
    expect(statuses(made)).toEqual([201, 201]);
    const scripts = (await sessions()).filter(({ kind }) => kind === 'script');
    expect(scripts.map(({ label }) => label).sort()).toEqual(['Loft logger', 'Shed logger']);
    for (const { id } of scripts) {
      const ended = await both(here.delete(`/api/account/sessions/${id}`), there.delete(`/api/account/sessions/${id}`));
      expect(ended.every(({ status }) => [204, 404].includes(status))).toBe(true);
    }
    expect((await sessions()).every(({ kind }) => kind !== 'script')).toBe(true);
  });
});

it('of two new passphrases at once one opens the door, and the sessions of the other are over', async () => {
  const { body } = await here.get('/api/session').expect(200);
  expect(body.person.role).toBe('owner');
  await rounds(async (round) => {
    const given = { name: 'Tobias', email: newAddress(), passphrase: 'another long one' };
    await letIn(servers.one, here, given);
    const [one, two] = [
      await signedIn(servers.one, given.email, given.passphrase),
      await signedIn(servers.one, given.email, given.passphrase),
    ];
    const fresh = [`one of round ${round} here`, `one of round ${round} there`];
    const changed = await both(
      one.put('/api/account/passphrase').send({ current: given.passphrase, fresh: fresh[0] }),
      two.put('/api/account/passphrase').send({ current: given.passphrase, fresh: fresh[1] }),
    );
    expect(changed.filter(({ status }) => status === 204)).toHaveLength(1);
    const tries = await Promise.all(
      fresh.map((passphrase) => visitor(servers.one).post('/api/session').send({ email: given.email, passphrase })),
    );
    expect(statuses(tries)).toEqual([204, 401]);
    const alive = await both(one.get('/api/session'), two.get('/api/session'));
    expect(statuses(alive)).toEqual([200, 401]);
  }, FEW);
});

it('who signs in from several places at once comes in at each', async () => {
  await rounds(async () => {
    const given = { name: 'Tobias', email: newAddress(), passphrase: 'another long one' };
    await letIn(servers.one, here, given);
    const { name: _, ...door } = given;
    const places = Array.from({ length: 5 }, () => visitor(servers.one).post('/api/session').send(door));
    expect(statuses(await Promise.all(places))).toEqual([204, 204, 204, 204, 204]);
  }, FEW);
});

it('who is removed while signing in stays out', async () => {
  await rounds(async () => {
    const given = { name: 'Tobias', email: newAddress(), passphrase: 'another long one' };
    const { id } = await me(await letIn(servers.one, here, given));
    const door = visitor(servers.one);
    const [opened, ...removed] = await Promise.all([
      door.post('/api/session').send({ email: given.email, passphrase: given.passphrase }),
      here.delete(`/api/people/${id}`),
      there.delete(`/api/people/${id}`),
    ]);
    expect(opened.status < 500).toBe(true);
    expect(statuses(removed)).toEqual([204, 404]);
    await door.get('/api/session').expect(401);
  }, FEW);
});

it('who signs in with the passphrase that is just being changed is out with it', async () => {
  await rounds(async (round) => {
    const given = { name: 'Tobias', email: newAddress(), passphrase: 'another long one' };
    await letIn(servers.one, here, given);
    const owner = await signedIn(servers.one, given.email, given.passphrase);
    const door = visitor(servers.one);
    const [opened, changed] = await both(
      door.post('/api/session').send({ email: given.email, passphrase: given.passphrase }),
      owner.put('/api/account/passphrase').send({ current: given.passphrase, fresh: `one of round ${round}` }),
    );
    expect([204, 401]).toContain(opened.status);
    expect(changed.status).toBe(204);
    await door.get('/api/session').expect(401);
  }, FEW);
});

it('who registers one address twice at once has one workshop', async () => {
  const other = await startServer({ rates: wideRates, ownerUrl: servers.one.config.ownerUrl });
  await rounds(async (round) => {
    const given = { name: 'Ada', email: newAddress(), passphrase: 'a long enough one' };
    const register = (server: typeof other, workshop: string) =>
      visitor(server)
        .post('/api/workshops')
        .send({ ...given, workshop });
    const answers = await both(register(servers.one, `Here ${round}`), register(other, `There ${round}`));
    expect(statuses(answers)).toEqual([204, 204]);
    const agent = await signedIn(other, given.email, given.passphrase);
    expect((await agent.get('/api/people').expect(200)).body).toHaveLength(1);
  }, FEW);
  await other.close();
});
