import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mixExamples } from '../src/reckon/mix-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

describe('mix questions', () => {
  const ask = (path: string, question: object) =>
    request(harness.app.getHttpServer()).post(`/api/reckon/mixes/${path}`).send(question);
  answersItsExamples('mixes', mixExamples, () => harness);

  it('answer the worked figures', async () => {
    const { body: mix } = await ask('mix', { ...mixExamples.mix, doses: [] }).expect(200);
    expect(mix.freshDensity.value).toBeCloseTo(1.313, 3);
    expect((await ask('moisture', { damp: 525, dry: 500 })).body.moisture.value).toBeCloseTo(5, 9);
    expect((await ask('shopping', mixExamples.shopping)).body.list).toEqual([
      { materialId: 'grey-cement', name: 'grey-cement', missing: 27000, bags: 2, bag: 25000, cost: 15.8 },
    ]);
    const { body: library } = await request(harness.app.getHttpServer()).get('/api/reckon/mixes/library').expect(200);
    expect(library.length).toBeGreaterThanOrEqual(10);
  });
  it('that cannot be are refused by field', async () => {
    const fields = async (path: string, question: object) =>
      (await ask(path, question).expect(422)).body.errors.map(({ field }: { field: string }) => field);
    expect(await fields('hold', { ...mixExamples.hold, adjust: 1 })).toEqual(['adjust']);
    expect(await fields('water', { ...mixExamples.water, moisture: { 'sharp-sand': 0.6 } })).toEqual([
      'moisture.sharp-sand',
    ]);
    expect(await fields('doses', { ...mixExamples.doses, scaleStep: 0 })).toEqual(['scaleStep']);
    expect(await fields('compare', { ...mixExamples.compare, mixes: [] })).toEqual(['mixes']);
  });
});
