import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY, HOUR, MINUTE } from '@dewpot/core/units';
import type { PlaceAmbient, ReadingsTaken } from '@dewpot/contract';
import { ownerOptions } from '../src/db/connection.js';
import { ReadingMonthsService } from '../src/ambient/reading-months.service.js';
import { newWorkshop, startServer, type Agent, type Harness } from './harness.js';

const KEPT = 6;
const now = Date.now();
/** The 10th of a month, so many before this one, ms. */
const monthsAgo = (months: number) => Date.UTC(new Date(now).getUTCFullYear(), new Date(now).getUTCMonth() - months, 10); // prettier-ignore

let harness: Harness;
let agent: Agent;
beforeAll(async () => {
  harness = await startServer({ readingMonths: KEPT });
  agent = await newWorkshop(harness);
});
afterAll(() => harness.close());

const months = (on = harness) => on.app.get(ReadingMonthsService);
const send = (id: string, readings: object[], by = agent) => by.post(`/api/places/${id}/readings`).send({ readings });
const read = async (id: string, from: number, to: number) =>
  ((await agent.get(`/api/places/${id}/ambient?from=${from}&to=${to}`).expect(200)).body as PlaceAmbient).recorded;

const placesTag = async () => (await agent.get('/api/places').expect(200)).headers.etag as string;
/** The table of a month. */
const tableOf = (at: number) => `ambient_readings_${new Date(at).toISOString().slice(0, 7).replace('-', '_')}`;

async function openPlace(by = agent): Promise<string> {
  const id = uuid();
  await by.put(`/api/places/${id}`).send({ name: `Shed ${id.slice(-6)}`, kind: 'shed', source: 'files', version: 0 }).expect(200); // prettier-ignore
  return id;
}

/** A reading every ten minutes: each hour is warmer by a tenth, and rises by half a degree within itself. */
const tenMinutes = (from: number, hours: number) =>
  Array.from({ length: hours * 6 }, (_, i) => ({
    at: from + i * 10 * MINUTE,
    temperature: 10 + Math.floor(i / 6) / 10 + (i % 6) / 10,
    humidity: 0.5,
  }));

describe('a place', () => {
  it('knows when it was read last, whoever puts readings in or takes them away, and tells that its air changed', async () => {
    const id = await openPlace();
    const owner = await new DataSource(ownerOptions(harness.config.ownerUrl)).initialize();
    const known = async () => {
      const [row] = await owner.query('select latest_reading::float8 as latest from places where id = $1', [id]);
      return (row as { latest: number | null }).latest;
    };
    try {
      expect(await known()).toBeNull();
      const tags = [await placesTag()];
      await send(id, tenMinutes(now - 2 * DAY, 2)).expect(200);
      expect(await known()).toBe(now - 2 * DAY + 110 * MINUTE);
      tags.push(await placesTag());
      await send(id, tenMinutes(now - 4 * DAY, 2)).expect(200);
      expect(await known()).toBe(now - 2 * DAY + 110 * MINUTE);
      tags.push(await placesTag());
      await owner.query('delete from ambient_readings where place_id = $1 and at > $2', [id, now - 3 * DAY]);
      expect(await known()).toBe(now - 4 * DAY + 110 * MINUTE);
      tags.push(await placesTag());
      expect(new Set(tags).size).toBe(4);
    } finally {
      await owner.destroy();
    }
  });
});

describe('many loggers', () => {
  it('that send at once are all taken in, and who looks at a screen meanwhile is not the last to be answered', async () => {
    const owners = [agent, await newWorkshop(harness, 'Elsewhere')];
    const loggers = await Promise.all(
      owners.flatMap((by) => Array.from({ length: 25 }, async () => ({ by, id: await openPlace(by) }))),
    );
    let taken = 0;
    const all = loggers.map(async ({ by, id }) => {
      const { body } = await send(id, tenMinutes(now - 20 * DAY, 400), by).expect(200);
      taken++;
      return (body as ReadingsTaken).kept;
    });
    await agent.get('/api/moulds/all').expect(200);
    expect(taken).toBeLessThan(loggers.length / 2);
    expect(new Set(await Promise.all(all))).toEqual(new Set([2400]));
  });
});

