// @ts-check
import pg from 'pg';
import { AS_PAGES } from './trial.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const CASTS = 5_000;
const YEARS = 10;
const ASKED = 30;

/** Copies of the demo's casts that are out, spread over ten years, until there are so many. */
const COPIES = `
  INSERT INTO casts (id, workshop_id, pour_id, mould_id, code, stage, poured_at, mould_name, mix_name, damaged, snapshot, expected, projection, finding)
  SELECT gen_random_uuid(), workshop_id, pour_id, mould_id, code || '-' || n, 'finished', poured_at - n * $2::bigint, mould_name, mix_name,
    damaged, snapshot, expected, projection, finding
  FROM (SELECT * FROM casts WHERE workshop_id = $1 AND finding IS NOT NULL ORDER BY poured_at LIMIT 80) AS kept, generate_series(1, $3::int) AS n`;

/** Findings over thousands of casts, and a season of ten years. @param {Note} note @param {import('@playwright/test').BrowserContext} context @param {string} database */
export async function findings(note, context, database) {
  const { request } = context;
  await request.post('/api/session/demo', AS_PAGES);
  await request.get('/api/findings/ways');
  const { workshop } = await (await request.get('/api/session')).json();
  const client = new pg.Client(database);
  await client.connect();
  const copies = Math.ceil(CASTS / 80);
  await client.query(COPIES, [workshop.id, Math.round((YEARS * 365 * 86_400_000) / copies), copies]);
  await client.query('ANALYZE casts');
  await client.end();
  const { rows } = await (await request.get('/api/casts?damaged=yes&size=100')).json();
  const faulty = rows.filter((/** @type {{ life: { faults?: object[] } }} */ { life }) => life.faults?.length);
  const timed = async (/** @type {string} */ path) => {
    const begun = performance.now();
    const answer = await request.get(`/api/${path}`);
    await answer.body();
    if (!answer.ok()) throw new Error(`${path}: ${answer.status()}`);
    return performance.now() - begun;
  };
  const many = async (/** @type {(i: number) => string} */ path) => {
    const times = [];
    for (let i = 0; i < ASKED; i++) times.push(await timed(path(i)));
    return `${percentile(times, 0.95).toFixed(0)} ms (p95)`;
  };
  note(`All ways over ${CASTS} casts, compared anew`, `${(await timed('findings/ways')).toFixed(0)} ms`, 'under 1 s');
  note('… kept until something changes', await many(() => 'findings/ways'));
  note(`Why a cast came out so, over ${CASTS} casts`, await many((i) => `findings/casts/${faulty[i % faulty.length].id}`), 'under 300 ms');
  note('What is watched', await many(() => 'findings/watch'));
  note('What was learned', await many(() => 'findings/learned'));
  note(`A season of ${YEARS} years`, await many(() => 'money/season?from=2000-01'), 'under 500 ms');
  await voids(note, context);
} // prettier-ignore

/** A photo of twelve megapixels with voids, drawn in the browser: from the tap to its marks. @param {Note} note @param {import('@playwright/test').BrowserContext} context */
async function voids(note, context) {
  const page = await context.newPage();
  await page.goto('/findings/voids');
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [4000, 3000];
    const pen = /** @type {CanvasRenderingContext2D} */ (canvas.getContext('2d'));
    pen.fillStyle = '#b8b4ac';
    pen.fillRect(0, 0, 4000, 3000);
    pen.fillStyle = '#3b3833';
    for (let i = 0; i < 400; i++) {
      pen.beginPath();
      pen.arc(300 + ((i * 619) % 3400), 300 + ((i * 373) % 2400), 8 + (i % 5) * 6, 0, 2 * Math.PI);
      pen.fill();
    }
    return canvas.toDataURL('image/jpeg', 0.9).split(',')[1] ?? '';
  });
  const photo = { name: 'face.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(base64, 'base64') };
  await page.getByLabel('Choose a photo').setInputFiles(photo);
  const find = page.getByRole('button', { name: 'Find voids' });
  await find.waitFor();
  const begun = performance.now();
  await find.click();
  await page.getByText(/^Grade \d of 5$/).waitFor();
  note('Voids of a photo of 12 megapixels, in a worker', `${(performance.now() - begun).toFixed(0)} ms`, 'under 3 s');
  await page.close();
}
