import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pourExamples } from '../src/script-api/pour-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = (question: string, body: object) =>
  request(harness.app.getHttpServer()).post(`/api/calculate/pours/${question}`).send(body);

describe('questions about a pour', () => {
  answersItsExamples('pours', pourExamples, () => harness);

  it('tell its hour with every wait, its run with what can still be filled', async () => {
    const { body: hour } = await ask('hour', pourExamples.hour).expect(200);
    expect(hour.steps.map(({ step }: { step: { kind: string } }) => step.kind)).toContain('broom');
    expect(hour.poured).toBeGreaterThan(pourExamples.hour.start);
    expect(hour.cores[0].held.mass.value).toBeGreaterThan(5000);
    const { body: run } = await ask('run', pourExamples.run).expect(200);
    expect(run.buckets[0].tap).toBe(1500);
    expect(run.now.fills).not.toContain('Nested pot 3');
  });

  it('say when nothing can be filled in time, and name what a run cannot have', async () => {
    const { body } = await ask('batches', { ...pourExamples.batches, potLife: 8 }).expect(200);
    expect(body).toEqual({ inTime: false });
    const wrong = [{ ...pourExamples.run.events[0]!, step: 'fly' }];
    const { body: refused } = await ask('run', { ...pourExamples.run, events: wrong }).expect(422);
    expect(refused.errors[0].field).toBe('step');
    expect((await ask('free', pourExamples.free).expect(200)).body).toMatchObject({ free: 0 });
  });

  it('lay lettering mirrored, and refuse by name what does not fit on its face', async () => {
    const { inset } = pourExamples.inset;
    const { body } = await ask('inset', pourExamples.inset).expect(200);
    expect(body.lies[0][0]).toEqual([0 - body.reads[0][0][0], body.reads[0][0][1]]);
    const over = { ...pourExamples.inset, inset: { ...inset, x: 140 } };
    const { body: refused } = await ask('inset', over).expect(422);
    expect(refused.errors[0]).toMatchObject({ field: 'inset', message: expect.stringContaining('reaches over') });
    const bent = { ...pourExamples.inset, inset: { ...inset, loops: [[[0, 0], ['wide', 1], [2, 2]]] } }; // prettier-ignore
    expect((await ask('inset', bent).expect(422)).body.errors[0].message).toContain('loops must be');
  });
});