describe('months of readings', () => {
  it('that are long past keep the mean of each hour, without its spikes; newer ones keep every reading', async () => {
    const id = await openPlace();
    const [old, recent] = [monthsAgo(KEPT + 2), monthsAgo(KEPT - 1)];
    const readings = tenMinutes(old, 12);
    readings[8] = { ...readings[8]!, temperature: 60 };
    await send(id, [...readings, ...tenMinutes(recent, 12)]).expect(200);
    expect(await months().pack(now)).toHaveLength(1);
    const packed = await read(id, old - DAY, old + DAY);
    expect(packed.map(({ at }) => (at - old) / HOUR)).toEqual(Array.from({ length: 12 }, (_, hour) => hour + 0.5));
    expect(packed[0]).toMatchObject({ temperature: expect.closeTo(10.25, 3) as number, humidity: 0.5 });
    // Five of the six of its second hour, 10.1 to 10.6, are left: the one of 10.3 was read as 60.
    expect(packed[1]!.temperature).toBeCloseTo((10.1 + 10.2 + 10.4 + 10.5 + 10.6) / 5, 3);
    expect(await read(id, recent - DAY, recent + DAY)).toHaveLength(72);
    expect(await months().pack(now)).toEqual([]);
  });

  it('that are packed still take what comes late, and show it to nobody else', async () => {
    const [id, other] = [await openPlace(), await newWorkshop(harness, 'Elsewhere')];
    const old = monthsAgo(KEPT + 4);
    await send(id, tenMinutes(old, 2)).expect(200);
    await months().pack(now);
    expect((await send(id, tenMinutes(old + 3 * HOUR, 1)).expect(200)).body).toMatchObject({ kept: 6, twice: 0 });
    expect(await read(id, old, old + DAY)).toHaveLength(8);
    await other.get(`/api/places/${id}/ambient?from=${old}&to=${old + DAY}`).expect(404);
    const app = harness.app.get(DataSource);
    expect(await app.query(`select count(*)::int as seen from ${tableOf(old)}`)).toEqual([{ seen: 0 }]);
  });

  it('are packed once by two servers, while readings of them come and are read', async () => {
    const second = await startServer({ ownerUrl: harness.config.ownerUrl, readingMonths: KEPT });
    try {
      const ids = await Promise.all([openPlace(), openPlace(), openPlace()]);
      const old = monthsAgo(KEPT + 6);
      await Promise.all(ids.map((id) => send(id, tenMinutes(old, 48)).expect(200)));
      const [mine, theirs, ...answers] = await Promise.all([
        months().pack(now),
        months(second).pack(now),
        ...ids.map((id) => send(id, tenMinutes(old + 3 * DAY, 12)).then(({ status }) => status)),
        ...ids.map((id) => agent.get(`/api/places/${id}/ambient?from=${old}&to=${old + DAY}`).then(({ status }) => status)), // prettier-ignore
      ]);
      expect([...mine, ...theirs]).toHaveLength(1);
      expect(answers).toEqual(answers.map(() => 200));
      for (const id of ids) {
        const readings = await read(id, old, old + 2 * DAY - 1);
        expect(readings).toHaveLength(48);
        expect((await read(id, old + 3 * DAY, old + 4 * DAY)).length % 12).toBe(0);
      }
    } finally {
      await second.close();
    }
  });

  it('are answered anew when they are packed: what was at hand is of before', async () => {
    const id = await openPlace();
    const old = monthsAgo(KEPT + 8);
    await send(id, tenMinutes(old, 24)).expect(200);
    const before = await placesTag();
    await months().pack(now);
    expect(await placesTag()).not.toBe(before);
  });

  it('to come have their tables before anybody needs them', async () => {
    const there = async (month: number) => {
      const [row] = await harness.app
        .get(DataSource)
        .query('select to_regclass($1) is not null as there', [tableOf(month)]);
      return (row as { there: boolean }).there;
    };
    await months().makeAhead(now);
    expect(await Promise.all([0, -1, -2].map((ago) => there(monthsAgo(ago))))).toEqual([true, true, true]);
    expect(await there(monthsAgo(-3))).toBe(false);
  });
});
