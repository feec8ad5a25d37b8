import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mixExamples } from '../src/script-api/mix-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

describe('mix questions', () => {
  const ask = (path: string, question: object) =>
    request(harness.app.getHttpServer()).post(`/api/calculate/mixes/${path}`).send(question);
  answersItsExamples('mixes', mixExamples, () => harness);

  it('answer the worked figures', async () => {
    const { body: mix } = await ask('mix', { ...mixExamples.mix, doses: [] }).expect(200);
    expect(mix.freshDensity.value).toBeCloseTo(1.313, 3);
    expect((await ask('moisture', { damp: 525, dry: 500 })).body.moisture.value).toBeCloseTo(5, 9);
    expect((await ask('shopping', mixExamples.shopping)).body.list).toEqual([
      { materialId: 'grey-cement', name: 'grey-cement', missing: 27000, bags: 2, bag: 25000, cost: 15.8 },
    ]);
    const { body: library } = await request(harness.app.getHttpServer())
      .get('/api/calculate/mixes/library')
      .expect(200);
    expect(library.length).toBeGreaterThanOrEqual(10);
  });
  it('take the figures of a material with them: one of the handbook with some changed, or one’s own', async () => {
    const own = { key: 'river-sand', name: 'River sand', bulk: 1.4, particle: 2.6, demand: 0.07 };
    const heavier = { key: 'sharp-sand', bulk: 1.7 };
    const parts = (lines: object[], materials: object[]) =>
      ask('parts', { mix: { ...mixExamples.water.mix, lines, materials }, to: 'mass' }).expect(200);
    const cement = { material: 'grey-cement', parts: 1 };
    const { body: river } = await parts([cement, { material: 'river-sand', parts: 2 }], [own]);
    expect(river.lines[1]).toEqual({ material: 'river-sand', parts: expect.closeTo(2.8, 9) });
    const { body: sharp } = await parts([cement, { material: 'sharp-sand', parts: 2 }], [heavier]);
    expect(sharp.lines[1]).toEqual({ material: 'sharp-sand', parts: expect.closeTo(3.4, 9) });
  });
  it('make the water to a wanted water to cement', async () => {
    const { body } = await ask('water', {
      ...mixExamples.water,
      moisture: {},
      mix: { ...mixExamples.water.mix, ratio: 0.5 },
    }).expect(200);
    const { body: mix } = await ask('mix', { ...mixExamples.water.mix, ratio: 0.5 }).expect(200);
    expect(mix.ratio).toMatchObject({ value: 0.5, basis: { kind: 'typed' } });
    // Of 5 L at w/c 0.50: 682 g of water to each litre of cement, by the volume that it makes.
    expect(body.tap.value).toBeCloseTo((682 * 5000) / mix.perPart.volume, 6);
  });
  it('tell the times that are given, and the price', async () => {
    const { body: times } = await ask('times', mixExamples.times).expect(200);
    expect(times.potLife.basis).toEqual({ kind: 'typed' });
    expect(times.potLife.value).toBeLessThan(45);
    const { body: cost } = await ask('cost', mixExamples.cost).expect(200);
    expect(cost.litre.value * 5).toBeCloseTo(cost.batch.value, 9);
    const { material, mass } = cost.largest.materials[0];
    expect([cost.largest.shortest, material, mass]).toEqual([
      'river-sand',
      'grey-cement',
      expect.closeTo((30000 / 3.95) * 1.3, 6),
    ]);
    const { body: materials } = await request(harness.app.getHttpServer()).get('/api/calculate/mixes/materials');
    expect(materials.find(({ key }: { key: string }) => key === 'high-early-cement').family).toBe('high-early');
  });
  it('that cannot be are refused by field', async () => {
    const fields = async (path: string, question: object) =>
      (await ask(path, question).expect(422)).body.errors.map(({ field }: { field: string }) => field);
    expect(await fields('hold', { ...mixExamples.hold, adjust: 1 })).toEqual(['adjust']);
    expect(await fields('water', { ...mixExamples.water, moisture: { 'sharp-sand': 0.6 } })).toEqual([
      'moisture.sharp-sand',
    ]);
    const unheard = { ...mixExamples.mix, lines: [{ material: 'moon-dust', parts: 1 }] };
    expect(await fields('mix', unheard)).toEqual(['lines.0.material']);
    expect(await fields('mix', { ...mixExamples.mix, materials: [{ key: 'moon-dust' }] })).toEqual([
      'materials.0.bulk',
      'materials.0.particle',
    ]);
    expect(await fields('mix', { ...mixExamples.mix, ratio: 4 })).toEqual(['ratio']);
    expect(await fields('doses', { ...mixExamples.doses, scaleStep: 0 })).toEqual(['scaleStep']);
    expect(await fields('compare', { ...mixExamples.compare, mixes: [] })).toEqual(['mixes']);
  });
});
