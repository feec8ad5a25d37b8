import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import type { OwnSessionView, ScriptToken } from '@dewpot/contract';
import { SessionEntity } from '../src/accounts/accounts.entities.js';
import { Sessions } from '../src/accounts/sessions.js';
import { SignInTries } from '../src/accounts/sign-in-tries.js';
import { WorkshopContext } from '../src/index.js';
import {
  newAddress,
  newWorkshop,
  PASSPHRASE,
  signedIn,
  startServer,
  visitor,
  type Agent,
  type Harness,
  wideRates,
} from './harness.js';

let harness: Harness;
let far: Harness;
beforeAll(async () => {
  harness = await startServer({ rates: wideRates });
  const { ownerUrl } = harness.config;
  far = await startServer({
    rates: wideRates,
    ownerUrl,
    loopback: false,
    hostNames: ['yard.example'],
    registrationCode: 'ab12c-9f',
  });
});
afterAll(async () => {
  await far.close();
  await harness.close();
});

const sessionsOf = async (agent: Agent) =>
  (await agent.get('/api/account/sessions').expect(200)).body as OwnSessionView[];

/** Makes all sessions as if they had last been renewed so long ago. */
async function aged(agent: Agent, interval: string): Promise<void> {
  const { workshop } = (await agent.get('/api/session').expect(200)).body as { workshop: { id: string } };
  const rows = harness.app.get(WorkshopContext);
  await rows.inWorkshop(workshop.id, () =>
    rows.manager.query(
      `update sessions set renewed_at = renewed_at - $1::interval, expires_at = expires_at - $1::interval`,
      [interval],
    ),
  );
}

describe('registration', () => {
  it('answers alike whether an address is taken or not, and changes nothing for who has it', async () => {
    const email = newAddress();
    const owner = await newWorkshop(harness, 'The first', email);
    const again = { workshop: 'The second', name: 'Eve', email, passphrase: 'quite another one' };
    const taken = await visitor(harness).post('/api/workshops').send(again).expect(204);
    const fresh = await visitor(harness)
      .post('/api/workshops')
      .send({ ...again, email: newAddress() })
      .expect(204);
    expect(taken.headers['set-cookie']).toBeUndefined();
    expect(fresh.headers['set-cookie']).toBeUndefined();
    expect(Object.keys(taken.headers).sort()).toEqual(Object.keys(fresh.headers).sort());
    await visitor(harness).post('/api/session').send({ email, passphrase: again.passphrase }).expect(401);
    expect((await owner.get('/api/session')).body.workshop.name).toBe('The first');
  });

  it('fifty at once all go through, each on one connection', async () => {
    const statuses = await Promise.all(
      Array.from({ length: 50 }, async () => {
        const given = { workshop: 'Busy', name: 'Ada', email: newAddress(), passphrase: PASSPHRASE };
        return (await visitor(harness).post('/api/workshops').send(given)).status;
      }),
    );
    // What is more than can be done at once is told so; none hangs and none fails.
    expect(statuses.filter((status) => ![204, 429, 503].includes(status))).toEqual([]);
    expect(statuses.filter((status) => status === 204).length).toBeGreaterThan(10);
    await visitor(harness).get('/api/health').expect(200);
  });

  it('takes the code that the start printed, where others can reach the server', async () => {
    const given = { workshop: 'Far', name: 'Ada', email: newAddress(), passphrase: PASSPHRASE };
    expect((await visitor(far).get('/api/door')).body).toEqual({ demo: false, code: true });
    const { body } = await visitor(far)
      .post('/api/workshops')
      .send({ ...given, code: 'ab12c-9e' })
      .expect(422);
    expect(body.errors[0].field).toBe('code');
    await visitor(far).post('/api/workshops').send(given).expect(422);
    await visitor(far)
      .post('/api/workshops')
      .send({ ...given, code: 'ab12c-9f' })
      .expect(204);
  });
});

describe('signing in', () => {
  it('waits longer with each wrong try on an account, whatever is right elsewhere or on the account itself', async () => {
    const tries = harness.app.get(SignInTries);
    const one = { email: newAddress(), address: '192.0.2.1' };
    for (let i = 0; i < 6; i++) await tries.begin(one);
    const waits: number[] = [];
    const wait = async (address: string) => {
      const refused = await tries.begin({ ...one, address }).catch((error: { retryAfter: number }) => error);
      waits.push((refused as { retryAfter: number }).retryAfter);
    };
    await wait('192.0.2.1');
    await tries.begin({ email: newAddress(), address: '192.0.2.1' });
    await tries.right({ email: newAddress(), address: '192.0.2.1' });
    await wait('198.51.100.7');
    expect(waits.every((seconds) => seconds >= 1)).toBe(true);
  });

  it('lets tries that come at once and are free through, however they wait for each other', async () => {
    const tries = harness.app.get(SignInTries);
    for (let round = 0; round < 60; round++) {
      const one = { email: newAddress(), address: '192.0.2.77' };
      await Promise.all([tries.begin(one), tries.begin(one), tries.begin({ ...one, email: newAddress() })]);
    }
  });

  it('counts tries that come at once one by one', async () => {
    const tries = harness.app.get(SignInTries);
    const one = { email: newAddress(), address: '192.0.2.9' };
    const all = await Promise.allSettled(Array.from({ length: 20 }, () => tries.begin(one)));
    expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(6);
  });
});

