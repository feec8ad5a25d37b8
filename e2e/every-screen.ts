import AxeBuilder from '@axe-core/playwright';
import { wholePours } from '../scripts/lib/whole-pours.mjs';
import type { Page, Request, ViewportSize } from '@playwright/test';
import type { PourView, TintsView } from '@dewpot/contract';
import { AS_PAGES, castsOf, DESK, expect, PHONE, test, uuid } from './house.js';

/** Every screen of the demo workshop, by name and address. */
async function screens(page: Page): Promise<readonly (readonly [string, string])[]> {
  const id = async (path: string) =>
    ((await (await page.request.get(`/api/${path}/all`)).json()) as { id: string }[])[0]!.id;
  /** The mould or mix whose name begins so. */
  const called = async (path: 'moulds' | 'mixes', name: string) =>
    ((await (await page.request.get(`/api/${path}/all`)).json()) as { id: string; name: string }[]).find((one) =>
      one.name.startsWith(name),
    )!.id;
  const pattern = async (kind: string) =>
    ((await (await page.request.get(`/api/patterns?kind=${kind}`)).json()) as { rows: { id: string }[] }).rows[0]!.id;
  /** A pour in that state; one is started where none is. */
  const pour = async (status: 'finished' | 'started') => {
    const all = (await wholePours(page.request)) as PourView[];
    const found = all.find((one) => one.status === status);
    if (found) return found.id;
    const key = uuid();
    await page.request.put(`/api/pours/${key}`, { ...AS_PAGES, data: { ...all[0]!.input, version: 0 } });
    await page.request.post(`/api/pours/${key}/start`, AS_PAGES);
    return key;
  };
  /** A planned pour in bands. */
  const banded = async () => {
    const all = (await wholePours(page.request)) as PourView[];
    const found = all.find(({ input }) => input.items.some(({ colouring }) => colouring?.kind === 'banded'))!;
    const key = uuid();
    await page.request.put(`/api/pours/${key}`, { ...AS_PAGES, data: { ...found.input, version: 0 } });
    return key;
  };
  const casts = await castsOf(page.request);
  const [drying, damp] = (['drying', 'curing'] as const).map((wanted) => casts.find(({ stage }) => stage === wanted)!);
  return [
    ['shelf', '/'],
    ['moulds', '/moulds'],
    ['measure', '/moulds/measure'],
    ['beginning', '/moulds/new'],
    ['trough', '/moulds/new?as=trough'],
    ['shade', '/moulds/new?as=turned'],
    ['file', '/moulds/file'],
    ['pairs', '/moulds/pairs'],
    ['mould', `/moulds/${await id('moulds')}`],
    ['guide', '/guide/sealing'],
    ['not sent yet', '/waiting'],
    ['label', '/casts/label'],
    ['findings', '/findings'],
    ['voids', '/findings/voids'],
    ['faces', '/findings/faces'],
    ['colour of a face', `/findings/colour?cast=${drying!.id}`],
    ['what was learned', '/findings/learned'],
    ['season', '/findings/season'],
    ['what a piece costs', '/findings/money'],
    ['new trial', '/findings/trials/new'],
    ['patterns', '/patterns'],
    ['new pattern', '/patterns/new'],
    ['house of panels', `/patterns/${await pattern('house')}`],
    ['slab for a gap', `/patterns/${await pattern('gap')}`],
    ['mixes', '/mixes'],
    ['mix', `/mixes/${await id('mixes')}`],
    ['mixes to start from', '/mixes/new'],
    ['mixes side by side', `/mixes/compare?with=${await id('mixes')}`],
    ['card', `/mixes/${await id('mixes')}/card`],
    ['tints', '/tints'],
    ['tint', `/tints/${((await (await page.request.get('/api/tints/all')).json()) as TintsView).tints[0]!.id}`],
    ['new tint', '/tints/new'],
    ['wanted colour', '/tints/wanted'],
    ['chips', '/tints/chips'],
    ['dose ladder', '/tints/ladder'],
    ['swatch book', '/tints/book'],
    ['after the cure', '/tints/ways'],
    ['pours', '/pours'],
    ['plan', '/pours/new'],
    [
      'plan that offers other mixes',
      `/pours/new?mould=${await called('moulds', 'Nested')}&mix=${await called('mixes', 'Tufa')}`,
    ],
    ['banded pour', `/pours/${await banded()}`],
    ['poured', `/pours/${await pour('finished')}`],
    ['bench', `/pours/${await pour('started')}`],
    ['step by step', `/pours/${await pour('started')}/bench`],
    ['calendar', '/calendar'],
    ['casts', '/casts'],
    ['round of weighing', '/casts/weigh'],
    ['join', `/casts/join?with=${drying!.id}`],
    ['try it first', '/casts/try'],
    ['article', `/casts/${casts.find(({ snapshot }) => snapshot.article)!.id}`],
    ['cast', `/casts/${drying!.id}`],
    ['young cast', `/casts/${damp!.id}`],
    ['store', '/materials'],
    ['workshop', '/workshop'],
    ['places', '/workshop/places'],
    ['all data', '/workshop/data'],
    ['who did what', '/workshop/audit'],
    ['nowhere', '/no/such/place'],
  ];
}

