import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import type { PourView, TintsView } from '@dewpot/contract';
import { castsOf, enterDemo, expect, test, uuid, AS_PAGES } from './house.js';

/** Every screen of the demo workshop, by name and address. */
async function screens(page: Page): Promise<readonly (readonly [string, string])[]> {
  const id = async (path: string) =>
    ((await (await page.request.get(`/api/${path}`)).json()) as { id: string }[])[0]!.id;
  /** The mould or mix whose name begins so. */
  const called = async (path: 'moulds' | 'mixes', name: string) =>
    ((await (await page.request.get(`/api/${path}`)).json()) as { id: string; name: string }[]).find((one) =>
      one.name.startsWith(name),
    )!.id;
  /** A pour in that state; one is started where none is. */
  const pour = async (status: 'finished' | 'started') => {
    const all = (await (await page.request.get('/api/pours')).json()) as PourView[];
    const found = all.find((one) => one.status === status);
    if (found) return found.id;
    const key = uuid();
    await page.request.put(`/api/pours/${key}`, { ...AS_PAGES, data: { ...all[0]!.input, version: 0 } });
    await page.request.post(`/api/pours/${key}/start`, AS_PAGES);
    return key;
  };
  /** A planned pour in bands. */
  const banded = async () => {
    const all = (await (await page.request.get('/api/pours')).json()) as PourView[];
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
    ['mixes', '/mixes'],
    ['mix', `/mixes/${await id('mixes')}`],
    ['mixes to start from', '/mixes/new'],
    ['mixes side by side', `/mixes/compare?with=${await id('mixes')}`],
    ['card', `/mixes/${await id('mixes')}/card`],
    ['tints', '/tints'],
    ['tint', `/tints/${((await (await page.request.get('/api/tints')).json()) as TintsView).tints[0]!.id}`],
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
    ['nowhere', '/no/such/place'],
  ];
}

async function violations(page: Page): Promise<string[]> {
  const { violations: found } = await new AxeBuilder({ page }).analyze();
  return found.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} at ${target.join(' ')}: ${failureSummary}`),
  );
}

/** Opens a screen and waits until it is drawn: the network may be idle before. */
async function openDrawn(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForLoadState('networkidle');
  await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
}

for (const theme of ['limewash', 'lamplight']) {
  test(`no screen has an accessibility violation in ${theme}, nor an error in its console`, async ({ page }) => {
    test.setTimeout(500_000);
    const wrong: string[] = [];
    page.on('pageerror', ({ message }) => wrong.push(message));
    page.on('console', (message) => {
      // The door is tried before it is opened; that answer is a 401 by design.
      if (message.type() === 'error' && !message.text().includes('401')) wrong.push(message.text());
    });
    await page.addInitScript((chosen) => localStorage.setItem('dew-pot-theme', chosen), theme);
    await page.goto('/');
    await page.getByRole('button', { name: 'Look round the demo workshop' }).waitFor();
    expect(await violations(page), 'door').toEqual([]);
    await enterDemo(page);
    for (const [name, path] of await screens(page)) {
      await openDrawn(page, path);
      expect(await violations(page), name).toEqual([]);
    }
    await page.goto('/');
    await page
      .getByRole('button', { name: /^(Weigh|Apply coat|Demould|Finish|End moist curing): / })
      .first()
      .click();
    expect(await violations(page), 'sheet of an action').toEqual([]);
    expect(wrong).toEqual([]);
  });
}

test('on a phone no screen is wider than the glass, and the bench’s controls are large', async ({ page }) => {
  test.setTimeout(200_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await enterDemo(page);
  for (const [name, path] of await screens(page)) {
    await openDrawn(page, path);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over, name).toBeLessThanOrEqual(0);
  }
  await page.goto('/');
  await page
    .getByRole('button', { name: /^Weigh: / })
    .first()
    .click();
  const keep = await page.getByRole('button', { name: /^Save / }).boundingBox();
  expect(keep!.height).toBeGreaterThanOrEqual(56);
});

test('everything is found by a part of its name, from one key and from the phone’s own control', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('/');
  const search = page.getByRole('dialog', { name: 'Search' });
  await search.getByRole('searchbox').fill('butterbur');
  await expect(search.getByRole('list', { name: 'Found' })).toContainText('Big butterbur leaf');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Big butterbur leaf');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: 'Search' }).click();
  await search.getByRole('searchbox').fill('swatch');
  await search.getByRole('link', { name: /^Swatches/ }).click();
  await expect(page).toHaveURL(/\/tints\/book/);
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('button', { name: /^All/ }).click();
  await page.getByRole('dialog', { name: 'All stations' }).getByRole('link', { name: 'Materials' }).click();
  await expect(page).toHaveURL(/\/materials/);
});

test('number keys reach the stations and ? lists them; signing out shuts the door', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'Moulds', level: 1 })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText('Shelf');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeHidden();
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  await page.getByText('Maud', { exact: true }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Look round the demo workshop' })).toBeVisible();
  await page.goto('/materials');
  await expect(page.getByRole('button', { name: 'Look round the demo workshop' })).toBeVisible();
});
