// @ts-check
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { mixEditing, mixSolving, swatchesFollow, tintSearch } from './lib/bench-mixes.mjs';
import { measures } from './lib/bench-measures.mjs';
import { meshInBrowser, meshVolumes, sectionRedraw } from './lib/bench-moulds.mjs';
import { patternsAndCutting } from './lib/bench-patterns.mjs';
import { dryingShelf, finishing } from './lib/bench-finish.mjs';
import { findings } from './lib/bench-findings.mjs';
import { firstDays } from './lib/bench-first-days.mjs';
import { benchSteps, replanning } from './lib/bench-pours.mjs';
import { planning } from './lib/bench-calendar.mjs';
import { answers } from './lib/bench-answers.mjs';
import { archives } from './lib/bench-archive.mjs';
import { tenYears } from './lib/bench-ten-years.mjs';
import { loggersAtOnce } from './lib/bench-readings.mjs';
import { longLists } from './lib/bench-lists.mjs';
import { fillShelf } from './lib/bench-shelf.mjs';
import { firstLoad, lighthouseOf } from './lib/first-load.mjs';
import { buildStale } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { percentile } from './lib/percentile.mjs';
import { freePort } from './lib/postgres.mjs';
import { run, say } from './lib/say.mjs';
import { tsc } from './lib/static-checks.mjs';
import { load } from './lib/bench-load.mjs';
import { AS_PAGES, startTrial } from './lib/trial.mjs';

/** @type {{ what: string, value: string, aim: string }[]} */
const rows = [];
const note = (/** @type {string} */ what, /** @type {string} */ value, aim = '') => {
  rows.push({ what, value, aim });
  say(`${what}: ${value}${aim && ` (aim: ${aim})`}`);
};

