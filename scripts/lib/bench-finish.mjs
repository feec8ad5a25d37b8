// @ts-check
import { AS_PAGES } from './trial.mjs';
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { times } from './bench-mixes.mjs';
import { fillShelf } from './bench-shelf.mjs';
import { withState } from './bench-state.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const PIECES = 500;

/** Drying judged from weighings, and a simulation as a slider moves. @param {Note} note */
export async function finishing(note) {
  const { judgeDryDown, calculateDryDown } = await import('@dewpot/core/sealing');
  const { lessons, simulationPieces, simulate } = await import('@dewpot/core/simulation');
  const prior = { dry: 3900, loss: 260 };
  const weighings = Array.from({ length: 12 }, (_, day) => ({
    hour: 168 + 24 * day,
    mass: Math.round(3900 + 220 * Math.exp(-(((24 * day) / 100) ** 0.75))),
    step: 1,
  }));
  const fit = times(() => calculateDryDown(weighings, prior, 'portland'));
  note(
    'Twelve weighings fitted, its curve drawn',
    `${fit.middle.toFixed(1)} ms (longest ${fit.longest.toFixed(0)})`,
    'under 20 ms',
  );
  const begun = performance.now();
  for (let i = 0; i < PIECES; i++) judgeDryDown(weighings.slice(0, 3 + (i % 10)), prior, 'portland');
  note(`… ${PIECES} pieces judged again`, `${((performance.now() - begun) / 1000).toFixed(1)} s`, 'under 2 s');
  const { piece, start } = lessons.heatwave;
  const played = times(() => simulate(simulationPieces[piece], start));
  note(
    'Forty days simulated as a slider moves',
    `${played.middle.toFixed(1)} ms (longest ${played.longest.toFixed(0)})`,
    'under 16 ms',
  );
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** Median of some times, ms. @param {readonly number[]} all */
const median = (all) => all.toSorted((a, b) => a - b)[all.length >> 1] ?? NaN;

/** @param {() => Promise<unknown>} work */
async function taken(work) {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
}

/** A shelf of pots that dry, each weighed three times: listed, weighed once more, judged again. @param {Note} note @param {import('@playwright/test').APIRequestContext} request @param {string} database */
export async function dryingShelf(note, request, database) {
  const pours = Array.from({ length: 12 }, (_, n) => ({ count: 10, hours: 30 * 24 + 2 * n, place: 'the bench' }));
  await fillShelf(request, pours);
  const list = async () => (await request.get('/api/casts/shelf')).json();
  /** @param {string} id @param {number} ago @param {object} event */
  const tell = (id, ago, event) =>
    request.post(`/api/casts/${id}/events`, {
      ...AS_PAGES,
      data: { id: randomUUID(), at: Date.now() - ago, ...event },
    });
  const casts = await list();
  for (const { id, expected } of casts) {
    const left = (/** @type {number} */ day) => expected.loss * Math.exp(-day / 5);
    await tell(id, 28 * DAY, { type: 'demoulded', damage: [] });
    await tell(id, 20 * DAY, { type: 'uncovered' });
    for (const day of [1, 2, 3])
      await tell(id, (20 - day) * DAY, { type: 'weighed', mass: Math.round(expected.dry + left(day)), step: 1 });
  }
  const many = casts.length;
  /** @type {number[]} */
  const lists = [];
  await withState(database, async (move) => {
    for (let i = 0; i < 20; i++) {
      await move();
      lists.push(await taken(list));
    }
  });
  note(`A shelf of ${many} that dry, listed`, `${median(lists).toFixed(0)} ms`);
  const weighings = [];
  for (const { id, expected } of casts.slice(0, 20)) {
    const event = { type: 'weighed', mass: Math.round(expected.dry + 4), step: 1, sure: true };
    weighings.push(await taken(() => tell(id, HOUR, event)));
  }
  note('… one of ten like pieces weighed', `${median(weighings).toFixed(0)} ms`);
  const again = await judgedAgain(request, database);
  note(
    '… all judged again by another school, in the background',
    `${(again / 1000).toFixed(1)} s`,
    `under ${(2 * many) / PIECES} s`,
  );
}

/** Time until every cast that dries is written again once the school is changed, ms. @param {import('@playwright/test').APIRequestContext} request @param {string} database */
async function judgedAgain(request, database) {
  const { workshop } = await (await request.get('/api/session')).json();
  const client = new pg.Client(database);
  await client.connect();
  try {
    const { rows } = await client.query('select max(xmin::text::bigint) as latest from casts');
    return await taken(async () => {
      await request.put('/api/workshop', {
        ...AS_PAGES,
        data: { ...workshop, id: undefined, demo: undefined, drying: 'calendar' },
      });
      const old = () =>
        client.query(
          "select 1 from casts where workshop_id = $1 and stage = 'drying' and xmin::text::bigint <= $2 limit 1",
          [workshop.id, rows[0].latest],
        );
      while ((await old()).rows.length > 0) await new Promise((done) => setTimeout(done, 20));
    });
  } finally {
    await client.end();
  }
}
