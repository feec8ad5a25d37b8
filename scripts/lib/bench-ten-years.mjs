// @ts-check
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { withState } from './bench-state.mjs';
import { asking, cookieOf } from './load-people.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */
/** @typedef {import('@playwright/test').Page} Page */

const CASTS = 20_000;
const READINGS = 2_000_000;
const PLACES = 4;
const AT_ONCE = 5_000;
const EVERY = 600_000;
const LOOKS = 7;
/** Of a day on which somebody looks at one thing after the other. */
const ROUNDS = 12;
const SCREENS = { shelf: '/', casts: '/casts', pours: '/pours', calendar: '/calendar', findings: '/findings', season: '/findings/season', places: '/workshop/places' }; // prettier-ignore

/** The pours that are done and their casts that are out, again so many times, each time some days earlier. */
const COPIES = [
  `INSERT INTO pours SELECT (jsonb_populate_record(p, jsonb_build_object('id', md5(p.id || ':' || n)::uuid, 'number', p.number + n * 1000,
     'poured_at', p.poured_at - n * $3::bigint, 'started_at', p.started_at - n * $3::bigint))).*
   FROM pours p, generate_series(1, $2::int) n WHERE p.workshop_id = $1 AND p.status = 'finished'`,
  `INSERT INTO casts SELECT (jsonb_populate_record(c, jsonb_build_object('id', md5(c.id || ':' || n)::uuid, 'pour_id', md5(c.pour_id || ':' || n)::uuid,
     'code', c.code || '-' || n, 'poured_at', c.poured_at - n * $3::bigint, 'wakes_at', null,
     'projection', jsonb_set(c.projection, '{life,pouredAt}', to_jsonb(c.poured_at - n * $3::bigint))))).*
   FROM casts c, generate_series(1, $2::int) n WHERE c.workshop_id = $1 AND c.stage IN ('finished', 'broken')`,
  `INSERT INTO cast_events SELECT (jsonb_populate_record(e, jsonb_build_object('id', md5(e.id || ':' || n)::uuid, 'cast_id', md5(e.cast_id || ':' || n)::uuid,
     'event', jsonb_set(e.event, '{at}', to_jsonb((e.event ->> 'at')::numeric - n * $3::bigint))))).*
   FROM cast_events e JOIN casts c ON c.workshop_id = e.workshop_id AND c.id = e.cast_id, generate_series(1, $2::int) n
   WHERE c.workshop_id = $1 AND c.stage IN ('finished', 'broken') AND c.code !~ '-'`,
];

/** Ten years of casts, copied from what there is. @param {string} database @param {string} workshop */
async function copyCasts(database, workshop) {
  const client = new pg.Client(database);
  await client.connect();
  try {
    const { rows } = await client.query(`SELECT count(*)::int AS out FROM casts WHERE workshop_id = $1 AND stage IN ('finished', 'broken')`, [workshop]); // prettier-ignore
    const times = Math.ceil(CASTS / rows[0].out);
    const earlier = Math.round((10 * 365) / times) * 86_400_000;
    for (const copy of COPIES) await client.query(copy, [workshop, times, earlier]);
    await client.query('ANALYZE');
    const { rows: now } = await client.query('SELECT count(*)::int AS all FROM casts WHERE workshop_id = $1', [workshop]); // prettier-ignore
    return now[0].all;
  } finally {
    await client.end();
  }
}

/** Readings every ten minutes of as long, in places that take them. @param {string} url @param {string} cookie */
async function fillPlaces(url, cookie) {
  const { ask, close } = asking(url);
  const each = READINGS / PLACES;
  for (let place = 0; place < PLACES; place++) {
    const id = randomUUID();
    await ask('PUT', `places/${id}`, { cookie, data: { name: `Loft ${place}`, kind: 'shed', source: 'files', version: 0 } }); // prettier-ignore
    for (let from = 0; from < each; from += AT_ONCE) {
      const readings = Array.from({ length: AT_ONCE }, (_, i) => ({
        at: Date.now() - (each - from - i) * EVERY,
        temperature: Math.round(120 + 60 * Math.sin((from + i) / 23) + ((i * 7) % 10)) / 10,
        humidity: 0.7,
      }));
      const { status, text } = await ask('POST', `places/${id}/readings`, { cookie, data: { readings } });
      if (status !== 200) throw new Error(`Readings were refused: ${text}`);
    }
  }
  close();
}

/** Notes when something last came or went on the screen. */
function watchChanges() {
  Object.assign(globalThis, { lastChange: 0 });
  new MutationObserver(() => Object.assign(globalThis, { lastChange: performance.now() })).observe(document, {
    childList: true,
    subtree: true,
  });
}

/** How long each screen takes until it stands, with nothing at hand at the server: the middle of some visits, ms. @param {Page} page @param {() => Promise<unknown>} move */
async function timesOf(page, move) {
  /** @type {Record<string, number>} */
  const times = {};
  for (const [name, path] of Object.entries(SCREENS)) {
    const looks = [];
    for (let i = 0; i < LOOKS; i++) {
      await move();
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      looks.push(await page.evaluate(() => /** @type {any} */ (globalThis).lastChange));
    }
    // The first visit fetches what the browser keeps.
    times[name] = percentile(looks.slice(1), 0.5);
  }
  return times;
}

/** What the page takes after a day on it, MB. @param {Page} page */
async function memoryAfterADay(page) {
  const session = await page.context().newCDPSession(page);
  await page.goto('/');
  for (let round = 0; round < ROUNDS; round++)
    for (const path of Object.values(SCREENS)) {
      await page.evaluate((to) => {
        history.pushState(null, '', to);
        dispatchEvent(new PopStateEvent('popstate'));
      }, path);
      await page.waitForLoadState('networkidle');
      await page.waitForTimeout(300);
    }
  const used = async () => {
    const { usedSize } = await session.send('Runtime.getHeapUsage');
    return usedSize / 1e6;
  };
  const before = await used();
  await session.send('HeapProfiler.collectGarbage');
  return { before, after: await used() };
}

/** The demo's screens, then the same with ten years behind them. @param {Note} note @param {import('@playwright/test').BrowserContext} context @param {string} url @param {string} database */
export async function tenYears(note, context, url, database) {
  const { workshop } = await (await context.request.get('/api/session')).json();
  const page = await context.newPage();
  await page.addInitScript(watchChanges);
  const looked = () => withState(database, (move) => timesOf(page, move));
  // The first round is of a server and a browser that have hardly begun.
  await looked();
  const before = await looked();
  const casts = await copyCasts(database, workshop.id);
  await fillPlaces(url, await cookieOf(context));
  const after = await looked();
  for (const name of Object.keys(SCREENS)) {
    const [short = NaN, long = NaN] = [before[name], after[name]];
    note(`Ten years (${casts} casts, ${READINGS} readings), ${name}`, `${long.toFixed(0)} ms, ${(long / short).toFixed(2)} × the demo`, 'at most 1.5 × the demo'); // prettier-ignore
  }
  const { before: most, after: kept } = await memoryAfterADay(page);
  note(`… memory of the page after ${ROUNDS} rounds of ${Object.keys(SCREENS).length} screens`, `${most.toFixed(0)} MB, of which ${kept.toFixed(0)} MB are kept`, 'under 200 MB'); // prettier-ignore
  await page.close();
}
