// @ts-check
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { AS_PAGES } from './trial.mjs';
import { fillShelf } from './bench-shelf.mjs';
import { asking, cookieOf } from './load-people.mjs';
import { withState } from './bench-state.mjs';
import { wholePours } from './whole-pours.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('@playwright/test').APIRequestContext} Request */
/** @typedef {import('./bench-pours.mjs').Note} Note */

const HOUR = 3_600_000;
const EVERY = HOUR / 6;
const READINGS = 105_000;
const AT_ONCE = 5000;
const PLACES = ['the bench', 'the sill', 'the yard'];
const OPEN = 500;
const CLOSED = 500;
const ASKED = 60;
/** So long forty a second look at the shelf. */
const SECONDS = 10;

/** The time below which 95 of 100 answers came, ms. @param {() => Promise<unknown>} ask @param {() => Promise<unknown>} [before] */
async function p95(ask, before = () => Promise.resolve(/** @type {unknown} */ (undefined))) {
  await ask();
  const all = [];
  for (let i = 0; i < ASKED; i++) {
    await before();
    const begun = performance.now();
    await ask();
    all.push(performance.now() - begun);
  }
  return percentile(all, 0.95);
}

/** Sends something in. @param {Request} request @param {'put' | 'post'} method @param {string} path @param {object} data */
async function send(request, method, path, data) {
  const answer = await request[method](`/api/${path}`, { ...AS_PAGES, data, timeout: 120_000 });
  if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
}

/** Two years of readings in three places; answers readings a second. @param {Request} request */
async function fillPlaces(request) {
  const now = Date.now();
  let spent = 0;
  for (const [n, name] of PLACES.entries()) {
    const id = randomUUID();
    await send(request, 'put', `places/${id}`, { name, kind: 'shed', source: 'files', version: 0 });
    for (let from = 0; from < READINGS; from += AT_ONCE) {
      const readings = Array.from({ length: Math.min(AT_ONCE, READINGS - from) }, (_, i) => {
        const at = now - (READINGS - from - i) * EVERY;
        const day = Math.sin((at / HOUR / 24) * 2 * Math.PI);
        return {
          at,
          temperature: Math.round((12 + n + 6 * day + ((i * 7) % 10) / 10) * 10) / 10,
          humidity: 0.7 - day / 10,
        };
      });
      const begun = performance.now();
      await send(request, 'post', `places/${id}/readings`, { readings });
      spent += performance.now() - begun;
    }
  }
  return (PLACES.length * READINGS) / (spent / 1000);
}

/** Forty a second who look at it, the state being moved once a second: how long each took, ms. @param {() => Promise<{ ms: number }>} ask @param {() => Promise<unknown>} move */
async function byForty(ask, move) {
  const asked = Array.from({ length: 40 * SECONDS }, async (_, n) => {
    await wait((n * 1000) / 40);
    if (n % 40 === 0) await move();
    return (await ask()).ms;
  });
  const times = await Promise.all(asked);
  return `${percentile(times, 0.5).toFixed(0)} ms, p95 ${percentile(times, 0.95).toFixed(0)} ms`;
}

/** The shelf of 500 open casts with two years of readings in three places; then the same with as many closed ones. @param {import('@playwright/test').BrowserContext} context @param {Note} note @param {string} url @param {string} database */
export async function firstDays(context, note, url, database) {
  const { request } = context;
  const pours = (/** @type {number} */ casts) =>
    Array.from({ length: casts / 10 }, (_, n) => ({ count: 10, hours: 4 + n * 8, place: PLACES[n % PLACES.length] }));
  await fillShelf(request, pours(OPEN));
  note('Readings taken in', `${(await fillPlaces(request)).toFixed(0)} a second`, '5000 a second');
  const casts = async () => /** @type {{ id: string }[]} */ (await (await request.get('/api/casts/shelf')).json());
  const open = await casts();
  const event = (/** @type {string} */ id, /** @type {object} */ told) =>
    send(request, 'post', `casts/${id}/events`, { id: randomUUID(), at: Date.now() - HOUR, ...told });
  for (const { id } of open.slice(0, OPEN / 2)) await event(id, { type: 'demoulded', damage: [] });
  await withState(database, async (move) => {
    const made = async (/** @type {() => Promise<unknown>} */ ask) => `${(await p95(ask, move)).toFixed(0)} ms`;
    note(`Everything due to ${OPEN} open casts, 95 of 100 answers`, await made(casts), 'under 150 ms');
    const { ask, close } = asking(url);
    const cookie = await cookieOf(context);
    note('… forty a second who look, a change each second', await byForty(() => ask('GET', 'casts/shelf', { cookie }), move)); // prettier-ignore
    close();
    const one = open[OPEN - 1]?.id ?? '';
    note('One cast’s page, 95 of 100 answers', await made(() => request.get(`/api/casts/${one}`)), 'under 100 ms');
    for (const { id } of open.slice(OPEN / 2)) await event(id, { type: 'broken' });
    note(`… ${OPEN / 2} of them closed`, await made(casts), 'about half');
    await fillMore(request, CLOSED);
    note(`… and ${CLOSED} more closed ones`, await made(casts), 'no more');
  });
}

/** Closes so many casts more: the latest pour is poured again, and each of its casts breaks. @param {Request} request @param {number} count */
async function fillMore(request, count) {
  const [last] = await wholePours(request);
  if (!last) return;
  const pour = randomUUID();
  await send(request, 'put', `pours/${pour}`, { ...last.input, version: 0 });
  const made = Array.from({ length: 10 }, () => ({ id: randomUUID(), item: 0 }));
  await send(request, 'post', `pours/${pour}/finish`, {
    logs: last.parts.map((/** @type {{ log: object }} */ { log }) => log),
    casts: made,
    pouredAt: Date.now() - HOUR,
  });
  for (const { id } of made)
    await send(request, 'post', `casts/${id}/events`, { id: randomUUID(), at: Date.now() - HOUR / 2, type: 'broken' });
  if (count > 10) await fillMore(request, count - 10);
}
