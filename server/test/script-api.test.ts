import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { mixExamples } from '../src/script-api/mix-examples.js';
import { curingExamples } from '../src/script-api/curing-examples.js';
import { potShape, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());
const ask = (path: string, question: object) =>
  request(harness.app.getHttpServer()).post(`/api/calculate/${path}`).send(question);
const { mix } = mixExamples.water;

it('a cavity: volume with its working', async () => {
  const plug = {
    name: 'The drain plug',
    bottom: 0,
    solid: { kind: 'round-frustum', bottomDiameter: 19, topDiameter: 19, height: 18 },
  };
  const { body } = await ask('moulds/cavity', {
    shape: { ...potShape, inserts: [plug] },
    flexibility: 'rigid',
    piece: 'pot',
  }).expect(200);
  expect(body.volume.value).toBeCloseTo(2014.89, 2);
  expect(body.volume.working.at(-1).value).toBe(body.volume.value);
});

it('a solid of any kind, or what it lacks', async () => {
  const hexagon = { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 };
  expect((await ask('moulds/solid', hexagon).expect(200)).body.volume.value).toBeCloseTo(4949.3, 1);
  const missing = await ask('moulds/solid', { kind: 'cap', rimDiameter: 200 }).expect(422);
  expect(missing.body.errors).toMatchObject([{ field: 'depth', remedy: expect.stringContaining('more than 0 mm') }]);
  await ask('moulds/solid', { kind: 'pyramid' }).expect(422);
});

it('a mix and a sheet', async () => {
  expect((await ask('mixes/mix', mix).expect(200)).body.ratio.value).toBeGreaterThan(0.4);
  const { body } = await ask('pours/sheet', {
    items: [{ shape: potShape, piece: 'pot', count: 3 }],
    mix,
    scoop: 400,
    step: 0.25,
    spare: 0.05,
    bucket: 14000,
    temperature: 18,
  }).expect(200);
  expect(body.batch.lines).toHaveLength(2);
});

it('maturity, evaporation and dry-down', async () => {
  const { body } = await ask('curing/maturity', {
    readings: [{ hour: 0, temperature: 20 }],
    hours: 72,
    binderClass: 'portland',
  }).expect(200);
  expect(body.equivalentAge.value).toBeCloseTo(72, 6);
  expect(body.strengthShare.value).toBeCloseTo(45.8, 1);
  expect(
    (await ask('curing/evaporation', { concrete: 25, ambient: 25, humidity: 0.5, wind: 10 }).expect(200)).body.rate
      .value,
  ).toBeCloseTo(0.424, 3);
  const weighings = [0, 24, 48, 72].map((hour) => ({
    hour: 200 + hour,
    mass: 4000 + 100 * Math.exp(-hour / 60),
    step: 1,
  }));
  expect(
    (await ask('sealing/dry-down', { weighings, dry: 4000, loss: 200, binderClass: 'portland' }).expect(200)).body.opens
      .hour,
  ).toBeGreaterThan(200);
});

it('refuses what it cannot calculate, by field', async () => {
  const { body } = await ask('curing/evaporation', { concrete: 25, ambient: 25, humidity: 50, wind: 10 }).expect(422);
  expect(body.errors[0]).toMatchObject({ field: 'humidity', value: 50 });
  expect(
    (await ask('mixes/mix', { ...mix, lines: [{ material: 'butter', parts: 1 }] }).expect(422)).body.errors[0].field,
  ).toBe('lines.0.material');
  expect((await ask('mixes/mix', { ...mix, secret: 1 }).expect(422)).body.errors[0].field).toBe('secret');
});

it('is told in the OpenAPI document, with the contract’s own limits', async () => {
  const { body } = await request(harness.app.getHttpServer()).get('/api/openapi.json').expect(200);
  expect(body.components.schemas.MixQuestion.properties.grade).toMatchObject({ minimum: 1, maximum: 7 });
  expect(body.components.schemas.CavityQuestion.properties.shape.$ref).toBe('#/components/schemas/MouldShapeInput');
  await request(harness.app.getHttpServer()).get('/api/docs').expect(200);
});

it('the earliest safe demoulding: learned, wary after damage, and refused by field', async () => {
  const { body } = await ask('curing/demould', curingExamples['demould']).expect(200);
  expect(body).toMatchObject({ wary: true, age: { unit: 'h', basis: { kind: 'learned', records: 3 } } });
  expect(body.age.value).toBeGreaterThan(19.5);
  const wrong = { ...curingExamples['demould'], records: [{ age: -3, came: 'clean' }] };
  expect((await ask('curing/demould', wrong).expect(422)).body.errors[0].field).toBe('records.0.age');
});
