import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { findingsExamples } from '../src/script-api/findings-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = (path: string, body: object) =>
  request(harness.app.getHttpServer()).post(`/api/calculate/findings/${path}`).send(body);

describe('questions about what casts show', () => {
  answersItsExamples('findings', findingsExamples, () => harness);

  it('are answered as the handbook works them', async () => {
    const shares = (await ask('shares', findingsExamples.shares).expect(200)).body;
    expect(shares).toMatchObject({ verdict: 'even', limits: { b: [expect.any(Number), 1] } });
    expect(shares.chanceOfB).toBeCloseTo(0.873, 3);
    const trial = (await ask('trial', findingsExamples.trial).expect(200)).body;
    expect(trial).toMatchObject({ aSide: 23, enough: true, soFar: { complete: false } });
  });

  it('tell why in words, the likeliest cause first', async () => {
    const { body } = await ask('why', findingsExamples.why).expect(200);
    expect(body.causes[0]).toMatchObject({ cause: 'dried-early', name: 'Dried out early', change: expect.stringContaining('Cover it') });
    expect(body.causes[0].evidence).toContain('At most 0.50 kg/m²/h.');
    expect(body.missing).toContain('wetter');
    const bare = await ask('why', { fault: 'crack', cast: { ...findingsExamples.why.cast, under: [] }, others: [] }).expect(200);
    expect(bare.body).toMatchObject({ causes: [], unrecorded: 1 });
  }); // prettier-ignore

  it('refuse more good ones than casts, an expectation the wrong way round, and what is no fault, by their fields', async () => {
    const fields = async (path: string, body: object) => (await ask(path, body).expect(422)).body.errors.map(({ field }: { field: string }) => field); // prettier-ignore
    expect(await fields('shares', { a: { good: 4, casts: 3 }, b: { good: 1, casts: 3 } })).toEqual(['a.good']);
    expect(await fields('trial', { worse: 0.9, better: 0.6 })).toEqual(['better']);
    expect(await fields('why', { ...findingsExamples.why, fault: 'bewitched' })).toEqual(['fault']);
    expect(new Set(await fields('chart', { values: ['a'] }))).toEqual(new Set(['values']));
  });

  it('deal the same for the same seed', async () => {
    const dealt = async (seed: number) => (await ask('deal', { copies: 7, seed }).expect(200)).body.sides as string[];
    expect(await dealt(5)).toEqual(await dealt(5));
    expect((await dealt(9)).filter((side) => side === 'a').length).toBeGreaterThanOrEqual(3);
  });
});
