import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sealingExamples } from '../src/script-api/sealing-examples.js';
import { newWorkshop, potInput, pouredPots, startServer, visitor, type Agent, type Harness } from './harness.js';

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const mix = { lines: [{ material: 'grey-cement', parts: 1 }], by: 'volume', grade: 5, exposure: 'outdoors' };
const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;

describe('what is sent to hurt is refused, and nothing falls over', () => {
  it.each([
    ['an empty list as a line', { ...mix, lines: [[]] }, 'lines'],
    ['a list in a list as a line', { ...mix, lines: [[[]]] }, 'lines'],
    ['null for a list that may be left out', { ...mix, doses: null }, 'doses'],
    ['null for a number', { ...mix, grade: null }, 'grade'],
    [
      'a name that no place in memory has',
      { ...mix, lines: [{ material: '__proto__', parts: 1 }] },
      'lines.0.material',
    ],
  ] as const)('%s', async (_, body, field) => {
    const { body: problem } = await agent.post('/api/calculate/mixes/mix').send(body).expect(422);
    expect(problem.errors[0].field).toBe(field);
  });

  it.each([
    ['base', { parts: [{ material: 'unobtainium', mass: 5 }] }],
    ['chip', { binder: 'unobtainium', doses: [] }],
  ])('an unknown material in a question about a %s', async (question, body) => {
    const { body: problem } = await agent.post(`/api/calculate/tints/${question}`).send(body).expect(422);
    expect(problem.errors[0].field).toMatch(/material|binder/);
  });

  it('JSON five thousand deep', async () => {
    for (const path of ['/api/calculate/mixes/mix', `/api/moulds/${uuid()}`]) {
      const method = path.includes('moulds') ? 'put' : 'post';
      await agent[method](path)
        .set('Content-Type', 'application/json')
        .send(`{"lines":${nested(5000)}}`)
        .expect(422);
    }
  });

  it('text that PostgreSQL cannot hold; text that it can is composed in one way', async () => {
    for (const name of ['a\u0000b', 'half \ud800 a pair'])
      await agent
        .put(`/api/moulds/${uuid()}`)
        .set('Content-Type', 'application/json')
        .send(JSON.stringify({ ...potInput(), name }))
        .expect(422);
    const { body } = await agent
      .put(`/api/moulds/${uuid()}`)
      .send({ ...potInput(), name: 'Cafe\u0301' })
      .expect(200);
    expect(body.name).toBe('Caf\u00e9');
  });

  it('a query of the wrong kind, and a key of another workshop', async () => {
    await agent.get('/api/tiles?mix=x').expect(422);
    await agent.get('/api/casts?q[]=x').expect(422);
    const stranger = await newWorkshop(harness, 'Elsewhere');
    const key = uuid();
    const keep = async (who: Agent) => {
      const { mix: mixId } = await pouredPots(who, Date.now() - 3_600_000);
      return who.put(`/api/tiles/${key}`).send({ ...sealingExamples.tile, mixId });
    };
    const [mine, theirs] = [await keep(agent), await keep(stranger)];
    expect((await agent.put(`/api/tiles/${uuid()}`).send({ ...sealingExamples.tile, mixId: uuid() })).status).toBe(404);
    expect([mine.status, theirs.status]).toEqual([204, 204]);
    expect((await stranger.get('/api/tiles').expect(200)).body).toHaveLength(1);
  });

  it('answers with less than it was sent: twenty errors, each value cut', async () => {
    const lines = Array.from({ length: 8000 }, () => ({ material: 'x'.repeat(10), parts: 'y'.repeat(10) }));
    const sent = { ...mix, lines };
    const { text, body } = await agent.post('/api/calculate/mixes/mix').send(sent).expect(422);
    expect(body.errors.length).toBeLessThanOrEqual(20);
    expect(text.length).toBeLessThan(20_000);
    const { body: long } = await agent
      .put(`/api/moulds/${uuid()}`)
      .send({ ...potInput(), name: 'n'.repeat(5000) })
      .expect(422);
    expect(long.errors[0].value.length).toBeLessThanOrEqual(201);
  });

  it('a body that is larger than its route takes', async () => {
    const passphrase = 'p'.repeat(20_000);
    await visitor(harness).post('/api/session').send({ email: 'a@example.org', passphrase }).expect(413);
  });
});

/** A PNG that claims a size in a few bytes: its header is all that matters. */
function claimedPng(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc(body));
    return Buffer.concat([length, body, sum]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([signature, chunk('IHDR', header), chunk('IDAT', deflateSync(Buffer.alloc(64))), chunk('IEND', Buffer.alloc(0))]); // prettier-ignore
}

function crc(bytes: Buffer): number {
  let sum = ~0;
  for (const byte of bytes) {
    sum ^= byte;
    for (let k = 0; k < 8; k++) sum = (sum >>> 1) ^ (0xedb88320 & -(sum & 1));
  }
  return ~sum >>> 0;
}

describe('pictures', () => {
  const add = async (picture: Buffer) => {
    const id = uuid();
    await agent.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    return agent.post(`/api/moulds/${id}/pictures`).attach('picture', picture, 'photo.png');
  };

  it.each([
    ['of fifty-one megapixels', 10_000, 5_100],
    ['of more than 16,000 a side', 16_001, 10],
  ])('%s are refused by their header', async (_, width, height) => {
    const { status, body } = await add(claimedPng(width, height));
    expect(status).toBe(422);
    expect(body.errors[0].value).toContain(`${width} × ${height}`);
  });

  it('that are none, or none at all, are refused; one that is goes through', async () => {
    expect((await add(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).status).toBe(422);
    const id = uuid();
    await agent.put(`/api/moulds/${id}`).send(potInput()).expect(200);
    await agent.post(`/api/moulds/${id}/pictures`).field('caption', 'nothing').expect(422);
    const real = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#345' } })
      .png()
      .toBuffer();
    expect((await add(real)).status).toBe(201);
  });
});
