import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { moneyExamples } from '../src/script-api/money-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = (path: string, body: object) =>
  request(harness.app.getHttpServer()).post(`/api/calculate/money/${path}`).send(body);

describe('questions about money', () => {
  answersItsExamples('money', moneyExamples, () => harness);

  it('tell what a piece costs, by its parts, and what to ask for it', async () => {
    const { body } = await ask('piece', moneyExamples.piece).expect(200);
    const mix = (900 * 9.5) / 25_000 + (2700 * 12) / 50_000;
    const before = (mix + 0.1 + 90 / 340 + 3) / 0.9;
    expect(body.cost.value).toBeCloseTo(before + 0.8 + 0.9 + 1.5, 6);
    expect(body.price).toBeCloseTo(body.cost.value / 0.6, 6);
    expect(body.lowest).toBe(body.materials);
    expect(body.parts.map(({ name }: { name: string }) => name)).toContain('What bad ones cost');
  });

  it('say how much has no price, and never make one up', async () => {
    const { body } = await ask('piece', { materials: [{ mass: 500, lots: [] }], good: 0, casts: 0 }).expect(200);
    expect(body).toMatchObject({ unpriced: 500, materials: 0 });
  });

  it('refuse what cannot be, by its field', async () => {
    const fields = async (path: string, body: object) => (await ask(path, body).expect(422)).body.errors.map(({ field }: { field: string }) => field); // prettier-ignore
    expect(await fields('piece', { ...moneyExamples.piece, good: 21 })).toEqual(['good']);
    expect(await fields('piece', { ...moneyExamples.piece, margin: 1 })).toEqual(['margin']);
    expect(await fields('sending', { mass: 0, bands: [] })).toEqual(['mass']);
    expect(await fields('copy', { price: 1, sessions: 1.5, worth: 1 })).toEqual(['sessions']);
  });
});
