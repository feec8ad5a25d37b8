// @ts-check
import { randomUUID } from 'node:crypto';
import { Agent, request as open } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { fillShelf } from './bench-shelf.mjs';
import { AS_PAGES } from './trial.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {{ status: number, ms: number, tag: string | undefined, cookie: string | undefined, text: string }} Answer */
/** @typedef {{ cookie: string, casts: readonly string[], tags: Map<string, string> }} Person */
/** @typedef {{ what: string, count: number, failed: number, p50: number, p95: number, p99: number }} LoadRow */
/** @typedef {{ perSecond: number, unchanged: number, rows: LoadRow[] }} Load what was answered: requests a second, the share that had not changed, and the times in ms by what was asked */

const WORKSHOPS = 10;
const PEOPLE_EACH = 5;
/** Of so many requests of a person one tells that something happened. */
const WRITES = 200;
/** How far people are from one another in their rounds, so that not all of a workshop tell something at once. */
const STRIDE = 41;
/** What people look at, one after the other. */
const LOOKED_AT = ['casts/shelf', 'moulds/all', 'store', 'places', 'session', 'mixes/all', 'casts/shelf', 'pours'];
export const WRITTEN = 'an event written';

/** Asks a server as a browser does, over connections that are kept. @param {string} url */
export function asking(url) {
  const { hostname, port } = new URL(url);
  const agent = new Agent({ keepAlive: true });
  /** As a browser asks: what it has is asked for by its tag. @param {string} method @param {string} path @param {{ cookie?: string, tag?: string | undefined, data?: object }} [more] @returns {Promise<Answer>} */
  const ask = (method, path, { cookie = '', tag, data } = {}) =>
    new Promise((done, failed) => {
      const begun = performance.now();
      const body = data && JSON.stringify(data);
      const headers = {
        ...AS_PAGES.headers,
        cookie,
        ...(tag && { 'if-none-match': tag }),
        ...(body && { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }),
      };
      const request = open({ hostname, port, method, path: `/api/${path}`, agent, headers }, (answer) => {
        /** @type {Buffer[]} */
        const parts = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('end', () => {
          const { statusCode: status = 0, headers: got } = answer;
          const ms = performance.now() - begun;
          done({ status, ms, tag: got.etag, cookie: got['set-cookie']?.[0]?.split(';')[0], text: String(Buffer.concat(parts)) });
        }); // prettier-ignore
      });
      request.on('error', failed);
      request.end(body);
    });
  return { ask, close: () => agent.destroy() };
}

/** What a browser's session is told by. @param {import('@playwright/test').BrowserContext} context */
export const cookieOf = async (context) => (await context.cookies()).map(({ name, value }) => `${name}=${value}`).join('; '); // prettier-ignore

/** People of a workshop with a shelf of pots. @param {ReturnType<typeof asking>['ask']} ask @returns {Promise<Person[]>} */
export async function peopleOf(ask) {
  let cookie = '';
  const send = (/** @type {string} */ method) => async (/** @type {string} */ path, /** @type {{ data?: object }} */ { data } = {}) => {
    const answer = await ask(method, path.replace('/api/', ''), { cookie, ...(data && { data }) });
    cookie = answer.cookie ?? cookie;
    return { json: () => JSON.parse(answer.text) };
  }; // prettier-ignore
  const request = { get: send('GET'), put: send('PUT'), post: send('POST') };
  await fillShelf(/** @type {any} */ (request), [{ count: 6, hours: 20 }, { count: 4, hours: 200 }]); // prettier-ignore
  const casts = (await request.get('/api/casts/shelf')).json().map((/** @type {{ id: string }} */ { id }) => id);
  return Array.from({ length: PEOPLE_EACH }, () => ({ cookie, casts, tags: new Map() }));
}

/**
 * Fifty people in ten workshops, each asking for one thing after the other, and now and then telling one: every so many ms, or with 0
 * as fast as the answers come.
 * @param {string} url @param {number} seconds @param {number} every @returns {Promise<Load>}
 */
export async function loadByPeople(url, seconds, every) {
  const { ask, close } = asking(url);
  const people = [];
  for (let i = 0; i < WORKSHOPS; i++) people.push(...(await peopleOf(ask)));
  /** @type {Map<string, Answer[]>} */
  const answers = new Map([...new Set(LOOKED_AT), WRITTEN].map((what) => [what, []]));
  const until = performance.now() + seconds * 1000;
  const next = async (/** @type {Person} */ { cookie, casts, tags }, /** @type {number} */ i) => {
    const path = LOOKED_AT[i % LOOKED_AT.length] ?? '';
    if (i % WRITES > 0) {
      const answer = await ask('GET', path, { cookie, tag: tags.get(path) });
      if (answer.tag) tags.set(path, answer.tag);
      return answers.get(path)?.push(answer);
    }
    const data = { id: randomUUID(), at: Date.now(), type: 'moved', place: `Shelf ${i}` };
    return answers.get(WRITTEN)?.push(await ask('POST', `casts/${casts[i % casts.length]}/events`, { cookie, data }));
  };
  await Promise.all(
    people.map(async (one, n) => {
      await wait((every * n) / people.length);
      for (let i = n * STRIDE, at = performance.now(); at < until; i++) {
        await next(one, i);
        // Who was kept waiting does not ask for what they missed.
        at = Math.max(at + every, performance.now());
        await wait(at - performance.now());
      }
    }),
  );
  close();
  const all = [...answers.values()].flat();
  return {
    perSecond: all.length / seconds,
    unchanged: all.filter(({ status }) => status === 304).length / all.length,
    rows: [...answers].map(([what, given]) => {
      const times = given.map(({ ms }) => ms);
      const failed = given.filter(({ status }) => status >= 400).length;
      return {
        what,
        count: given.length,
        failed,
        p50: percentile(times, 0.5),
        p95: percentile(times, 0.95),
        p99: percentile(times, 0.99),
      };
    }),
  };
}
