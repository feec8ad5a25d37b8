import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tintExamples } from '../src/script-api/tint-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());
const ask = (path: string, question: object) =>
  request(harness.app.getHttpServer()).post(`/api/calculate/tints/${path}`).send(question);

describe('tint questions', () => {
  answersItsExamples('tints', tintExamples, () => harness);

  it('tell a colour dry and wet, which is darker, and the wider a doubt the fewer the chips', async () => {
    const { body } = await ask('colour', tintExamples.colour).expect(200);
    const [dry, wet] = body.looks.map(({ colour }: { colour: string }) => colour);
    expect(wet < dry).toBe(true);
    const chips = async (count: number) => {
      const doses = tintExamples.colour.doses.map(({ pigment, dose }) => ({
        dose,
        pigment: { ...pigment, chips: count },
      }));
      const { doubt } = (await ask('colour', { ...tintExamples.colour, doses }).expect(200)).body;
      return (await ask('difference', { one: doubt.weaker, other: doubt.stronger })).body.difference;
    };
    expect(await chips(0)).toBeGreaterThan(await chips(5));
  });

  it('say when a wanted colour is out of reach', async () => {
    const far = await ask('search', { ...tintExamples.search, wanted: '#0090ff' }).expect(200);
    expect(far.body).toMatchObject({ inReach: false });
    expect(far.body.recipes.length).toBeGreaterThan(0);
  });

  it('tell layers that come to the whole mould, and waits that shorten with warmth', async () => {
    const { body } = await ask('layers', tintExamples.layers).expect(200);
    const sum = body.layers.reduce((total: number, one: { volume: { value: number } }) => total + one.volume.value, 0);
    expect(sum).toBeCloseTo(4949.3, 0);
    expect(body.layers.map(({ to }: { to: number }) => Math.round(to * 10) / 10)).toEqual([45, 82.5, 112.5, 135, 150]);
    const warm = (await ask('layers', { ...tintExamples.layers, temperature: 28 }).expect(200)).body;
    expect(warm.wait.from.value).toBeLessThan(body.wait.from.value);
    await ask('layers', { ...tintExamples.layers, shares: [0.5, 0.2] }).expect(422);
  });

  it('tell how a batch differs from the one it is to match', async () => {
    const { body } = await ask('matching', tintExamples.matching).expect(200);
    expect(body.warnings).toHaveLength(3);
  });

  it('that cannot be are refused by field', async () => {
    const fields = async (path: string, question: object) =>
      (await ask(path, question).expect(422)).body.errors.map(({ field }: { field: string }) => field);
    expect(await fields('difference', { one: 'clay', other: '#ffffff' })).toEqual(['one']);
    expect(await fields('search', { ...tintExamples.search, pigments: [] })).toEqual(['pigments']);
    expect(await fields('search', { ...tintExamples.search, ceiling: 30 })).toEqual(['ceiling']);
    expect(
      await fields('strength', {
        ...tintExamples.strength,
        chips: [{ base: '#dddddd', dose: 0, measured: '#aaaaaa' }],
      }),
    ).toEqual(['chips.0.dose']);
    expect(await fields('weighing', { ...tintExamples.weighing, step: 0 })).toEqual(['step']);
  });
});