/** Rules that go by colours: a theme changes these alone, a language all but these. */
const byColour = ['color-contrast', 'link-in-text-block'];

/**
 * What of a screen keeps somebody out, by the rules that a machine can tell: all of them, or those that go by colours or by the rest. No screen has
 * frames of another origin, and its style sheets are the same everywhere: they are read where `styles` asks for them.
 */
export async function violations(page: Page, rules?: 'colours' | 'words', styles = false): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'], preload: styles });
  if (rules === 'colours') axe.withRules(byColour);
  if (rules === 'words') axe.disableRules(byColour);
  const { violations: found } = await axe.analyze();
  return found.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} at ${target.join(' ')}: ${failureSummary}`),
  );
}

/** What a worker loads. A worker that is ended, as when the question changes, is never said to have ended its requests. */
const OF_WORKERS = /\.worker-[^/]*\.js$|\.wasm$/;

/** Counts the requests that are on the way; answers a wait for a page that asks for nothing more and has drawn what it was answered. */
function settling(page: Page): () => Promise<void> {
  const underWay = new Map<Request, number>();
  page.on('request', (request) => {
    // The stream of news stays open.
    if (request.resourceType() !== 'eventsource' && !OF_WORKERS.test(request.url())) underWay.set(request, Date.now());
  });
  const end = (request: Request) => underWay.delete(request);
  page.on('requestfinished', end);
  page.on('requestfailed', end);
  return async () => {
    // What is drawn may ask again: twice idle in a row with nothing under way is the end.
    const latest = Date.now() + 15_000;
    for (let idle = 0; idle < 2 && Date.now() < latest;) {
      await page.evaluate(() => new Promise((done) => requestIdleCallback(done, { timeout: 300 })));
      idle = underWay.size === 0 ? idle + 1 : 0;
      if (idle === 0) await page.waitForTimeout(20);
    }
    expect(
      [...underWay].map(([request, since]) => `${request.url()} for ${Date.now() - since} ms`),
      'still asked for',
    ).toEqual([]);
    await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
  };
}

/** Goes to a screen as a link within the page would, so that what is loaded stays; one that differs by its query alone is opened anew. */
async function goTo(page: Page, path: string): Promise<void> {
  const [screen] = path.split('?');
  if (new URL(page.url()).pathname === screen) await page.goto(path);
  else
    await page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate', { state: null }));
    }, path);
}

/** Makes the window so wide and waits until what was drawn has followed. */
async function widen(page: Page, window: ViewportSize): Promise<void> {
  await page.setViewportSize(window);
  await page.evaluate(
    () =>
      new Promise((drawn) => {
        requestAnimationFrame(() => requestAnimationFrame(drawn));
        // A browser without a monitor may leave frames out for a while.
        setTimeout(drawn, 300);
      }),
  );
}

/** By how much a page is wider than its window, px. */
const tooWide = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** Screens are visited in two rounds, so that two workers share them. */
export const rounds = ['the first half', 'the second half'] as const;

/** Opens each screen of a round, sees that it fits a desk and then a phone, and has it looked at in each. */
export async function visitScreens(
  page: Page,
  round: (typeof rounds)[number],
  look: (screen: string, at: 'desk' | 'phone') => Promise<void>,
): Promise<void> {
  test.setTimeout(300_000);
  const all = await screens(page);
  const settled = settling(page);
  const half = Math.ceil(all.length / 2);
  for (const [screen, path] of round === rounds[0] ? all.slice(0, half) : all.slice(half)) {
    await page.setViewportSize(DESK);
    await goTo(page, path);
    await settled();
    expect(await tooWide(page), `${screen} at a desk`).toBeLessThanOrEqual(0);
    await look(screen, 'desk');
    await widen(page, PHONE);
    await expect.poll(() => tooWide(page), `${screen} on a phone`).toBeLessThanOrEqual(0);
    await look(screen, 'phone');
  }
}
