import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mixExamples } from '../src/script-api/mix-examples.js';
import { configFrom } from '../src/config.js';
import { CalculationPool } from '../src/calculation/calculation-pool.js';
import type { Tasks } from '../src/threads/tasks.js';
import { Slots } from '../src/calculation/slots.js';
import { sealingExamples } from '../src/script-api/sealing-examples.js';
import { tintExamples } from '../src/script-api/tint-examples.js';
import { newWorkshop, potShape, startServer, visitor, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = (path: string, body: object) => visitor(harness).post(`/api/calculate/${path}`).send(body);
const { mix } = mixExamples.water;
const sheet = { mix, scoop: 400, step: 0.25, spare: 0.05, bucket: 14000, temperature: 18 };
const pots = (count: number) => Array.from({ length: count }, () => ({ shape: potShape, piece: 'pot', count: 500 }));
const readings = [
  { hour: 0, temperature: 12 },
  { hour: 1e9, temperature: 30 },
];

describe('a question that would freeze or end the server', () => {
  it.each([
    ['sides by the billion', 'tints/layers', { ...tintExamples.layers, shape: { ...potShape, outer: { kind: 'polygon-frustum', sides: 1e9, bottomAcross: 90, topAcross: 90, height: 90 } } }, 'shape.outer.sides'],
    ['a solid without a diameter', 'sealing/sealer', { ...sealingExamples.sealer, shape: { outer: { kind: 'round-frustum', topDiameter: 100, height: 90 }, cores: [], inserts: [] } }, 'outer.bottomDiameter'],
    ['a scoop of a millionth', 'mixes/measures', { mix, volume: 3000, scoops: [1e-6], step: 0.25, scaleStep: 1 }, 'scoops'],
    ['a billion hours of maturity', 'curing/maturity', { readings, hours: 24, binderClass: 'portland' }, 'readings.1.hour'],
    ['a billion hours of weather', 'curing/weather', { readings, now: 24, binderClass: 'portland' }, 'readings.1.hour'],
    ['a billion hours of a face', 'curing/surface', { stretches: [{ from: 0, to: 1e9, evaporation: 0.1 }], wettings: [], lightweight: false }, 'stretches.0.to'],
    ['many stretches of ten years', 'curing/surface', { stretches: Array.from({ length: 500 }, () => ({ from: 0, to: 87_660, evaporation: 0.1 })), wettings: [], lightweight: false }, 'stretches'],
    ['fifty thousand pots', 'pours/sheet', { ...sheet, items: pots(100) }, 'items'],
    ['more batches than anybody mixes', 'pours/batches', { volumes: Array.from({ length: 500 }, () => 1e7), bucket: 100, potLife: 60, mixing: 5, filling: 3 }, 'bucket'],
  ] as const)('%s is refused by name', async (_, path, body, field) => {
    const { body: problem } = await ask(path, body).expect(422);
    expect((problem.errors as { field: string }[]).map((one) => one.field)).toContain(field);
    expect(problem.errors[0].remedy).toBeTruthy();
  }); // prettier-ignore

  it('five hundred moulds that fit no bucket evenly are dealt within the time of one calculation', async () => {
    const volumes = Array.from({ length: 500 }, (_, i) => 900 + ((i * 7919) % 1301));
    const { body } = await ask('pours/batches', {
      volumes,
      bucket: 14000,
      potLife: 60,
      mixing: 5,
      filling: 0.5,
    }).expect(200);
    expect((body.dealt as object[][]).flat()).toHaveLength(500);
  });

  it('asks a place for no air of three thousand years ago', async () => {
    const agent = await newWorkshop(harness);
    const [{ id }] = (await agent.get('/api/places').expect(200)).body as [{ id: string }];
    const { body } = await agent.get(`/api/places/${id}/ambient?from=-1e14`).expect(422);
    expect(body.errors[0].field).toBe('from');
    await agent.get(`/api/places/${id}/ambient?from=${Date.now() - 3_600_000}`).expect(200);
  });
});

const large = { shares: [0.25, 0.25, 0.25, 0.25], seed: 7, width: 400, height: 400 };

describe('calculation', () => {
  it('does not hold up who asks for something else', async () => {
    const order: string[] = [];
    const long = ask('tints/marbling', large).then(({ status }) => order.push(`marbling ${status}`));
    const short = visitor(harness)
      .get('/api/health/live')
      .then(({ status }) => order.push(`health ${status}`));
    await Promise.all([long, short]);
    expect(order).toEqual(['health 200', 'marbling 200']);
  });

  it('that takes longer than it may is ended and told as too large; the next one is answered', async () => {
    const hasty = await startServer({ ownerUrl: harness.config.ownerUrl, calculationTime: 1 });
    const { body } = await visitor(hasty).post('/api/calculate/tints/marbling').send(large).expect(422);
    expect(body).toMatchObject({ title: 'Too much to calculate', detail: expect.stringContaining('longer than') });
    await hasty.close();
    await ask('mixes/mix', mix).expect(200);
  });

  it('has its whole time even where its thread is slow to start', async () => {
    const programs = await mkdtemp(join(tmpdir(), 'dewpot-slow-start-'));
    await writeFile(
      join(programs, 'calculation.cjs'),
      `module.exports = async ({ begun }) => (begun.postMessage(null), { value: 'done' });
       Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 900);`,
    );
    const pool = new CalculationPool({ ...harness.config, programs, calculationTime: 600 });
    expect(await pool.run('lessons', ...([] as unknown as Parameters<Tasks['lessons']>))).toBe('done');
    await pool.onModuleDestroy();
    await rm(programs, { recursive: true });
  });
});

it('has the seconds that a slow machine is given, by a whole number of them', () => {
  const env = { DATABASE_URL: 'postgres://localhost/pot' };
  expect(configFrom({ ...env, DEWPOT_CALCULATION_SECONDS: '20' }).calculationTime).toBe(20_000);
  expect(configFrom(env).calculationTime).toBeUndefined();
  for (const wrong of ['0', '601', '2.5', 'long'])
    expect(() => configFrom({ ...env, DEWPOT_CALCULATION_SECONDS: wrong })).toThrow('from 1 to 600');
});

describe('a part of an archive', () => {
  it('has more time than a calculation that somebody waits for', async () => {
    const programs = await mkdtemp(join(tmpdir(), 'dewpot-slow-part-'));
    await writeFile(
      join(programs, 'calculation.cjs'),
      `module.exports = async ({ begun }) => {
         begun.postMessage(null);
         await new Promise((done) => setTimeout(done, 400));
         return { value: 'done' };
       };`,
    );
    const pool = new CalculationPool({ ...harness.config, programs, calculationTime: 20 });
    const nothing = [] as unknown;
    await expect(pool.run('lessons', ...(nothing as Parameters<Tasks['lessons']>))).rejects.toThrow();
    expect(await pool.run('archiveRows', ...(nothing as Parameters<Tasks['archiveRows']>))).toBe('done');
    await pool.onModuleDestroy();
    await rm(programs, { recursive: true });
  });
});

describe('slots', () => {
  it('let so many run and so many wait, and turn the next away', async () => {
    const slots = new Slots(1, 1, 60_000);
    let end = () => undefined as void;
    const running = slots.run(() => new Promise<string>((done) => (end = () => done('first'))), Error);
    const waiting = slots.run(() => Promise.resolve('second'), Error);
    await expect(
      slots.run(
        () => Promise.resolve('third'),
        () => new Error('full'),
      ),
    ).rejects.toThrow('full');
    end();
    expect(await Promise.all([running, waiting])).toEqual(['first', 'second']);
    expect(await slots.run(() => Promise.resolve('fourth'), Error)).toBe('fourth');
  });

  it('turn away what waited too long, and go on with the rest', async () => {
    const slots = new Slots(1, 5, 1);
    let end = () => undefined as void;
    const running = slots.run(() => new Promise<void>((done) => (end = done)), Error);
    await expect(
      slots.run(
        () => Promise.resolve(),
        () => new Error('late'),
      ),
    ).rejects.toThrow('late');
    end();
    await running;
    expect(await slots.run(() => Promise.resolve('next'), Error)).toBe('next');
  });
});
