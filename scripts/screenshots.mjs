// @ts-check
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { buildStale } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { run, say } from './lib/say.mjs';
import { AS_PAGES, startTrial } from './lib/trial.mjs';
import { wholePours } from './lib/whole-pours.mjs';

const folder = join(root, 'docs/screenshots');
const TABLE = { width: 1280, height: 800 };
const BENCH = { width: 390, height: 844 };

/** @typedef {{ name: string, path: string, size?: typeof TABLE, theme?: string, at?: string, press?: RegExp, scoops?: number, language?: string }} View */

/** The main views of the demo workshop. @param {(path: string) => Promise<any[]>} list @returns {Promise<View[]>} */
async function views(list) {
  const moulds = await list('moulds/all');
  const mixes = await list('mixes/all');
  const casts = await list('casts/shelf');
  const nested = moulds.find(({ name }) => name.startsWith('Nested'));
  const brick = mixes.find(({ name }) => name.startsWith('Brick'));
  const [lower, upper] = casts.filter(
    ({ stage, snapshot }) => stage === 'drying' && snapshot.mouldName.startsWith('Hexagon'),
  );
  const grey = mixes.find(({ name }) => name.startsWith('Garden'));
  const drying = casts
    .filter(({ stage }) => stage === 'drying')
    .sort((a, b) => b.life.weighings.length - a.life.weighings.length)[0];
  const damp = casts.find(({ code }) => code.startsWith('29'));
  const { tints } = /** @type {{ tints: any[] }} */ (/** @type {unknown} */ (await list('tints/all')));
  const oldBrick = tints.find(({ name }) => name.startsWith('Old brick'));
  const { rows: houses } = /** @type {{ rows: any[] }} */ (/** @type {unknown} */ (await list('patterns?kind=house')));
  const house = houses[0];
  const plan = `/pours/new?mould=${nested.id}&mix=${grey.id}`;
  return [
    { name: 'shelf', path: '/' },
    { name: 'shelf-dark', path: '/', theme: 'lamplight' },
    { name: 'shelf-phone', path: '/', size: BENCH },
    { name: 'pattern', path: `/patterns/${house.id}` },
    { name: 'measure', path: '/moulds/measure' },
    { name: 'mould', path: `/moulds/${nested.id}` },
    { name: 'assemble', path: `/casts/join?with=${lower.id}&with=${upper.id}`, theme: 'lamplight' },
    { name: 'calendar', path: '/calendar' },
    { name: 'mix', path: `/mixes/${brick.id}` },
    { name: 'simulate', path: '/casts/try', press: /^Ponerla al lado/, language: 'es' },
    { name: 'tints', path: '/tints' },
    { name: 'tint', path: `/tints/${oldBrick.id}`, theme: 'lamplight' },
    { name: 'bands', path: `/pours/${PLANNED}` },
    { name: 'sheet', path: plan, scoops: 3 },
    { name: 'findings', path: '/findings', theme: 'lamplight' },
    { name: 'timeline', path: `/pours/${PLANNED}`, at: 'Timeline of the pour' },
    { name: 'bench-phone', path: `/pours/${STARTED}/bench`, size: BENCH, press: /at once$/ },
    { name: 'cast', path: `/casts/${drying.id}` },
    { name: 'curing', path: `/casts/${damp.id}`, at: 'Moist curing', theme: 'lamplight' },
  ];
}

/** What was chosen is calculated again beside the screen, ms. */
const SETTLES = 1500;

/** So many of a mould in scoops alone, with nothing to spare. @param {import('@playwright/test').Page} page @param {number} count */
async function inScoops(page, count) {
  await page.getByLabel(/^How many of/).fill(String(count));
  await page.getByText('Waste, conditions and use').click();
  await page.getByLabel('Waste allowance').selectOption({ label: '0 %' });
  await page.getByText('Waste, conditions and use').click();
  await page.waitForTimeout(SETTLES);
  await page.getByText('Measuring', { exact: true }).click();
  await page
    .getByText(/^By several scoops/)
    .first()
    .click();
  await page.getByText('Measuring', { exact: true }).click();
  await page.waitForTimeout(SETTLES);
}

/** The key of the pour in bands that is planned for its picture. */
const PLANNED = '01a20000-0000-7000-8000-000000000001';

/** The key of the pour with a picture in its face. */
const LAID = '01a20000-0000-7000-8000-000000000003';

