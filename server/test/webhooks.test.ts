import { createServer, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 as uuid } from 'uuid';
import type { WebhookBody, WebhookMade, WebhookView } from '@dewpot/contract';
import { DueWatch } from '../src/webhooks/due-watch.service.js';
import { isPrivate } from '../src/webhooks/private-address.js';
import { signatureOf, WebhookSender } from '../src/webhooks/webhook-sender.js';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

const HOUR = 3_600_000;
const MINUTE = 60_000;
let harness: Harness;
let listener: Server;
let address: string;
let owner: Agent;
let answers = 200;
const heard: { headers: IncomingHttpHeaders; text: string }[] = [];

beforeAll(async () => {
  harness = await startServer();
  listener = createServer((request, response) => {
    void text(request).then((body) => {
      heard.push({ headers: request.headers, text: body });
      response.writeHead(answers, { Location: '/elsewhere' }).end('ok');
    });
  });
  listener.listen(0, '127.0.0.1');
  await once(listener, 'listening');
  address = `http://127.0.0.1:${(listener.address() as AddressInfo).port}/due`;
});
afterAll(async () => {
  await harness.close();
  listener.close();
});
beforeEach(async () => {
  answers = 200;
  heard.length = 0;
  owner = await newWorkshop(harness);
});

const make = async (agent = owner) =>
  (await agent.post('/api/webhooks').send({ label: 'Shed lamp', address }).expect(201)).body as WebhookMade;
const all = async (agent = owner) => (await agent.get('/api/webhooks').expect(200)).body as WebhookView[];
const taken = (count: number) => vi.waitFor(() => expect(heard).toHaveLength(count), 10_000);
const bodyOf = (at: number) => JSON.parse(heard[at]!.text) as WebhookBody & { id: string };

describe('a webhook', () => {
  it('is told of what comes due, once, signed by its secret', async () => {
    const watch = harness.app.get(DueWatch);
    const now = Date.now();
    const early = await pouredPots(owner, now - 60 * HOUR);
    const { id, secret } = await make();
    // What was due before it was made stands on the shelf.
    await watch.look(now);
    const { casts } = await pouredPots(owner, now - 50 * HOUR);
    expect(await watch.look(now + MINUTE)).toBe(1);
    await taken(1);
    const body = bodyOf(0);
    expect(body).toMatchObject({ type: 'due', workshop: { name: 'Quince Yard' }, due: [{ task: 'demould', mould: 'Nested pot' }] }); // prettier-ignore
    expect(body.due[0]!.casts.map((cast) => cast.id).sort()).toEqual([...casts].sort());
    expect(JSON.stringify(body)).not.toContain(early.casts[0]);
    const { headers, text: sent } = heard[0]!;
    expect(headers['dew-pot-signature']).toBe(signatureOf(secret, body.id, Number(headers['dew-pot-time']), sent));
    expect(headers['dew-pot-delivery']).toBe(body.id);
    expect(await watch.look(now + 2 * MINUTE)).toBe(0);
    await vi.waitFor(async () => expect((await all())[0]).toMatchObject({ id, deliveries: [{ type: 'due', casts: 3, tries: 1, deliveredAt: expect.any(Number) as number }] }), 5_000); // prettier-ignore
    expect(JSON.stringify(await all())).not.toContain(secret);
  }, 30_000);

  it('is looked after by one of two servers, and not in a deleted workshop', async () => {
    const watch = harness.app.get(DueWatch);
    const now = Date.now();
    await make();
    await watch.look(now);
    await pouredPots(owner, now - 50 * HOUR);
    const [one, two] = await Promise.all([watch.look(now + MINUTE), watch.look(now + MINUTE)]);
    expect(one + two).toBe(1);
    await taken(1);
    await pouredPots(owner, now - 49 * HOUR);
    await owner.post('/api/workshop/removal').send({ workshop: 'Quince Yard' }).expect(204);
    expect(await watch.look(now + 9 * MINUTE)).toBe(0);
  }, 30_000);

  it('is tried at once, and again later where it is not taken; a redirection is none', async () => {
    const { id } = await make();
    answers = 302;
    await owner.post(`/api/webhooks/${id}/try`).expect(204);
    await taken(1);
    await vi.waitFor(async () => expect((await all())[0]?.deliveries[0]).toMatchObject({ type: 'try', casts: 0, error: 'HTTP 302' }), 5_000); // prettier-ignore
    answers = 204;
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(1), 45_000);
    await vi.waitFor(async () => expect((await all())[0]?.deliveries[0]).toMatchObject({ tries: 2, deliveredAt: expect.any(Number) as number }), 5_000); // prettier-ignore
    expect(new Set(heard.map(({ headers }) => headers['dew-pot-delivery'])).size).toBe(1);
  }, 60_000);

  it('is one of ten at the most, removed with what was sent, and of its workshop alone', async () => {
    const made = [];
    for (let i = 0; i < 10; i++) made.push(await make());
    await owner.post('/api/webhooks').send({ label: 'One more', address }).expect(409);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    expect(await all(stranger)).toEqual([]);
    await stranger.post(`/api/webhooks/${made[0]!.id}/try`).expect(404);
    await stranger.delete(`/api/webhooks/${made[0]!.id}`).expect(404);
    await owner.delete(`/api/webhooks/${made[0]!.id}`).expect(204);
    await owner.delete(`/api/webhooks/${uuid()}`).expect(404);
    expect(await all()).toHaveLength(9);
  });

  it.each(['ftp://example.org/due', 'javascript:alert(1)', 'example', `http://example.org/${'x'.repeat(600)}`])(
    'has an address that can be posted to: %s is none',
    async (wrong) => {
      await owner.post('/api/webhooks').send({ label: 'Lamp', address: wrong }).expect(422);
    },
  );
});

describe('a server that others can reach', () => {
  const sender = new WebhookSender({ ...({} as ConstructorParameters<typeof WebhookSender>[0]), loopback: false });
  it.each([
    'http://127.0.0.1:1/',
    'http://[::1]:1/',
    'http://localhost:1/',
    'http://192.168.1.7/',
    'http://169.254.169.254/',
  ])('sends nothing into the network that it stands in: %s', async (to) => {
    await expect(sender.send({ address: to, secret: 's', id: 'i', body: '{}' }, 0)).rejects.toThrow(/within the network/); // prettier-ignore
  });

  it('knows such addresses in every dress', () => {
    for (const near of ['10.1.2.3', '172.31.0.1', '::1', 'fd00::1', 'fe80::1', '::ffff:192.168.0.1', '0.0.0.0'])
      expect(isPrivate(near), near).toBe(true);
    for (const far of ['203.0.113.7', '172.32.0.1', '2001:db8::1', '::ffff:203.0.113.7'])
      expect(isPrivate(far), far).toBe(false);
  });
});
