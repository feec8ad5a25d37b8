import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { CastRow, MixView, MouldView, Page, PastPoursView, PourRow } from '@dewpot/contract';
import { DAY, HOUR } from '@dewpot/core/units';
import { mixInput, newWorkshop, potInput, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
let first: Awaited<ReturnType<typeof pouredPots>>;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
  first = await pouredPots(agent, Date.now() - 3 * DAY, 5);
});
afterAll(() => harness.close());

async function page<Row>(path: string, query: object = {}): Promise<Page<Row>> {
  return (await agent.get(`/api/${path}`).query(query).expect(200)).body as Page<Row>;
}

/** Every page of a list, one after another, by what each tells of the next. */
async function pages<Row>(path: string, query: object): Promise<Page<Row>[]> {
  const found = [await page<Row>(path, query)];
  for (let { after } = found[0]!; after !== null; { after } = found[found.length - 1]!)
    found.push(await page<Row>(path, { ...query, after }));
  return found;
}

describe('a list of casts', () => {
  it('comes page by page, forth and back, each cast once', async () => {
    const found = await pages<CastRow>('casts', { size: 2 });
    expect(found.map(({ rows }) => rows.length)).toEqual([2, 2, 1]);
    expect(new Set(found.flatMap(({ rows }) => rows.map(({ id }) => id)))).toEqual(new Set(first.casts));
    expect(found.map(({ count }) => count)).toEqual([5, 5, 5]);
    expect(found[0]!.before).toBeNull();
    const back = await page<CastRow>('casts', { size: 2, before: found[2]!.before });
    expect(back.rows).toEqual(found[1]!.rows);
    expect((await page<CastRow>('casts', { size: 2, before: back.before })).before).toBeNull();
  });

  it('does not shift under a reader while newer ones come in', async () => {
    const start = await page<CastRow>('casts', { size: 3 });
    const pour = uuid();
    await agent
      .put(`/api/pours/${pour}`)
      .send({ ...first.input, items: [{ mouldId: first.mould, count: 1 }] })
      .expect(200);
    const finish = { ...first.finish, casts: [{ id: uuid(), item: 0 }], pouredAt: Date.now() - HOUR };
    await agent.post(`/api/pours/${pour}/finish`).send(finish).expect(200);
    const next = await page<CastRow>('casts', { size: 3, after: start.after });
    expect(next.rows).toHaveLength(2);
    expect(next.count).toBe(6);
    expect(start.rows.some(({ id }) => next.rows.some((row) => row.id === id))).toBe(false);
    expect((await page<CastRow>('casts', { pour })).rows.map(({ pourId }) => pourId)).toEqual([pour]);
  });

  it('is chosen by words, stage and damage, and ordered', async () => {
    const [hurt] = first.casts;
    const event = { id: uuid(), at: Date.now() - HOUR, type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }] };
    const { body } = await agent.post(`/api/casts/${hurt}/events`).send(event);
    expect(body.stage ?? body).toBe('curing');
    expect((await page<CastRow>('casts', { damaged: 'yes' })).rows.map(({ id }) => id)).toEqual([hurt]);
    expect((await page<CastRow>('casts', { stage: 'setting' })).count).toBe(5);
    expect((await page<CastRow>('casts', { q: 'NESTED garden' })).count).toBe(6);
    expect((await page<CastRow>('casts', { q: 'nested%' })).count).toBe(0);
    const [oldest] = (await page<CastRow>('casts', { order: 'oldest', size: 1 })).rows;
    expect(first.casts).toContain(oldest!.id);
  });

  it('refuses a page that nobody told of, with the way out', async () => {
    for (const after of [
      'x',
      Buffer.from('["a","b"]').toString('base64url'),
      Buffer.from('{}').toString('base64url'),
    ]) {
      const { body } = await agent.get('/api/casts').query({ after }).set('Accept-Language', 'en').expect(422);
      expect(body.errors[0]).toMatchObject({ field: 'after', remedy: 'Open the list from its first page.' });
    }
    await agent.get('/api/casts').query({ size: 201 }).expect(422);
    await agent.get('/api/casts').query({ order: 'weight' }).expect(422);
  });
});

describe('a list of pours', () => {
  it('tells of the pieces and mixes, without the plans', async () => {
    const { rows } = await page<PourRow>('pours', { q: 'nested' });
    expect(rows.map(({ number }) => number)).toEqual([2, 1]);
    expect(rows[1]).toEqual({
      id: first.pour,
      number: 1,
      status: 'finished',
      pieces: [{ mouldId: first.mould, name: 'Nested pot', count: 5, colour: expect.stringMatching(/^#[0-9a-f]{6}$/) }],
      mixes: [expect.any(String)],
      pouredAt: first.finish.pouredAt,
    });
    expect((await page<PourRow>('pours', { status: 'planned' })).count).toBe(0);
  });

  it('leaves to the next plan what they taught, as one that is taken back does not', async () => {
    const past = async () => (await agent.get('/api/pours/past').expect(200)).body as PastPoursView;
    const { lessons, last } = await past();
    expect(lessons.map(({ mixId }) => mixId)).toEqual([first.mix, first.mix]);
    expect(lessons[0]!.demand).toBeGreaterThan(0.5);
    expect(last).toMatchObject({ mixId: first.mix });
    const [newest] = (await page<PourRow>('pours')).rows;
    await agent.post(`/api/pours/${newest!.id}/undo`).expect(200);
    expect((await past()).lessons).toHaveLength(1);
  });
});

describe('lists of what is kept', () => {
  it('moulds go by what they hold and how large they are', async () => {
    const small = uuid();
    await agent
      .put(`/api/moulds/${small}`)
      .send({ ...potInput(), name: 'Åre thimble', copies: [] })
      .expect(200);
    const sized = async (query: object) => (await page<MouldView>('moulds', query)).rows.map(({ name }) => name);
    expect(await sized({ q: 'thimble' })).toEqual(['Åre thimble']);
    expect(await sized({ least: 5_000 })).toEqual([]);
    expect((await sized({ most: 5_000, reach: 500 })).toSorted()).toEqual(['Nested pot', 'Åre thimble']);
    expect(await sized({ reach: 20 })).toEqual([]);
    expect((await sized({ order: 'cycles' }))[0]).toBe('Nested pot');
    expect(await sized({ piece: 'leaf' })).toEqual([]);
  });

  it('mixes go by a material in them, the last changed first', async () => {
    const later = uuid();
    const { cement, sand } = first;
    await agent
      .put(`/api/mixes/${later}`)
      .send({ ...mixInput({ cement, sand }), name: 'Zinc grey' })
      .expect(200);
    const named = async (query: object) => (await page<MixView>('mixes', query)).rows.map(({ name }) => name);
    expect((await named({ material: cement, order: 'changed' }))[0]).toBe('Zinc grey');
    expect(await named({ material: uuid() })).toEqual([]);
    expect((await pages<MixView>('mixes', { order: 'changed', size: 1 })).length).toBe(2);
  });

  it('materials go by their kind', async () => {
    const { rows, count } = await page<{ kind: string }>('materials', { kind: 'binder', size: 200 });
    expect(count).toBe(rows.length);
    expect(count).toBeGreaterThan(1);
    expect(new Set(rows.map(({ kind }) => kind))).toEqual(new Set(['binder']));
    expect((await page('tints')).rows).toEqual([]);
  });
});
