import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuid } from 'uuid';
import { Passphrases } from '../src/accounts/passphrases.js';
import { Sessions } from '../src/accounts/sessions.js';
import { firstSettings, People, WorkshopContext, WorkshopsService } from '../src/index.js';
import { newWorkshop, SIGN_IN_LIMIT, startServer, visitor, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());
const visit = () => visitor(harness);
const person = { workshop: 'Quince Yard', name: 'Ada', email: 'ada@example.org', passphrase: 'a long passphrase' };

it('a passphrase is hashed so that guessing is dear, each one otherwise, and checked', async () => {
  const passphrases = new Passphrases({});
  const [kept, again] = [await passphrases.hash('a long passphrase'), await passphrases.hash('a long passphrase')];
  expect(kept).toMatch(/^\$argon2id\$v=19\$m=65536,p=4,t=3\$/);
  expect(again).not.toBe(kept);
  expect(await passphrases.isRight(kept, 'a long passphrase')).toBe(true);
  expect(await passphrases.isRight(kept, 'another passphrase')).toBe(false);
  expect(await passphrases.isRight(undefined, 'a long passphrase')).toBe(false);
});

describe('the door', () => {
  it('opens by e-mail and passphrase, keeps an httpOnly strict cookie, and closes', async () => {
    await visit().post('/api/workshops').send(person).expect(204);
    const agent = visit();
    const opened = await agent
      .post('/api/session')
      .send({ email: 'Ada@Example.org', passphrase: person.passphrase })
      .expect(204);
    expect(opened.headers['set-cookie']![0]).toMatch(/HttpOnly; SameSite=Strict/);
    const { body } = await agent.get('/api/session').expect(200);
    expect(body).toMatchObject({ person: { name: 'Ada' }, workshop: { name: 'Quince Yard', demo: false } });
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });

  it('stays shut for a wrong passphrase and an unknown address alike', async () => {
    const wrong = await visit()
      .post('/api/session')
      .send({ email: person.email, passphrase: 'not this one' })
      .expect(401);
    const unknown = await visit()
      .post('/api/session')
      .send({ email: 'nobody@example.org', passphrase: 'not this one' })
      .expect(401);
    expect(wrong.body.detail).toBe(unknown.body.detail);
  });

  it('refuses a short passphrase', async () => {
    const short = await visit()
      .post('/api/workshops')
      .send({ ...person, email: 'b@example.org', passphrase: 'short' })
      .expect(422);
    expect(short.body.errors[0]).toMatchObject({ field: 'passphrase' });
  });

  it('keeps only the hash of a passphrase and of a session', async () => {
    const rows = await harness.app
      .get(WorkshopContext)
      .inWorkshop('00000000-0000-7000-8000-000000000000', async () => []);
    expect(rows).toEqual([]);
    const { token, stored } = await storedSession();
    expect(stored).not.toContain(token);
  });

  it('has no demo where there is none, one control where there is, and none off loopback', async () => {
    await visit().post('/api/session/demo').expect(404);
    expect((await visit().get('/api/door')).body).toEqual({ demo: false, code: false });
    await found({ name: 'Ines', email: 'ines@example.org', demo: true });
    expect((await visit().get('/api/door')).body).toEqual({ demo: true, code: false });
    const agent = visit();
    await agent.post('/api/session/demo').expect(204);
    expect((await agent.get('/api/session')).body.workshop).toMatchObject({ name: 'Thornwick Lane', demo: true });
    await visit().post('/api/session').send({ email: 'ines@example.org', passphrase: '' }).expect(422);
    const far = await startServer({ ownerUrl: harness.config.ownerUrl, loopback: false });
    await visitor(far).post('/api/session/demo').expect(403);
    await far.close();
  });

  it('slows down whoever tries too often', async () => {
    const statuses: number[] = [];
    for (let i = 0; i < SIGN_IN_LIMIT + 2; i++)
      statuses.push((await visit().post('/api/session').send({ email: 'x@example.org', passphrase: 'guess' })).status);
    expect(statuses.at(-1)).toBe(429);
  });
});

/** Founds a workshop through the service, as the demo is; answers its keys. */
async function found({
  passphrase,
  demo,
  ...given
}: {
  name: string;
  email: string;
  passphrase?: string;
  demo?: boolean;
}) {
  const workshopId = uuid();
  const people = harness.app.get(People);
  const person = passphrase === undefined ? given : { ...given, ...(await people.hashed({ ...given, passphrase })) };
  const settings = { ...firstSettings, name: 'Thornwick Lane' };
  const personId = await harness.app.get(WorkshopContext).inWorkshop(workshopId, async () => {
    await harness.app.get(WorkshopsService).found(settings, demo);
    return people.join(person, 'owner');
  });
  return { workshopId, personId };
}

async function storedSession() {
  const { workshopId, personId } = await found({ ...person, email: 'hash@example.org' });
  const token = await harness.app.get(Sessions).open({ workshopId, personId }, 'browser', 'a browser');
  const stored = await harness.app
    .get(WorkshopContext)
    .inWorkshop(workshopId, () => harness.app.get(WorkshopContext).manager.query('select * from sessions, people'));
  return { token, stored: JSON.stringify(stored) };
}

describe('the house', () => {
  it('answers for its health, and sends safe headers and a request id', async () => {
    const answer = await visit().get('/api/health').expect(200);
    expect(answer.body).toEqual({ status: 'ok', database: 'ok' });
    expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
    expect(answer.headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(answer.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(answer.headers['x-powered-by']).toBeUndefined();
  });

  it('answers every error in one shape', async () => {
    const missing = await visit().get('/api/nothing').expect(404);
    expect(missing.headers['content-type']).toContain('application/problem+json');
    const broken = await visit()
      .post('/api/session')
      .set('Content-Type', 'application/json')
      .send('{"email":')
      .expect(400);
    expect(broken.body).toMatchObject({ type: 'about:blank', status: 400, errors: [] });
    const large = await visit()
      .post('/api/calculate/mixes/mix')
      .send({ filler: 'x'.repeat(2_000_000) })
      .expect(413);
    expect(large.body.title).toBe('Too large');
  });

  it('saves the workshop’s settings and refuses stale ones', async () => {
    const agent = await newWorkshopAgent();
    const { workshop } = (await agent.get('/api/session')).body as {
      workshop: Record<string, unknown> & { version: number };
    };
    const { id: _, demo: __, ...settings } = workshop;
    const saved = await agent
      .put('/api/workshop')
      .send({ ...settings, units: 'us' })
      .expect(200);
    expect(saved.body.workshop.units).toBe('us');
    await agent
      .put('/api/workshop')
      .send({ ...settings, units: 'metric' })
      .expect(409);
  });
});

async function newWorkshopAgent() {
  return newWorkshop(await freshHarness());
}

let fresh: Harness | undefined;
async function freshHarness(): Promise<Harness> {
  fresh ??= await startServer();
  return fresh;
}
afterAll(() => fresh?.close());
