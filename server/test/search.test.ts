import { afterAll, beforeAll, expect, it } from 'vitest';
import type { SearchHit } from '@dewpot/contract';
import { HOUR } from '@dewpot/core/units';
import { newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let casts: readonly string[];
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  ({ casts } = await pouredPots(agent, Date.now() - 30 * HOUR));
});
afterAll(() => harness.close());

const search = async (words: string, who = agent) =>
  (await who.get('/api/search').query({ words }).expect(200)).body as SearchHit[];

it('finds moulds, mixes, materials, pours and casts by a part of their names', async () => {
  const hits = await search('nested');
  expect(hits.filter(({ kind }) => kind === 'mould').map(({ name }) => name)).toEqual(['Nested pot']);
  expect(
    hits
      .filter(({ kind }) => kind === 'cast')
      .map(({ id }) => id)
      .toSorted(),
  ).toEqual([...casts].toSorted());
  expect(hits.find(({ kind }) => kind === 'cast')).toMatchObject({ name: '1c', mould: 'Nested pot' });
  expect((await search('SAND')).map(({ kind }) => kind)).toContain('material');
  expect((await search('1')).map(({ kind, name }) => `${kind} ${name}`)).toContain('pour 1');
});

it('puts what begins with the words first, and takes signs as they are', async () => {
  const cements = (await search('grey')).filter(({ kind }) => kind === 'material').map(({ name }) => name);
  expect(cements[0]).toMatch(/^Grey/);
  expect(await search('100%_')).toEqual([]);
  expect(await search('\\')).toEqual([]);
});

it('finds nothing of another workshop, and refuses words that are missing or too long', async () => {
  const other = await newWorkshop(harness);
  expect((await search('nested', other)).filter(({ kind }) => kind !== 'material')).toEqual([]);
  for (const words of ['', 'x'.repeat(81)]) {
    const { body } = await agent.get('/api/search').query({ words }).expect(422);
    expect(body.errors[0].field).toBe('words');
  }
});
