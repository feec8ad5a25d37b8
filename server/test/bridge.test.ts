import { once } from 'node:events';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { Aedes } from 'aedes';
import mqtt, { type MqttClient } from 'mqtt';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { PlaceAmbient, ScaleReading, StoreView, TintsView } from '@dewpot/contract';
import { BenchScaleService } from '../src/devices/bench-scale.service.js';
import { DeviceMessages } from '../src/bridge/device-messages.service.js';
import { WorkshopContext } from '../src/index.js';
import { configFrom } from '../src/config.js';
import { letIn, newWorkshop, startServer, type Agent, type Harness } from './harness.js';

const MINUTE = 60_000;
let broker: Aedes;
let listening: Server;
let harness: Harness;
let device: MqttClient;
let owner: Agent;
let token: string;
let place: string;
const refused: { topic: string; title: string; detail: string }[] = [];
const sockets = new Set<Socket>();

const tokenOf = async (agent: Agent, role?: string) =>
  ((await agent.post('/api/account/tokens').send({ label: 'Logger', ...(role && { role }) }).expect(201)).body as { token: string }).token; // prettier-ignore
const publish = (topic: string, message: object | string) =>
  device.publishAsync(topic, typeof message === 'string' ? message : JSON.stringify(message), { qos: 1 });
const readings = async (of = place) => {
  const to = Date.now() + MINUTE;
  const { body } = await owner.get(`/api/places/${of}/ambient?from=${to - 120 * MINUTE}&to=${to}`).expect(200);
  return (body as PlaceAmbient).recorded;
};
/** What was refused since it was asked last, once something was. */
const refusal = async () => {
  await vi.waitFor(() => expect(refused).not.toEqual([]), 5_000);
  return refused.splice(0).at(-1)!;
};

