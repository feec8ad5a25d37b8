// @ts-check
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';

/** @typedef {{ url: string, alive: () => boolean }} Target */
/** @typedef {{ acknowledged: number, lost: string[], refused: number, slow: number[], silence: number }} ChaosReport `silence`: the longest time in which nobody's write was acknowledged, ms */

const HEADERS = { 'content-type': 'application/json', 'sec-fetch-site': 'same-origin' };
/** A server says for so long what it last knew of its database, ms. */
const REMEMBERS = 1_100;
/** A server that is healthy again later than this has not recovered, ms. */
const RECOVERS = 30_000;

/** @param {string} url @param {string} method @param {string} path @param {object} [body] @param {string} [cookie] */
async function ask(url, method, path, body, cookie) {
  const answer = await fetch(`${url}/api/${path}`, {
    method,
    headers: { ...HEADERS, ...(cookie && { cookie }) },
    ...(body && { body: JSON.stringify(body) }),
    signal: AbortSignal.timeout(10_000),
  });
  const text = await answer.text();
  return { status: answer.status, body: text ? JSON.parse(text) : undefined, cookie: answer.headers.get('set-cookie') };
}

/** A workshop of its own, whose session holds at every server. @param {string} url */
async function signUp(url) {
  const account = { email: `${randomUUID()}@example.org`, passphrase: 'a long passphrase' };
  await ask(url, 'POST', 'workshops', { workshop: 'Chaos', name: 'Ada', ...account });
  const { cookie } = await ask(url, 'POST', 'session', account);
  return String(cookie).split(';')[0] ?? '';
}

/** The longest time in which nothing happened, ms. @param {readonly number[]} times in their order */
const longestSilence = (times) => Math.max(0, ...times.slice(1).map((time, i) => time - (times[i] ?? time)));

/** Writes scoops for as long as it goes on; what was acknowledged has to be there at the end. */
class Writer {
  /** @type {Map<string, string>} */
  acknowledged = new Map();
  /** When writes were acknowledged, ms. @type {number[]} */
  times = [];
  refused = 0;
  over = false;

  /** @param {readonly Target[]} targets @param {string} cookie */
  constructor(targets, cookie) {
    this.targets = targets;
    this.cookie = cookie;
  }

  async run() {
    for (let i = 0; !this.over; i++) {
      const target = this.targets[i % this.targets.length];
      const [id, name] = [randomUUID(), `Scoop ${i}`];
      try {
        const { status } = await ask(
          target?.url ?? '',
          'PUT',
          `scoops/${id}`,
          { name, volume: 300, version: 0 },
          this.cookie,
        );
        if (status === 200) {
          this.acknowledged.set(id, name);
          this.times.push(performance.now());
          continue;
        }
      } catch {
        // The server died under the request: whether it was kept is not known, and nobody was told that it was.
      }
      this.refused++;
      await wait(20);
    }
  }

  stop() {
    this.over = true;
  }
}

/** Until a server is ready, ms; undefined where it is not in time. @param {string} url */
async function recovery(url) {
  const start = performance.now();
  await wait(REMEMBERS);
  while (performance.now() - start < RECOVERS) {
    try {
      const { status } = await ask(url, 'GET', 'health');
      if (status === 200) return performance.now() - start;
    } catch {
      // It is not back yet.
    }
    await wait(25);
  }
  return undefined;
}

/**
 * Kills parts of a running Dew Pot while clients write, and checks that each write that was acknowledged is there.
 * @param {{ targets: readonly Target[], blows: readonly { name: string, strike: () => Promise<void> }[], rounds: number, tell?: (text: string) => void, every?: number }} options `tell` is told of every so many rounds
 * @returns {Promise<ChaosReport>}
 */
export async function chaos({ targets, blows, rounds, tell = () => undefined, every = 10 }) {
  const [first] = targets;
  if (!first) throw new Error('Chaos wants a server.');
  const cookie = await signUp(first.url);
  const writers = Array.from({ length: 4 }, () => new Writer(targets, cookie));
  const writing = writers.map((writer) => writer.run());
  /** @type {number[]} */
  const slow = [];
  /** @type {string[]} */
  const lost = [];
  for (let round = 0; round < rounds; round++) {
    const blow = blows[round % blows.length];
    await wait(100 + ((round * 37) % 200));
    await blow?.strike();
    for (const { url } of targets) {
      const took = await recovery(url);
      if (took === undefined)
        lost.push(`${blow?.name}, round ${round}: ${url} was not healthy within ${RECOVERS / 1000} s`);
      else slow.push(took);
    }
    if (round % every === every - 1)
      tell(`${round + 1} of ${rounds}: slowest recovery ${(Math.max(...slow) / 1000).toFixed(1)} s`);
  }
  writers.forEach((writer) => writer.stop());
  await Promise.all(writing);
  const { body } = await ask(first.url, 'GET', 'store', undefined, cookie);
  const there = new Map(body.scoops.map((/** @type {{ id: string, name: string }} */ { id, name }) => [id, name]));
  for (const { acknowledged } of writers)
    for (const [id, name] of acknowledged)
      if (there.get(id) !== name) lost.push(`${name} was acknowledged and is gone`);
  return {
    acknowledged: writers.reduce((sum, { acknowledged }) => sum + acknowledged.size, 0),
    refused: writers.reduce((sum, { refused }) => sum + refused, 0),
    lost,
    slow,
    silence: longestSilence(writers.flatMap(({ times }) => times).sort((a, b) => a - b)),
  };
}
