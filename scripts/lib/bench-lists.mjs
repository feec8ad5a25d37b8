// @ts-check
import pg from 'pg';
import { fillShelf } from './bench-shelf.mjs';
import { withState } from './bench-state.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const CASTS = 5_000;
const ASKED = 40;

/** Copies of the casts there are, until the workshop has so many: as many years would make them. */
const COPIES = `
  INSERT INTO casts (id, workshop_id, pour_id, mould_id, code, stage, poured_at, mould_name, mix_name, damaged, snapshot, expected, projection)
  SELECT gen_random_uuid(), workshop_id, pour_id, mould_id, code, 'finished', poured_at - n * 3600000, mould_name, mix_name,
    n % 9 = 0, snapshot, expected, projection
  FROM (SELECT * FROM casts WHERE workshop_id = $1 LIMIT 100) AS kept, generate_series(1, $2::int) AS n`;

/** How long each of many answers takes that is made, ms. @param {import('@playwright/test').APIRequestContext} request @param {string} path @param {() => Promise<unknown>} move */
async function timesOf(request, path, move) {
  const times = [];
  for (let i = 0; i < ASKED; i++) {
    await move();
    const begun = performance.now();
    await (await request.get(`/api/${path}`)).body();
    times.push(performance.now() - begun);
  }
  return times;
}

/** Lists of a workshop with thousands of casts: a page as it is asked for, and as it is seen. @param {Note} note @param {import('@playwright/test').BrowserContext} context @param {string} database */
export async function longLists(note, context, database) {
  const { request } = context;
  await fillShelf(
    request,
    Array.from({ length: 20 }, (_, n) => ({ count: 5, hours: 900 + n })),
  );
  const { workshop } = await (await request.get('/api/session')).json();
  const client = new pg.Client(database);
  await client.connect();
  await client.query(COPIES, [workshop.id, CASTS / 100 - 1]);
  await client.query('ANALYZE casts');
  await client.end();
  for (const [what, path] of [
    ['its first page', 'casts'],
    ['a page by words and damage', 'casts?q=grey&damaged=yes&order=piece'],
  ]) {
    const times = await withState(database, (move) => timesOf(request, path ?? '', move));
    note(`A list of ${CASTS} casts, ${what}`, `${percentile(times, 0.95).toFixed(0)} ms (p95)`);
  }
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('heading', { name: 'Today', exact: true }).waitFor();
  await page.waitForLoadState('networkidle');
  const begun = performance.now();
  await page.getByRole('link', { name: 'Casts' }).first().click();
  await page.getByRole('row').nth(40).waitFor();
  note('… from the tap on “Casts” to its table', `${(performance.now() - begun).toFixed(0)} ms`);
  await page.close();
}
