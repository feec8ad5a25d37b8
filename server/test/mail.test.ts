import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import { SMTPServer } from 'smtp-server';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { MailView, NewInvitation, Page } from '@dewpot/contract';
import { configFrom } from '../src/config.js';
import { letIn, me, newAddress, newWorkshop, startServer, visitor, wideRates, type Agent, type Harness } from './harness.js'; // prettier-ignore

/** A mail server that keeps what it is given, and refuses while it is told to. */
class StandIn {
  readonly got: { readonly to: string; readonly raw: string }[] = [];
  refusing = false;
  private readonly server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    onRcptTo: (_, __, done) =>
      done(this.refusing ? Object.assign(new Error('Try later'), { responseCode: 451 }) : null),
    onData: (stream, session, done) =>
      void text(stream).then((raw) => {
        this.got.push({ to: session.envelope.rcptTo[0]!.address, raw });
        done();
      }),
  });

  async start(): Promise<string> {
    const listening = this.server.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    return `smtp://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  }

  stop = () => new Promise<void>((done) => this.server.close(done));
}

const mails = async (owner: Agent) => ((await owner.get('/api/mails').expect(200)).body as Page<MailView>).rows;
const invite = async (owner: Agent, email: string) =>
  (await owner.post('/api/invitations').send({ role: 'helper', days: 7, email }).expect(201)).body as NewInvitation;
/** The text of a mail as it stands in its lines. */
const plain = (raw: string) => raw.replace(/=\r?\n/g, '').replace(/=3D/g, '=');

describe('where no mail server is named', () => {
  let harness: Harness;
  let owner: Agent;
  beforeAll(async () => {
    harness = await startServer({ rates: wideRates });
    owner = await newWorkshop(harness);
  });
  afterAll(() => harness.close());

  it('a mail is kept for the owners, with the link that lets in', async () => {
    const { token, mail } = await invite(owner, 'tobias@example.org');
    expect(mail).toBe('kept');
    const [kept] = await mails(owner);
    expect(kept).toMatchObject({ to: 'tobias@example.org', state: 'kept', subject: 'Ada invites you to Quince Yard' });
    expect(kept!.text).toContain(`/invited#${token}`);
    expect((await owner.get('/api/mails?q=tobias').expect(200)).body.count).toBe(1);
    expect((await owner.get('/api/mails?q=nobody').expect(200)).body.count).toBe(0);
  });

  it('none is written where none was asked for, or where the address is none', async () => {
    const before = (await mails(owner)).length;
    const { body } = await owner.post('/api/invitations').send({ role: 'guest', days: 1 }).expect(201);
    expect(body).not.toHaveProperty('mail');
    const wrong = await owner.post('/api/invitations').send({ role: 'guest', days: 1, email: 'a@b\r\nBcc: c@d.example' }).expect(422);
    expect(wrong.body.errors[0].field).toBe('email');
    expect(await mails(owner)).toHaveLength(before);
  }); // prettier-ignore

  it('no helper, no stranger and no token reads them', async () => {
    const helper = await letIn(harness, owner, { role: 'helper' });
    await helper.get('/api/mails').expect(403);
    expect(await mails(await newWorkshop(harness, 'Elsewhere'))).toEqual([]);
    const { body } = await owner.post('/api/account/tokens').send({ label: 'Script' }).expect(201);
    await visitor(harness).get('/api/mails').set('Authorization', `Bearer ${body.token}`).expect(403);
  });
});

describe('where a mail server is named', () => {
  const standIn = new StandIn();
  let harness: Harness;
  let owner: Agent;
  beforeAll(async () => {
    const mail = { server: await standIn.start(), from: 'Dew Pot <pot@example.org>' };
    harness = await startServer({ rates: wideRates, mail });
    owner = await newWorkshop(harness);
  });
  afterAll(async () => {
    await harness.close();
    await standIn.stop();
  });

  it('a new passphrase goes to whom it is for, and what was sent is forgotten here', async () => {
    const email = newAddress();
    const { id } = await me(await letIn(harness, owner, { email, name: 'Tobias' }));
    const { body } = await owner.post(`/api/people/${id}/renewal`).expect(201);
    expect(body.mail).toBe('waiting');
    await expect.poll(() => standIn.got.find(({ to }) => to === email)?.raw, { timeout: 20_000 }).toBeDefined();
    const raw = plain(standIn.got.find(({ to }) => to === email)!.raw);
    expect(raw).toContain('From: Dew Pot <pot@example.org>');
    expect(raw).toContain(`/invited#${body.token}`);
    await expect.poll(async () => (await mails(owner))[0]?.state, { timeout: 20_000 }).toBe('sent');
    expect((await mails(owner))[0]).not.toHaveProperty('text');
  });

  it('what it does not take is tried again, says why, and is sent once', async () => {
    standIn.refusing = true;
    const email = newAddress();
    await invite(owner, email);
    await expect.poll(async () => (await mails(owner))[0], { timeout: 20_000 }).toMatchObject({ state: 'failing', error: expect.stringContaining('Try later') as string });
    standIn.refusing = false;
    await expect.poll(async () => (await mails(owner))[0]?.state, { timeout: 60_000 }).toBe('sent');
    expect(standIn.got.filter(({ to }) => to === email)).toHaveLength(1);
  }); // prettier-ignore
});

it('a mail server is named with whom mails come from, or the start says what is missing', () => {
  const env = {
    DATABASE_URL: 'postgres://here',
    DEWPOT_SMTP: 'smtp://mail.example',
    DEWPOT_MAIL_FROM: 'pot@example.org',
  };
  expect(configFrom(env).mail).toEqual({ server: 'smtp://mail.example', from: 'pot@example.org' });
  expect(configFrom({ ...env, DEWPOT_SMTP: '' }).mail).toBeUndefined();
  expect(() => configFrom({ ...env, DEWPOT_MAIL_FROM: '' })).toThrow('DEWPOT_MAIL_FROM');
  expect(() => configFrom({ ...env, DEWPOT_SMTP: 'mail.example' })).toThrow('smtp://');
});