/** Seconds from the command to the line that says it is ready. @param {string} folder @param {string} data @param {number} port @returns {Promise<number>} */
function startTime(folder, data, port) {
  const begun = performance.now();
  const child = spawn(process.execPath, ['scripts/start.mjs', '--data', data, '--port', String(port)], {
    cwd: folder,
    env: { ...process.env, DEWPOT_QUIET: '1' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let seconds = NaN;
  child.stdout.on('data', (chunk) => {
    if (!String(chunk).includes('is ready')) return;
    seconds = (performance.now() - begun) / 1000;
    child.kill('SIGINT');
  });
  return new Promise((done) => child.once('exit', () => done(seconds)));
}

/** A fresh copy of the sources is started twice: all set-up, then none. */
async function starts() {
  const parent = mkdtempSync(join(tmpdir(), 'dewpot-bench-'));
  const folder = join(parent, 'dew-pot');
  try {
    cpSync(root, folder, {
      recursive: true,
      filter: (path) => !/node_modules|\/dist(\/|$)|\/\.git(\/|$)|test-results/.test(path),
    });
    const port = await freePort();
    note(
      'Fresh start, packages and builds included',
      `${(await startTime(folder, join(parent, 'data'), port)).toFixed(0)} s`,
    );
    note('Second start', `${(await startTime(folder, join(parent, 'data'), port)).toFixed(1)} s`, 'seconds');
  } finally {
    rmSync(parent, { recursive: true, force: true });
  }
}

/** First load of the shelf: what of JavaScript crosses the wire, and Lighthouse's measures of it. @param {import('@playwright/test').BrowserContext} context @param {string} url @param {string} executablePath */
async function shelfOpens(context, url, executablePath) {
  const page = await context.newPage();
  const { bytes, files, told } = await firstLoad(page);
  await page.close();
  note('First load of the shelf, JavaScript', `${(bytes / 1000).toFixed(1)} kB gzip in ${files} files`, 'under 170 kB');
  note('First load of the shelf, to the round', `${told.toFixed(0)} ms`);
  const looks = [];
  for (let i = 0; i < 5; i++) looks.push(await lighthouseOf(`${url}/`, context, executablePath));
  const middle = percentile(looks.map(({ largestPaint }) => largestPaint), 0.5); // prettier-ignore
  note('First load of the shelf, its largest paint on a quarter of the processor', `${middle.toFixed(0)} ms`, 'under 1,500 ms'); // prettier-ignore
}

/** From the choice of another language until the screen is said in it. @param {import('@playwright/test').BrowserContext} context */
async function languageSwitch(context) {
  const page = await context.newPage();
  await page.goto('/workshop');
  await page.waitForLoadState('networkidle');
  const begun = performance.now();
  await page.getByText('Español', { exact: true }).click();
  await page.getByRole('heading', { name: 'Su cuenta' }).waitFor();
  note('Another language, from its choice to the screen', `${(performance.now() - begun).toFixed(0)} ms`);
  await page.getByText('English', { exact: true }).click();
  await page.getByRole('heading', { name: 'Your account' }).waitFor();
  await page.close();
}

/** Longest time between two frames while the full shelf is scrolled from end to end. @param {import('@playwright/test').BrowserContext} context */
async function scroll(context) {
  await fillShelf(
    context.request,
    Array.from({ length: 60 }, (_, hours) => ({ count: 5, hours })),
  );
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('heading', { name: 'Today', exact: true }).waitFor();
  await page.waitForLoadState('networkidle');
  const frames = await page.evaluate(async () => {
    /** @type {number[]} */
    const gaps = [];
    const end = document.documentElement.scrollHeight - window.innerHeight;
    let last = performance.now();
    for (let y = 0; y <= end; y += 60) {
      window.scrollTo(0, y);
      await new Promise(requestAnimationFrame);
      gaps.push(performance.now() - last);
      last = performance.now();
    }
    return gaps.slice(2);
  });
  const sorted = frames.toSorted((a, b) => a - b);
  note(
    'Shelf with 300 casts, longest frame while scrolling',
    `${(sorted.at(-1) ?? NaN).toFixed(0)} ms of ${frames.length} frames`,
    'under 50 ms',
  );
  await page.close();
}

async function main() {
  ensureNode();
  ensurePackages();
  const executablePath = ensureChromium();
  buildStale();
  spawnSync(join(root, 'node_modules', tsc), ['-b'], { cwd: root, stdio: 'inherit' });
  await replanning(note);
  await planning(note);
  await mixSolving(note);
  await measures(note);
  await finishing(note);
  await tintSearch(note);
  await meshVolumes(note);
  await patternsAndCutting(note);
  const trial = await startTrial({ demo: true });
  const browser = await chromium.launch({ executablePath, args: process.getuid?.() === 0 ? ['--no-sandbox'] : [] });
  try {
    const demo = await browser.newContext({ baseURL: trial.url, viewport: { width: 1280, height: 800 } });
    await demo.request.post('/api/session/demo', AS_PAGES);
    await shelfOpens(demo, trial.url, executablePath);
    await languageSwitch(demo);
    await sectionRedraw(demo, note);
    await meshInBrowser(demo, note);
    await mixEditing(demo, note);
    await swatchesFollow(demo, note);
    await benchSteps(demo, note);
    const full = await browser.newContext({ baseURL: trial.url, viewport: { width: 1280, height: 800 } });
    await scroll(full);
    await longLists(note, await browser.newContext({ baseURL: trial.url }), trial.database);
    await dryingShelf(note, (await browser.newContext({ baseURL: trial.url })).request, trial.database);
    await archives(note, browser, trial);
    await load(trial.url, note);
    await answers(note, trial.url, trial.database);
    await loggersAtOnce(note, trial.url, trial.database);
    await firstDays(await browser.newContext({ baseURL: trial.url }), note, trial.url, trial.database);
    await findings(note, await browser.newContext({ baseURL: trial.url }), trial.database);
    await tenYears(note, demo, trial.url, trial.database);
  } finally {
    await browser.close();
    await trial.stop();
  }
  await starts();
  say(`\n${rows.map(({ what, value, aim }) => `| ${what} | ${value} | ${aim} |`).join('\n')}`);
}

run(main);
