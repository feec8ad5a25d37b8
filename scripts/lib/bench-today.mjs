// @ts-check
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { asking, peopleOf } from './load-people.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const CASTS = 500;
const EACH_POUR = 10;
const SECONDS = 20;
const PER_SECOND = 40;

/** Pours of five weeks, so that some casts set, some are kept damp and some dry. */
const pours = Array.from({ length: CASTS / EACH_POUR }, (_, n) => ({ count: EACH_POUR, hours: 2 + 16 * n, place: `Shelf ${n % 3}` })); // prettier-ignore

/** A workshop with 500 open casts: Today is read 40 times a second while something is told of a cast once a second. @param {Note} note @param {string} url */
export async function todayOfMany(note, url) {
  const { ask, close } = asking(url);
  const [{ cookie, casts } = { cookie: '', casts: [] }] = await peopleOf(ask, pours);
  /** @type {Record<'read' | 'told', number[]>} */
  const times = { read: [], told: [] };
  const tell = async (/** @type {number} */ n) => {
    const data = { id: randomUUID(), at: Date.now(), type: 'moved', place: `Shelf ${n % 3}` };
    times.told.push((await ask('POST', `casts/${casts[n % casts.length]}/events`, { cookie, data })).ms);
  };
  const asked = [];
  const begun = performance.now();
  for (let n = 0; n < SECONDS * PER_SECOND; n++) {
    await wait(Math.max(0, begun + (n * 1000) / PER_SECOND - performance.now()));
    if (n % PER_SECOND === 0) asked.push(tell(n));
    asked.push(ask('GET', 'casts/shelf', { cookie }).then(({ ms }) => times.read.push(ms)));
  }
  await Promise.all(asked);
  close();
  const both = (/** @type {number[]} */ all) =>
    `${percentile(all, 0.5).toFixed(0)} ms, p95 ${percentile(all, 0.95).toFixed(0)} ms`;
  note(
    `Today of ${casts.length} open casts, read ${PER_SECOND} times a second`,
    `${(times.read.length / ((performance.now() - begun) / 1000)).toFixed(0)} a second: ${both(times.read)}`,
    '40 a second',
  );
  note('… while an event a second is told', both(times.told));
}
