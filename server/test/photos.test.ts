import { afterAll, beforeAll, expect, it } from 'vitest';
import sharp from 'sharp';
import type { CastPictureView, PhotoRoom, PhotoSize } from '@dewpot/contract';
import { HOUR } from '@dewpot/core/units';
import { ownerOptions } from '../src/db/connection.js';
import { migrations } from '../src/db/migrations/index.js';
import { Photos1798500000000 } from '../src/db/migrations/34-photos.js';
import { PhotoSizes } from '../src/pictures/photo-sizes.service.js';
import { DataSource } from 'typeorm';
import { databaseBefore, newWorkshop, potInput, pouredPots, startServer, type Agent, type Harness } from './harness.js';
import { photoOf } from './pictures.js';
import { v7 as uuid } from 'uuid';

let harness: Harness;
let agent: Agent;
let casts: readonly string[];
beforeAll(async () => {
  harness = await startServer({ photoMegabytes: 1 });
  agent = await newWorkshop(harness);
  ({ casts } = await pouredPots(agent, Date.now() - 40 * HOUR));
});
afterAll(() => harness.close());

const sent = (cast: string, photo: Buffer, by = agent) => by.post(`/api/casts/${cast}/pictures`).attach('picture', photo, 'a.png'); // prettier-ignore
const added = async (cast: string, photo: Buffer, by = agent) => (await sent(cast, photo, by).expect(201)).body as CastPictureView; // prettier-ignore
const room = async (by = agent) => (await by.get('/api/photos/room').expect(200)).body as PhotoRoom;
const shown = async (id: string, size?: PhotoSize) => (await agent.get(`/api/cast-pictures/${id}${size ? `?size=${size}` : ''}`).expect(200)).body as Buffer; // prettier-ignore
const asOwner = async (sql: string) => {
  const owner = await new DataSource(ownerOptions(harness.config.ownerUrl)).initialize();
  try {
    return await owner.query<unknown[]>(sql);
  } finally {
    await owner.destroy();
  }
};

it('a photo is shown in three sizes, and kept by the browser that asked', async () => {
  const { id, width } = await added(casts[0]!, await photoOf('#a83', 2000, 1000));
  expect(width).toBe(1600);
  const wide = async (size?: PhotoSize) => (await sharp(await shown(id, size)).metadata()).width;
  expect([await wide('small'), await wide('medium'), await wide('large'), await wide()]).toEqual([240, 800, 1600, 1600]); // prettier-ignore
  const { headers } = await agent.get(`/api/cast-pictures/${id}`);
  expect(headers['cache-control']).toBe('private, max-age=604800, immutable');
  await agent.get(`/api/cast-pictures/${id}?size=huge`).expect(422);
  await agent.delete(`/api/cast-pictures/${id}`).expect(204);
});

it('the same photo of several things is kept once, and goes with the last of them', async () => {
  const photo = await photoOf('#484');
  const mould = uuid();
  await agent.put(`/api/moulds/${mould}`).send(potInput()).expect(200);
  const [first, second] = await Promise.all([added(casts[0]!, photo), added(casts[1]!, photo)]);
  const { body: third } = await agent.post(`/api/moulds/${mould}/pictures`).attach('picture', photo, 'a.png').expect(201); // prettier-ignore
  expect((await room()).photos).toBe(1);
  expect(await room(await newWorkshop(harness))).toMatchObject({ photos: 0, bytes: 0, most: 2 ** 20 });
  await Promise.all([first, second].map(({ id }) => agent.delete(`/api/cast-pictures/${id}`).expect(204)));
  expect((await room()).photos).toBe(1);
  await agent.get(`/api/pictures/${third.id as string}?size=small`).expect(200);
  await agent.delete(`/api/pictures/${third.id as string}`).expect(204);
  expect(await room()).toMatchObject({ photos: 0, bytes: 0 });
});

it('one that comes while the last of its kind goes is there afterwards', async () => {
  const photo = await photoOf('#448');
  let { id } = await added(casts[0]!, photo);
  for (let i = 0; i < 8; i++) {
    const [next] = await Promise.all([added(casts[1]!, photo), agent.delete(`/api/cast-pictures/${id}`).expect(204)]);
    ({ id } = next);
    await agent.get(`/api/cast-pictures/${id}`).expect(200);
  }
  await agent.delete(`/api/cast-pictures/${id}`).expect(204);
  expect((await room()).photos).toBe(0);
});

