// @ts-check
import { randomBytes } from 'node:crypto';
import pg from 'pg';
import sharp from 'sharp';
import { AS_PAGES } from './trial.mjs';
import { fillShelf } from './bench-shelf.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const CASTS = 2_000;
const PHOTOS = 500;
/** Events of a cast, as a year of it has them. */
const EVENTS = 20;

const COPIES = `
  INSERT INTO casts (id, workshop_id, pour_id, mould_id, code, stage, poured_at, mould_name, mix_name, damaged, snapshot, expected, projection)
  SELECT gen_random_uuid(), workshop_id, pour_id, mould_id, code, 'finished', poured_at - n * 3600000, mould_name, mix_name,
    false, snapshot, expected, projection
  FROM (SELECT * FROM casts WHERE workshop_id = $1 LIMIT 100) AS kept, generate_series(1, $2::int) AS n`;
const NOTED = `
  INSERT INTO cast_events (id, workshop_id, cast_id, event)
  SELECT gen_random_uuid(), workshop_id, id, jsonb_build_object('v', 1, 'id', gen_random_uuid(), 'at', poured_at, 'type', 'wetted')
  FROM casts, generate_series(1, $2::int) WHERE workshop_id = $1`;
const SHOWN = `
  WITH photo AS (
    INSERT INTO photos (workshop_id, sum, large, bytes) VALUES ($1, sha256($2), $2, octet_length($2::bytea)) RETURNING sum)
  INSERT INTO cast_pictures (id, workshop_id, cast_id, width, height, photo, at)
  SELECT gen_random_uuid(), $1, id, 640, 480, sum, 0 FROM photo, (SELECT id FROM casts WHERE workshop_id = $1 LIMIT 1) AS shown`;

/** A photo that nothing compresses, about 150 kB. */
const photo = () =>
  sharp(randomBytes(640 * 480 * 3), { raw: { width: 640, height: 480, channels: 3 } })
    .webp({ quality: 45 })
    .toBuffer();

/** A workshop of 2,000 casts and 500 photos, out as an archive and in again. @param {Note} note @param {import('@playwright/test').Browser} browser @param {Awaited<ReturnType<typeof import('./trial.mjs').startTrial>>} trial */
export async function archives(note, browser, trial) {
  const { request } = await browser.newContext({ baseURL: trial.url });
  await fillShelf(
    request,
    Array.from({ length: 20 }, (_, n) => ({ count: 5, hours: 900 + n })),
  );
  const { workshop } = await (await request.get('/api/session')).json();
  const client = new pg.Client(trial.database);
  await client.connect();
  await client.query(COPIES, [workshop.id, CASTS / 100 - 1]);
  await client.query(NOTED, [workshop.id, EVENTS]);
  for (let i = 0; i < PHOTOS; i++) await client.query(SHOWN, [workshop.id, await photo()]);
  await client.end();
  const timed = async (/** @type {() => Promise<import('@playwright/test').APIResponse>} */ work) => {
    const begun = performance.now();
    const answer = await work();
    if (!answer.ok()) throw new Error(`${answer.url()} answered ${answer.status()}: ${await answer.text()}`);
    return { body: await answer.body(), seconds: (performance.now() - begun) / 1000 };
  };
  const out = await timed(() => request.get('/api/archive', { timeout: 0 }));
  note(
    `An archive of ${CASTS} casts and ${PHOTOS} photos, ${(out.body.length / 2 ** 20).toFixed(0)} MB, out`,
    `${out.seconds.toFixed(1)} s`,
    '60 s',
  );
  const other = (await browser.newContext({ baseURL: trial.url })).request;
  const account = { email: `${randomBytes(5).toString('hex')}@example.org`, passphrase: 'a long passphrase' };
  await other.post('/api/workshops', { ...AS_PAGES, data: { workshop: 'Elsewhere', name: 'Ada', ...account } });
  await other.post('/api/session', { ...AS_PAGES, data: account });
  const headers = { ...AS_PAGES.headers, 'Content-Type': 'application/zip' };
  const back = await timed(() => other.post('/api/archive/import', { headers, data: out.body, timeout: 0 }));
  note('… and into another workshop', `${back.seconds.toFixed(1)} s`, '60 s');
  note('… with this much memory of the server at the most', `${trial.peakMemory().toFixed(0)} MB`, '512 MB');
}