/** A flower of five petals with a round heart, closed loops in mm. */
const flower = [64, 14].map((radius, heart) =>
  Array.from({ length: 120 }, (_, i) => {
    const turn = (2 * Math.PI * i) / 120;
    const r = heart ? radius : radius + 22 * Math.cos(5 * turn);
    return [r * Math.sin(turn) + (heart ? 0 : 1), r * Math.cos(turn)];
  }),
);

/** Plans a stepping round with a flower off its middle. @param {import('@playwright/test').APIRequestContext} request */
async function planInset(request) {
  const moulds = await (await request.get('/api/moulds/all')).json();
  const pours = await wholePours(request);
  const { id: mouldId } = moulds.find((/** @type {any} */ { name }) => name.startsWith('Wave-edged'));
  const inset = { name: 'Flower', face: 'mould', thickness: 4, loops: flower, x: 22, y: 12 };
  const { input } = pours.find((/** @type {any} */ { parts }) => parts[0].plan.binderClass === 'portland');
  await request.put(`/api/pours/${LAID}`, {
    ...AS_PAGES,
    data: { ...input, items: [{ mouldId, count: 1, inset }], matches: undefined, version: 0 },
  });
}

/** The key of the pour that is at the bench for its picture. */
const STARTED = '01a20000-0000-7000-8000-000000000002';

/** Begins a pour and brings it to its water. @param {import('@playwright/test').APIRequestContext} request */
async function beginPour(request) {
  const pours = await wholePours(request);
  const { input } = pours.find((/** @type {any} */ { parts }) => parts[0].plan.binderClass === 'portland');
  await request.put(`/api/pours/${STARTED}`, { ...AS_PAGES, data: { ...input, version: 0 } });
  await request.post(`/api/pours/${STARTED}/start`, AS_PAGES);
  const at = Date.now() - 60_000;
  const done = ['lay-out', 'release', 'release-dries', 'cores', '0.0.weigh'].map((step) => ({ kind: 'done', step }));
  for (const event of [...done, { kind: 'begin', step: '0.0.mix' }])
    await request.post(`/api/pours/${STARTED}/run`, { ...AS_PAGES, data: { events: [{ ...event, id: uuid(), at }] } });
}

/** Plans once more what was poured in bands. @param {import('@playwright/test').APIRequestContext} request */
async function planBands(request) {
  const pours = await wholePours(request);
  const { input } = pours.find((/** @type {any} */ one) =>
    one.input.items.some((/** @type {any} */ { colouring }) => colouring?.kind === 'banded'),
  );
  await request.put(`/api/pours/${PLANNED}`, { ...AS_PAGES, data: { ...input, version: 0 } });
}

async function main() {
  ensureNode();
  ensurePackages();
  const executablePath = ensureChromium();
  buildStale();
  mkdirSync(folder, { recursive: true });
  const trial = await startTrial({ demo: true });
  const browser = await chromium.launch({ executablePath, args: process.getuid?.() === 0 ? ['--no-sandbox'] : [] });
  try {
    const door = await browser.newContext({ baseURL: trial.url });
    await door.request.post('/api/session/demo', AS_PAGES);
    await planBands(door.request);
    await beginPour(door.request);
    await planInset(door.request);
    const storageState = await door.storageState();
    for (const { name, path, size = TABLE, theme = 'limewash', at, press, scoops, language = 'en' } of await views(
      async (list) => (await door.request.get(`/api/${list}`)).json(),
    )) {
      const context = await browser.newContext({
        baseURL: trial.url,
        viewport: size,
        storageState,
        reducedMotion: 'reduce',
      });
      const page = await context.newPage();
      await page.addInitScript(
        (chosen) => Object.entries(chosen).forEach(([key, value]) => localStorage.setItem(key, value)),
        { 'dew-pot-theme': theme, 'dew-pot-language': language },
      );
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => document.fonts.ready);
      // What is still fetched or calculated says so.
      await page.waitForFunction(() =>
        [...document.querySelectorAll('[role=status]')].every((one) => !one.textContent?.trim().endsWith('…')),
      );
      if (scoops) await inScoops(page, scoops);
      if (press) await page.getByRole('button', { name: press }).click();
      if (at)
        await page.getByRole('region', { name: at }).evaluate((region) => region.scrollIntoView({ block: 'center' }));
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await context.close();
      say(`${name}.png`);
    }
  } finally {
    await browser.close();
    await trial.stop();
  }
}

run(main);