it('a photo that is sent twice under its key is one, taken when it says', async () => {
  const { casts: others } = await pouredPots(agent, Date.now() - 30 * HOUR);
  const [cast] = others as [string];
  const [id, at] = [uuid(), Date.now() - 2 * HOUR];
  const photo = await photoOf('#844');
  const send = (query: string) => agent.post(`/api/casts/${cast}/pictures?${query}`).attach('picture', photo, 'a.png');
  const answers = await Promise.all([send(`id=${id}&at=${at}`), send(`id=${id}&at=${at}`)]);
  expect(answers.map(({ status, body }) => [status, body.id, body.at])).toEqual(Array(2).fill([201, id, at]));
  expect((await agent.get(`/api/casts/${cast}`).expect(200)).body.pictures).toHaveLength(1);
  const ahead = (await send(`at=${Date.now() + HOUR}`).expect(201)).body as CastPictureView;
  expect(ahead.at).toBeLessThanOrEqual(Date.now());
  await Promise.all([id, ahead.id].map((one) => agent.delete(`/api/cast-pictures/${one}`).expect(204)));
});

it('past its room a workshop keeps no more, and is told what is taken of how much', async () => {
  const noise = await sharp({
    create: { width: 700, height: 700, channels: 3, background: '#000', noise: { type: 'gaussian', mean: 128, sigma: 90 } },
  }).jpeg().toBuffer(); // prettier-ignore
  const answers = await Promise.all([sent(casts[0]!, noise), sent(casts[1]!, await sharp(noise).negate().toBuffer())]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
  const { body } = answers.find(({ status }) => status === 409)!;
  expect(body.detail).toMatch(/^The photos take \d+ of 1 MB\. /);
});

it('photos that were kept before have their sizes drawn, and are shown large until then', async () => {
  const { id } = await added(casts[2]!, await photoOf('#a83', 1200, 900));
  await asOwner('UPDATE photos SET medium = NULL, small = NULL');
  expect((await sharp(await shown(id, 'small')).metadata()).width).toBe(1200);
  const sizes = harness.app.get(PhotoSizes);
  expect(await sizes.draw()).toBeGreaterThan(0);
  expect((await sharp(await shown(id, 'small')).metadata()).width).toBe(240);
  expect(await sizes.draw()).toBe(0);
});

it('photos of an older database are kept once each, and are what they were', async () => {
  const { ownerUrl, owner } = await databaseBefore(Photos1798500000000);
  const [workshop, mould] = [uuid(), uuid()];
  const image = await sharp(await photoOf())
    .webp()
    .toBuffer();
  await owner.query(`INSERT INTO workshops (id, settings, version) VALUES ($1, '{}', 1)`, [workshop]);
  await owner.query(`INSERT INTO moulds (id, workshop_id, name, body, version) VALUES ($1, $2, 'Pot', '{}', 1)`, [
    mould,
    workshop,
  ]);
  for (let i = 0; i < 2; i++)
    await owner.query(
      `INSERT INTO mould_pictures (id, workshop_id, mould_id, caption, width, height, image) VALUES (gen_random_uuid(), $1, $2, '', 40, 30, $3)`,
      [workshop, mould, image],
    );
  await owner.destroy();
  const after = await new DataSource(ownerOptions(ownerUrl)).initialize();
  await after.runMigrations();
  const kept = 'SELECT large FROM photos JOIN mould_pictures p ON p.photo = sum';
  expect(await after.query(kept)).toEqual([{ large: image }, { large: image }]);
  expect(await after.query('SELECT count(*)::int AS n FROM photos')).toEqual([{ n: 1 }]);
  const later: readonly unknown[] = migrations;
  for (let i = later.indexOf(Photos1798500000000); i < later.length; i++) await after.undoLastMigration();
  expect(await after.query('SELECT image FROM mould_pictures')).toEqual([{ image }, { image }]);
  await after.destroy();
});
