import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newWorkshop, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const lamp = { kind: 'solid', which: 'cuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred' };
const sheet = (over: object = {}) => ({
  name: 'Canal lamp',
  pattern: lamp,
  moulds: [],
  cut: false,
  version: 0,
  ...over,
});

describe('patterns', () => {
  it('are kept, listed, found by their kind and their name, and removed', async () => {
    const agent = await newWorkshop(harness);
    const id = uuid();
    const { body: saved } = await agent
      .put(`/api/patterns/${id}`)
      .send(sheet({ notes: 'birch ply' }))
      .expect(200);
    expect(saved).toMatchObject({ id, version: 1, revision: 1, name: 'Canal lamp', pattern: lamp, cut: false });
    const bed = {
      kind: 'bed',
      length: 1200,
      width: 800,
      panelHeight: 200,
      panelLength: 600,
      panel: 40,
      draft: 3,
      levels: 2,
      rod: 12,
    };
    await agent
      .put(`/api/patterns/${uuid()}`)
      .send(sheet({ name: 'Allotment bed', pattern: bed }))
      .expect(200);
    const names = async (query: string) =>
      (await agent.get(`/api/patterns${query}`).expect(200)).body.rows.map(({ name }: { name: string }) => name);
    expect(await names('')).toEqual(['Allotment bed', 'Canal lamp']);
    expect(await names('?kind=solid')).toEqual(['Canal lamp']);
    expect(await names('?q=birch')).toEqual(['Canal lamp']);
    expect((await agent.get('/api/search?words=canal').expect(200)).body).toMatchObject([{ kind: 'pattern', id }]);
    await agent.delete(`/api/patterns/${id}`).expect(204);
    await agent.get(`/api/patterns/${id}`).expect(404);
    await agent.get(`/api/patterns/${id}/revisions`).expect(404);
  });

  it('that were cut stay as they were: a change of a size is the next revision, not cut yet; one of the name is not', async () => {
    const agent = await newWorkshop(harness);
    const path = `/api/patterns/${uuid()}`;
    await agent
      .put(path)
      .send(sheet({ cut: true }))
      .expect(200);
    const named = sheet({ cut: true, version: 1, name: 'Tow lamp' });
    expect((await agent.put(path).send(named).expect(200)).body).toMatchObject({ revision: 1, cut: true });
    const larger = sheet({ cut: true, version: 2, pattern: { ...lamp, edge: 80 } });
    expect((await agent.put(path).send(larger).expect(200)).body).toMatchObject({ revision: 2, cut: false });
    const { body: revisions } = await agent.get(`${path}/revisions`).expect(200);
    expect(revisions).toMatchObject([
      { revision: 2, pattern: { edge: 80 }, cut: false },
      { revision: 1, pattern: { edge: 70 }, cut: true, name: 'Tow lamp' },
    ]);
  });

  it('are refused by the field that cannot be, and where somebody else changed them', async () => {
    const agent = await newWorkshop(harness);
    const path = `/api/patterns/${uuid()}`;
    const thick = await agent
      .put(path)
      .send(sheet({ pattern: { ...lamp, board: 40 } }))
      .expect(422);
    expect(thick.body.errors).toMatchObject([{ field: 'pattern.board', value: 40 }]);
    await agent.put(path).send(sheet()).expect(200);
    await agent
      .put(path)
      .send(sheet({ version: 1, name: 'Lock lamp' }))
      .expect(200);
    const stale = await agent
      .put(path)
      .send(sheet({ version: 1, name: 'Weir lamp' }))
      .expect(409);
    expect(stale.body.errors).toMatchObject([{ field: 'name' }]);
  });

  it('of another workshop are not to be found', async () => {
    const [agent, stranger] = [await newWorkshop(harness), await newWorkshop(harness, 'Elsewhere')];
    const path = `/api/patterns/${uuid()}`;
    await agent.put(path).send(sheet()).expect(200);
    await stranger.get(path).expect(404);
    expect((await stranger.get('/api/patterns').expect(200)).body.rows).toEqual([]);
    await stranger
      .put(path)
      .send(sheet({ version: 1 }))
      .expect(404);
  });
});

describe('what patterns are cut from', () => {
  const ply = { name: 'Birch ply', kind: 'sheet', length: 1220, width: 610, thickness: 12, count: 3, price: 14.5, version: 0 }; // prettier-ignore
  const stockOf = async (agent: Agent) => (await agent.get('/api/store').expect(200)).body.stock;

  it('is kept with its size, count and price, changed, and thrown away', async () => {
    const agent = await newWorkshop(harness);
    const id = uuid();
    const { body: saved } = await agent.put(`/api/stock/${id}`).send(ply).expect(200);
    expect(saved).toMatchObject({ ...ply, id, version: 1 });
    const { price: _, ...unpriced } = ply;
    await agent.put(`/api/stock/${id}`).send({ ...unpriced, count: 2, version: 1 }).expect(200); // prettier-ignore
    expect(await stockOf(agent)).toEqual([{ ...unpriced, count: 2, id, version: 2 }]);
    await agent
      .put(`/api/stock/${id}`)
      .send({ ...ply, count: 9, version: 1 })
      .expect(409);
    await agent.delete(`/api/stock/${id}`).expect(204);
    expect(await stockOf(agent)).toEqual([]);
  });

  it('is refused by the field that cannot be, and hidden from other workshops', async () => {
    const agent = await newWorkshop(harness);
    const refused = await agent.put(`/api/stock/${uuid()}`).send({ ...ply, width: 0, count: 1.5, kind: 'rope' });
    expect(refused.status).toBe(422);
    expect(refused.body.errors.map(({ field }: { field: string }) => field).sort()).toEqual(['count', 'kind', 'width']);
    await agent.put(`/api/stock/${uuid()}`).send(ply).expect(200);
    expect(await stockOf(await newWorkshop(harness))).toEqual([]);
  });
});
