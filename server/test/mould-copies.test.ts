import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newWorkshop, potInput, pouredPots, startServer, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

describe('pictures of a mould', () => {
  const photo = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#987654' } })
      .withExif({ IFD0: { Copyright: 'someone' }, IFD3: { GPSLatitudeRef: 'N' } })
      .jpeg()
      .toBuffer();

  it('are drawn again, smaller and without what the camera wrote, and only for their workshop', async () => {
    const id = uuid();
    await agent.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    const { body } = await agent
      .post(`/api/moulds/${id}/pictures`)
      .field('caption', 'The seam')
      .attach('picture', await photo(3000, 1500), 'seam.jpg')
      .expect(201);
    expect(body).toMatchObject({ caption: 'The seam', width: 1600, height: 800 });
    const image = await agent.get(`/api/pictures/${body.id}`).expect(200);
    const read = await sharp(image.body as Buffer).metadata();
    expect(read).toMatchObject({ format: 'webp', width: 1600 });
    expect(read.exif).toBeUndefined();
    const mould = ((await agent.get('/api/moulds/all')).body as { id: string; pictures: object[] }[]).find(
      (one) => one.id === id,
    )!;
    expect(mould.pictures).toEqual([body]);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    await stranger.get(`/api/pictures/${body.id}`).expect(404);
    await stranger
      .post(`/api/moulds/${id}/pictures`)
      .attach('picture', await photo(9, 9), 'a.jpg')
      .expect(404);
    await agent.delete(`/api/pictures/${body.id}`).expect(204);
    await agent.get(`/api/pictures/${body.id}`).expect(404);
  });

  it('are refused where they are none, too large, or missing', async () => {
    const id = uuid();
    await agent.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    const send = (bytes: Buffer) => agent.post(`/api/moulds/${id}/pictures`).attach('picture', bytes, 'a.jpg');
    const notOne = await send(Buffer.from('<svg onload="x"/> not a photo')).expect(422);
    expect(notOne.body.errors[0]).toMatchObject({ field: 'picture' });
    await send(Buffer.alloc(13 * 1024 * 1024)).expect(413);
    const drawing = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>';
    await send(Buffer.from(drawing)).expect(422);
    const cut = (await photo(800, 800)).subarray(0, 900);
    await send(cut).expect(422);
    await agent.post(`/api/moulds/${id}/pictures`).field('caption', 'none').expect(422);
  });
});

describe('copies in use', () => {
  interface Copy {
    readonly mark: string;
    readonly cycles: number;
    readonly lastColour?: string;
    readonly retired: boolean;
  }
  const mouldOf = async (workshop: Agent, id: string) =>
    (
      (await workshop.get('/api/moulds/all')).body as { id: string; version: number; cycles: number; copies: Copy[] }[]
    ).find((one) => one.id === id)!;

  it('count their pours and remember their colour; an edit made meanwhile is not stale for that', async () => {
    const workshop = await newWorkshop(harness);
    const keys = await pouredPots(workshop, Date.now() - 3_600_000);
    const mould = await mouldOf(workshop, keys.mould);
    expect(mould.cycles).toBe(3);
    expect(mould.copies.reduce((sum, { cycles }) => sum + cycles, 0)).toBe(3);
    expect(mould.copies.every(({ lastColour }) => lastColour === '#b4aea2')).toBe(true);
    expect(mould.version).toBe(1);
    await workshop
      .put(`/api/moulds/${keys.mould}`)
      .send({ ...potInput(1), name: 'Edited' })
      .expect(200);
  });

  it('go with their mould: its pictures and copies are gone too', async () => {
    const workshop = await newWorkshop(harness);
    const id = uuid();
    await workshop.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#888' } })
      .png()
      .toBuffer();
    const { body } = await workshop.post(`/api/moulds/${id}/pictures`).attach('picture', picture, 'a.png').expect(201);
    await workshop.delete(`/api/moulds/${id}`).expect(204);
    await workshop.get(`/api/pictures/${body.id}`).expect(404);
    expect((await workshop.get('/api/moulds/all')).body).toEqual([]);
  });
});
