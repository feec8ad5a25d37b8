// @ts-check
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { WRITTEN } from './load-people.mjs';
import { root } from './paths.mjs';
import { AS_PAGES } from './trial.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-pours.mjs').Note} Note */
/** @typedef {{ status: number, ms: number }} Answer */

const PEOPLE = 50;
const STREAMS = 200;

/** @param {string} url @param {string} path @param {{ cookie?: string, body?: object, method?: string }} [more] @returns {Promise<Answer & { text: string }>} */
async function ask(url, path, { cookie, body, method = body ? 'POST' : 'GET' } = {}) {
  const begun = performance.now();
  const answer = await fetch(`${url}/api/${path}`, {
    method,
    headers: { ...AS_PAGES.headers, 'content-type': 'application/json', ...(cookie && { cookie }) },
    ...(body && { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  return { status: answer.status, ms: performance.now() - begun, text };
}

/** Someone with a workshop of their own; answers the cookie of their session. @param {string} url */
export async function someone(url) {
  const account = { email: `${randomUUID()}@example.org`, passphrase: 'a long passphrase' };
  await ask(url, 'workshops', { body: { workshop: 'Busy', name: 'Ada', ...account } });
  const { headers } = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { ...AS_PAGES.headers, 'content-type': 'application/json' },
    body: JSON.stringify(account),
  });
  return String(headers.get('set-cookie')).split(';')[0] ?? '';
}

/** The costliest question that the limits let through, kept going by eight at once. @param {string} url @param {() => boolean} over */
async function calculating(url, over) {
  const volumes = Array.from({ length: 500 }, (_, i) => 4000 + ((i * 7919) % 5000));
  const body = { volumes, bucket: 14_000, potLife: 600, mixing: 1, filling: 0.1 };
  const one = async () => {
    while (!over()) await ask(url, 'calculate/pours/batches', { body });
  };
  await Promise.all(Array.from({ length: 8 }, one));
}

/** What others wait for while the server calculates the worst that it may. @param {string} url @param {string} cookie @param {Note} note */
async function besideCalculation(url, cookie, note) {
  let over = false;
  const calculation = calculating(url, () => over);
  await wait(1_000);
  for (const [what, path] of [
    ['Health', 'health'],
    ['A list of moulds', 'moulds'],
  ]) {
    const times = [];
    for (let i = 0; i < 200; i++) times.push((await ask(url, path ?? '', { cookie })).ms);
    note(
      `${what}, while eight calculate the worst that is allowed`,
      `${percentile(times, 0.95).toFixed(0)} ms (p95)`,
      'under 50 ms',
    );
  }
  over = true;
  await calculation;
}

/** Fifty people at work, by a program of its own: nothing else that is measured stands beside it. @param {string} url @param {Note} note */
function fifty(url, note) {
  const program = spawnSync(process.execPath, ['scripts/load.mjs', '--url', url, '--json'], { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] }); // prettier-ignore
  const { perSecond, unchanged, rows } = /** @type {import('./load-people.mjs').Load} */ (JSON.parse(String(program.stdout)));
  const failed = rows.reduce((sum, row) => sum + row.failed, 0);
  note(
    'Fifty people in ten workshops for 60 s',
    `${perSecond.toFixed(0)} requests a second, ${(unchanged * 100).toFixed(0)} % unchanged, ${failed} failed`,
    'at least 1,000, none failed',
  );
  for (const { what, p50, p95 } of rows)
    note(
      `… ${what}`,
      `${p50.toFixed(0)} ms, p95 ${p95.toFixed(0)} ms`,
      ['casts/shelf', WRITTEN].includes(what) ? 'p95 under 60 ms' : '',
    );
} // prettier-ignore

/** Two hundred streams, and how soon all hear of a change. @param {string} url @param {readonly string[]} cookies @param {Note} note */
async function streams(url, cookies, note) {
  const [first = ''] = cookies;
  /** @type {(() => void)[]} */
  const heard = [];
  const open = Array.from({ length: STREAMS }, (_, i) => {
    const cookie = i < 20 ? first : (cookies[1 + (i % (cookies.length - 1))] ?? '');
    return new Promise((done) => {
      const asked = get(`${url}/api/places/stream`, { headers: { cookie } }, (answer) => {
        answer.on('data', (text) => String(text).includes('data: ') && (heard[i]?.(), done(asked)));
      });
      asked.on('error', () => undefined);
    });
  });
  const asked = await Promise.all(open);
  const times = [];
  for (let round = 0; round < 10; round++) {
    const begun = performance.now();
    const all = Promise.all(
      Array.from({ length: 20 }, (_, i) => new Promise((done) => (heard[i] = () => done(undefined)))),
    );
    const places = JSON.parse((await ask(url, 'places', { cookie: first })).text);
    const file = places.find((/** @type {{ source: string }} */ { source }) => source === 'files');
    const readings = [{ at: Date.now() - 60_000 + round, temperature: 10 + round, humidity: 0.5 }];
    await ask(url, `places/${file.id}/readings`, { cookie: first, body: { readings } });
    await all;
    times.push(performance.now() - begun);
  }
  asked.forEach((one) => /** @type {import('node:http').ClientRequest} */ (one).destroy());
  note(
    `${STREAMS} streams: a reading, until twenty have heard of it`,
    `${percentile(times, 0.95).toFixed(0)} ms (p95)`,
    '',
  );
}

/** What many at once wait for. @param {string} url @param {Note} note */
export async function load(url, note) {
  const cookies = [];
  for (let i = 0; i < PEOPLE; i++) cookies.push(await someone(url));
  const [first = ''] = cookies;
  await ask(url, `places/${randomUUID()}`, {
    cookie: first,
    method: 'PUT',
    body: { name: 'Loft', kind: 'shed', source: 'files', version: 0 },
  });
  await besideCalculation(url, first, note);
  fifty(url, note);
  await streams(url, cookies, note);
}