describe('a session', () => {
  it('is renewed after a day: the old token holds for what is under way, and the new one from then on', async () => {
    const agent = await newWorkshop(harness);
    await aged(agent, '25 hours');
    const answers = await Promise.all([
      agent.get('/api/people'),
      agent.get('/api/moulds/all'),
      agent.get('/api/mixes/all'),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(answers.filter(({ headers }) => headers['set-cookie'])).toHaveLength(1);
    await agent.get('/api/people').expect(200);
    const old = answers[0]!.request as unknown as { cookies: string };
    await aged(agent, '2 minutes');
    await request(harness.app.getHttpServer()).get('/api/people').set('Cookie', old.cookies).expect(401);
  });

  it('ends after thirty days without use', async () => {
    const agent = await newWorkshop(harness);
    await aged(agent, '31 days');
    await agent.get('/api/session').expect(401);
  });

  it('is listed with the others, and ended from another one', async () => {
    const email = newAddress();
    const here = await newWorkshop(harness, 'Quince Yard', email);
    const there = await signedIn(harness, email);
    const listed = await sessionsOf(here);
    expect(listed.map(({ current }) => current).sort()).toEqual([false, true]);
    await here.delete(`/api/account/sessions/${listed.find(({ current }) => !current)!.id}`).expect(204);
    await there.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
  });

  it('of others ends with a new passphrase, which takes the old one', async () => {
    const email = newAddress();
    const here = await newWorkshop(harness, 'Quince Yard', email);
    const there = await signedIn(harness, email);
    const fresh = 'a passphrase of today';
    const { body } = await here.put('/api/account/passphrase').send({ current: 'a guess', fresh }).expect(422);
    expect(body.errors[0].field).toBe('current');
    await here.put('/api/account/passphrase').send({ current: PASSPHRASE, fresh }).expect(204);
    await there.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
    await visitor(harness).post('/api/session').send({ email, passphrase: PASSPHRASE }).expect(401);
    await signedIn(harness, email, fresh);
  });

  it('ends its streams with it, on every server', async () => {
    const agent = await newWorkshop(harness);
    const { port } = harness.app.getHttpServer().address() as AddressInfo;
    const { cookies: cookie } = (await agent.get('/api/session')).request as unknown as { cookies: string };
    const ended = new Promise<string>((done) => {
      get({ port, path: '/api/places/stream', headers: { cookie } }, (answer) => {
        answer.once('data', () => void agent.delete('/api/session').then());
        answer.resume().once('end', () => done('ended'));
      });
    });
    expect(await ended).toBe('ended');
  });
});

describe('a script', () => {
  it('comes in by its token, changes things without a browser’s headers, and is ended like a session', async () => {
    const agent = await newWorkshop(harness);
    const { body } = await agent.post('/api/account/tokens').send({ label: 'Shed logger' }).expect(201);
    const script = () => request(harness.app.getHttpServer());
    const bearer = `Bearer ${(body as { token: string }).token}`;
    await script().get('/api/places').set('Authorization', bearer).expect(200);
    await script().post('/api/scale').set('Authorization', bearer).send({ load: 50 }).expect(200);
    await script()
      .get('/api/places')
      .set('Cookie', `dewpot_session=${(body as { token: string }).token}`)
      .expect(401);
    const listed = (await sessionsOf(agent)).find(({ kind }) => kind === 'script')!;
    expect(listed.label).toBe('Shed logger');
    await agent.delete(`/api/account/sessions/${listed.id}`).expect(204);
    await script().get('/api/places').set('Authorization', bearer).expect(401);
  });

  it('may do no more than its token says, makes no token and lets nobody in, and ends by its day however often it is used', async () => {
    const agent = await newWorkshop(harness);
    const make = async (limits: object) =>
      ((await agent.post('/api/account/tokens').send({ label: 'Shed', ...limits }).expect(201)).body as ScriptToken).token;
    const as = (token: string) => ({ Authorization: `Bearer ${token}` });
    const script = () => request(harness.app.getHttpServer());
    const [guest, helper, all] = [await make({ role: 'guest', days: 7 }), await make({ role: 'helper' }), await make({})];
    await script().get('/api/casts').set(as(guest)).expect(200);
    await script().post('/api/scale').set(as(guest)).send({ load: 50 }).expect(403);
    await script().post('/api/scale').set(as(helper)).send({ load: 50 }).expect(200);
    await script().put(`/api/moulds/${uuid()}`).set(as(helper)).send({}).expect(403);
    await script().put(`/api/moulds/${uuid()}`).set(as(all)).send({}).expect(422);
    for (const [method, path] of [['post', 'account/tokens'], ['get', 'account/sessions'], ['post', 'invitations'], ['delete', 'people']] as const)
      expect((await script()[method](`/api/${path}`).set(as(all)).expect(403)).body.detail).toContain('sign in at a browser');
    const listed = (await sessionsOf(agent)).find(({ role }) => role === 'guest')!;
    expect(listed.endsAt! / 86_400_000 - Date.now() / 86_400_000).toBeCloseTo(7, 2);
    const rows = harness.app.get(WorkshopContext);
    const { workshop } = (await agent.get('/api/session')).body as { workshop: { id: string } };
    // A day later it is renewed, and ends no later for it.
    await rows.inWorkshop(workshop.id, () => rows.of(SessionEntity).update({ id: listed.id }, { renewedAt: new Date(Date.now() - 2 * 86_400_000) }));
    await script().get('/api/casts').set(as(guest)).expect(200);
    const ends = await rows.inWorkshop(workshop.id, () => rows.of(SessionEntity).findOneByOrFail({ id: listed.id }));
    expect(ends.expiresAt).toEqual(ends.endsAt);
    await rows.inWorkshop(workshop.id, () => rows.of(SessionEntity).update({ id: listed.id }, { expiresAt: new Date() }));
    await script().get('/api/casts').set(as(guest)).expect(401);
  }); // prettier-ignore

  it('asks its questions with a token where others can reach the server', async () => {
    const question = { length: 400, slope: 1 };
    await visitor(harness).post('/api/calculate/moulds/level').send(question).expect(200);
    await visitor(far).post('/api/calculate/moulds/level').send(question).expect(401);
    const agent = await newWorkshop(harness);
    const { body } = await agent.post('/api/account/tokens').send({ label: 'Sums' }).expect(201);
    const asked = request(far.app.getHttpServer()).post('/api/calculate/moulds/level');
    await asked
      .set('Authorization', `Bearer ${(body as { token: string }).token}`)
      .send(question)
      .expect(200);
  });
});

describe('where a request comes from', () => {
  it('is asked of what changes something, and not of what only reads', async () => {
    const agent = await newWorkshop(harness);
    const { cookies } = (await agent.get('/api/session')).request as unknown as { cookies: string };
    const bare = () => request(harness.app.getHttpServer());
    await bare().post('/api/scale').set('Cookie', cookies).send({ load: 5 }).expect(403);
    await bare()
      .post('/api/scale')
      .set('Cookie', cookies)
      .set('Origin', 'https://elsewhere.example')
      .send({ load: 5 })
      .expect(403);
    await bare()
      .post('/api/scale')
      .set('Cookie', cookies)
      .set('Sec-Fetch-Site', 'cross-site')
      .send({ load: 5 })
      .expect(403);
    const { port } = harness.app.getHttpServer().address() as AddressInfo;
    await bare()
      .post('/api/scale')
      .set('Cookie', cookies)
      .set('Origin', `http://127.0.0.1:${port}`)
      .send({ load: 5 })
      .expect(200);
    await bare().get('/api/scale').set('Cookie', cookies).expect(200);
  });

  it('and the name by which it asks must be one of the server’s', async () => {
    const named = (host: string, of = harness) => request(of.app.getHttpServer()).get('/api/health').set('Host', host);
    await named('localhost:8137').expect(200);
    await named('127.0.0.1').expect(200);
    await named('evil.example').expect(421);
    await named('yard.example').expect(421);
    await named('yard.example:8137', far).expect(200);
  });
});

it('the most sessions of a person are bounded: the one used longest ago gives way', async () => {
  const agent = await newWorkshop(harness);
  const { workshop, person } = (await agent.get('/api/session')).body as {
    workshop: { id: string };
    person: { id: string };
  };
  const opener = { workshopId: workshop.id, personId: person.id };
  for (let i = 0; i < 55; i++) await harness.app.get(Sessions).open(opener, 'script', `script ${i}`);
  const rows = harness.app.get(WorkshopContext);
  const [{ count }] = await rows.inWorkshop(workshop.id, () =>
    rows.manager.query('select count(*)::int as count from sessions'),
  );
  expect(count).toBe(50);
});