beforeAll(async () => {
  broker = await Aedes.createBroker();
  listening = createServer((socket) => {
    sockets.add(socket);
    broker.handle(socket);
  });
  listening.listen(0, '127.0.0.1');
  await once(listening, 'listening');
  const address = `mqtt://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  harness = await startServer({ mqtt: address });
  device = await mqtt.connectAsync(address);
  await device.subscribeAsync('dewpot/refused');
  device.on('message', (_, payload) => refused.push(JSON.parse(payload.toString()) as (typeof refused)[number]));
  await vi.waitFor(() => expect(broker.connectedClients).toBe(2), 5_000);
  owner = await newWorkshop(harness);
  token = await tokenOf(owner);
  const [first] = (await owner.get('/api/places')).body as { id: string }[];
  place = first!.id;
  await owner
    .put(`/api/places/${place}`)
    .send({ name: 'Shed', kind: 'shed', source: 'logger', version: 1 })
    .expect(200);
}, 60_000);
afterAll(async () => {
  await device.endAsync(true);
  await harness.close();
  for (const socket of sockets) socket.destroy();
  await new Promise((closed) => broker.close(() => listening.close(closed)));
});

describe('devices by way of a broker', () => {
  it('a logger: an hour of readings, twice, is kept once', async () => {
    const at = Date.now() - 60 * MINUTE;
    const hour = Array.from({ length: 60 }, (_, i) => ({
      at: at + i * MINUTE,
      temperature: 17 + (i % 7) / 10,
      humidity: 0.6,
    }));
    await publish(`dewpot/places/${place}`, { token, readings: hour });
    await publish(`dewpot/places/${place}`, { token, readings: hour });
    await vi.waitFor(async () => expect(await readings()).toHaveLength(60), 5_000);
    await publish(`dewpot/places/${place}`, { token, readings: [{ at: at - MINUTE, temperature: 17 }] });
    await vi.waitFor(async () => expect(await readings()).toHaveLength(61), 5_000);
    expect(refused).toEqual([]);
  });

  it('a scale shows what it says, and at 1 kHz is heard now and then', async () => {
    const scale = harness.app.get(BenchScaleService);
    const rows = harness.app.get(WorkshopContext);
    const takes = vi.spyOn(scale, 'take');
    for (let i = 0; i < 300; i++) void publish('dewpot/scale', { token, mass: 400 + i, step: 1 });
    const { workshop } = (await owner.get('/api/session')).body as { workshop: { id: string } };
    const shown = () => rows.inWorkshop(workshop.id, () => scale.readingAt(Date.now()));
    await vi.waitFor(async () => expect((await shown()) as ScaleReading).toMatchObject({ step: 1, mass: expect.any(Number) as number }), 5_000); // prettier-ignore
    await new Promise((done) => setTimeout(done, 300));
    expect(takes.mock.calls.length).toBeLessThan(100);
    takes.mockRestore();
  });

  it('a colour reader puts its reading with the chip, over HTTP too, once that is cast', async () => {
    const { materials } = (await owner.get('/api/store')).body as StoreView;
    const binder = materials.find(({ name }) => name === 'Grey Portland cement')!.id;
    const chip = uuid();
    const input = { name: 'Bare', base: { binderId: binder }, doses: [], version: 0 };
    await owner.put(`/api/swatches/${chip}`).send(input).expect(200);
    await publish(`dewpot/swatches/${chip}`, { token, colour: '#a2422f' });
    expect((await refusal()).detail).toMatch(/cast/);
    await owner.put(`/api/swatches/${chip}`).send({ ...input, castAt: Date.now() - 99 * MINUTE, version: 1 }).expect(200);
    await publish(`dewpot/swatches/${chip}`, { token, colour: '#a2422f' });
    const measured = async () => ((await owner.get('/api/tints/all')).body as TintsView).swatches.find(({ id }) => id === chip)?.measured;
    await vi.waitFor(async () => expect(await measured()).toMatchObject({ colour: '#a2422f', by: 'reader' }), 5_000);
    await owner.post(`/api/swatches/${chip}/readings`).send({ colour: '#30405a', at: Date.now() - MINUTE }).expect(204);
    expect(await measured()).toMatchObject({ colour: '#30405a' });
    await owner.post(`/api/swatches/${chip}/readings`).send({ colour: 'red' }).expect(422);
    await owner.post(`/api/swatches/${chip}/readings`).send({ colour: '#30405a', at: Date.now() + 99 * MINUTE }).expect(422);
    await owner.post(`/api/swatches/${uuid()}/readings`).send({ colour: '#30405a' }).expect(404);
  }); // prettier-ignore

  it.each([
    ['no JSON', () => 'hello', /no JSON object/],
    ['a message without a token', () => ({ readings: [] }), /session has ended|Sign in/],
    ['a reading that cannot be', () => ({ token, readings: [{ at: 'now', temperature: 18 }] }), /at/],
    ['more readings than are taken at once', () => ({ token, readings: Array.from({ length: 6000 }, (_, i) => ({ at: i, temperature: 1 })) }), /readings/],
  ])('%s is refused, and told by its topic', async (_, message, says) => {
    await publish(`dewpot/places/${place}`, message());
    const told = await refusal();
    expect(told.topic).toBe(`dewpot/places/${place}`);
    expect(`${told.title} ${told.detail}`).toMatch(says);
  }); // prettier-ignore

  it('a place of another workshop, a key that is none and a place that takes no readings are refused', async () => {
    const other = await newWorkshop(harness, 'Elsewhere');
    await publish(`dewpot/places/${place}`, {
      token: await tokenOf(other),
      readings: [{ at: Date.now(), temperature: 18 }],
    });
    expect((await refusal()).detail).toMatch(/place/);
    await publish('dewpot/places/shed', { token, readings: [{ at: Date.now(), temperature: 18 }] });
    expect((await refusal()).detail).toMatch(/place/);
    await expect(harness.app.get(DeviceMessages).take('dewpot/kiln', '{}', 0)).rejects.toMatchObject({ status: 404 });
  });

  it('a token that may do less, or was revoked, sends nothing any more', async () => {
    const before = (await readings()).length;
    const helper = await letIn(harness, owner, { role: 'helper' });
    const lesser = await tokenOf(helper);
    await publish(`dewpot/places/${place}`, {
      token: lesser,
      readings: [{ at: Date.now() - 5 * MINUTE, temperature: 18 }],
    });
    expect((await refusal()).title).toBe('Not allowed');
    const own = (await helper.get('/api/account/sessions').expect(200)).body as { id: string; kind: string }[];
    await helper.delete(`/api/account/sessions/${own.find(({ kind }) => kind === 'script')!.id}`).expect(204);
    await publish('dewpot/scale', { token: lesser, mass: 1 });
    expect((await refusal()).title).toBe('Sign in first');
    expect(await readings()).toHaveLength(before);
  });
});

it('the address of a broker is checked as the server starts', () => {
  const env = { DATABASE_URL: 'postgres://localhost/x' };
  expect(configFrom({ ...env, DEWPOT_MQTT: 'mqtts://broker.example' }).mqtt).toBe('mqtts://broker.example');
  expect(configFrom(env).mqtt).toBeUndefined();
  expect(() => configFrom({ ...env, DEWPOT_MQTT: 'http://broker' })).toThrow('DEWPOT_MQTT is no address of a broker');
});
