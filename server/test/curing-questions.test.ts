import { afterAll, beforeAll, describe } from 'vitest';
import { ambientExamples, curingExamples } from '../src/script-api/curing-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

describe('the questions', () => {
  answersItsExamples('curing', curingExamples, () => harness);
  answersItsExamples('ambient', ambientExamples, () => harness);
});
