import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import type { MixView, MouldView, PourView, RunView, StoreView, TintsView } from '@dewpot/contract';
import { beginWorkshop, castsOf, enterDemo, expect, keptInBrowser, pourPots, test, uuid, AS_PAGES } from './house.js';
import { wholePours } from '../scripts/lib/whole-pours.mjs';

const read = async <T>(page: Page, path: string) => (await (await page.request.get(`/api/${path}`)).json()) as T;
const runOf = async (page: Page, pour: string) => (await read<RunView>(page, `pours/${pour}/run`)).events;
const onward = (page: Page) => page.getByRole('button', { name: /^(Done|Go on now)/ });
const title = (page: Page) => page.getByRole('heading', { level: 1 });

/** Weighs every material of a bucket with the simulated scale. */
async function weighAll(page: Page): Promise<void> {
  const scale = page.getByRole('region', { name: 'Scale' });
  await scale.getByText('The simulated scale: pour on and off').click();
  for (;;) {
    const wanted = await scale.getByText('wanted:').count();
    if (wanted === 0) break;
    const name = await scale.locator('p', { hasText: 'wanted:' }).locator('span').textContent();
    await scale.getByRole('button', { name: 'Pour what is wanted' }).click();
    await expect(scale.getByText('steady')).toBeVisible();
    await scale.getByRole('button', { name: 'Take it' }).click();
    await scale.getByRole('button', { name: 'Empty it' }).click();
    await expect(scale.locator('p', { hasText: name! })).toHaveCount(0);
  }
}

test('three moulds in two tints with bands are run to the end with the simulated scale, and stand on the shelf', async ({
  page,
}) => {
  await enterDemo(page);
  const moulds = await read<MouldView[]>(page, 'moulds/all');
  const mixes = await read<MixView[]>(page, 'mixes/all');
  const { scoops } = await read<StoreView>(page, 'store');
  const { tints } = await read<TintsView>(page, 'tints/all');
  const find = (name: string) => moulds.find((one) => one.name.startsWith(name))!.id;
  const [first, second] = tints.map(({ id }) => id);
  const bands = [first!, second!].map((tint) => ({ tint, share: 0.5 }));
  const id = uuid();
  const planned = await page.request.put(`/api/pours/${id}`, {
    ...AS_PAGES,
    data: {
      items: [
        {
          mouldId: find('Hexagon'),
          count: 1,
          colouring: { kind: 'banded', by: 'volume', edge: 'crisp', parts: bands },
        },
        { mouldId: find('Hexagon'), count: 1, colouring: { kind: 'solid', parts: [{ tint: first, share: 1 }] } },
        { mouldId: find('Wave-edged'), count: 1, colouring: { kind: 'solid', parts: [{ tint: second, share: 1 }] } },
      ],
      mixId: mixes.find(({ name }) => name.startsWith('Chalk'))!.id,
      grade: 5,
      spare: 0.05,
      moisture: {},
      scoopId: scoops[0]!.id,
      step: 0.25,
      temperature: 18,
      release: 'none',
      version: 0,
    },
  });
  expect(planned.ok(), await planned.text()).toBe(true);
  await page.goto(`/pours/${id}`);
  await expect(page.getByRole('region', { name: 'Timeline of the pour' })).toContainText(
    /all poured ([A-Z][a-z]+ )?\d\d:\d\d/,
  );
  await page.getByRole('button', { name: 'Start this pour' }).click();
  await page.getByRole('link', { name: /^Step by step/ }).click();
  await expect(title(page)).toHaveText('Lay out and check');
  const seen: string[] = [];
  while ((await onward(page).count()) > 0) {
    const now = (await title(page).textContent())!;
    seen.push(now);
    if (now.startsWith('Weigh')) await weighAll(page);
    if (now.startsWith('Mix') && (await page.getByRole('button', { name: /at once$/ }).count()) > 0)
      await page.getByRole('button', { name: /at once$/ }).click();
    const state = async () => `${await title(page).textContent()} ${(await onward(page).allTextContents()).join('')}`;
    const before = await state();
    await onward(page).click();
    await expect.poll(state).not.toBe(before);
  }
  await expect(title(page)).toHaveText('All poured');
  expect(seen.filter((one) => one.startsWith('Weigh')).length).toBeGreaterThanOrEqual(2);
  const events = await runOf(page, id);
  expect(new Set(events.map((event) => event.id)).size).toBe(events.length);
  expect(events.filter(({ kind }) => kind === 'weighed').length).toBeGreaterThanOrEqual(4);
  // The face of the stepping round waits for its finish.
  await expect(page.getByRole('list', { name: 'Timers' })).toContainText('First edging pass');
  await page.getByRole('link', { name: /^Look over what went in: 3 casts/ }).click();
  await page.getByRole('button', { name: 'Poured: 3 casts to the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  const casts = (await castsOf(page.request)).filter(({ pourId }) => pourId === id);
  expect(casts.map(({ snapshot }) => snapshot.faceColouring?.kind).sort()).toEqual(['banded', 'solid', 'solid']);
  await page.goto(`/pours/${id}/bench`);
  await page.getByRole('button', { name: /^First edging pass/ }).click();
  await page.getByText('Just right').click();
  await onward(page).click();
  await expect.poll(async () => (await runOf(page, id)).filter(({ kind }) => kind === 'tried').length).toBe(1);
});

test.describe('without a connection', () => {
  test.use({ serviceWorkers: 'allow' });

  test('on a phone the run goes on through a lost connection and a reload, and every step arrives once and in order', async ({
    page,
    context,
  }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await beginWorkshop(page);
    await pourPots(page.request, 2, 30);
    const [before] = (await wholePours(page.request)) as PourView[];
    const id = uuid();
    await page.request.put(`/api/pours/${id}`, { ...AS_PAGES, data: { ...before!.input, version: 0 } });
    await page.request.post(`/api/pours/${id}/start`, AS_PAGES);
    await page.goto(`/pours/${id}/bench`);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await onward(page).click();
    await expect(title(page)).not.toHaveText('Lay out and check');
    await expect.poll(async () => (await runOf(page, id)).length).toBe(2);
    // What was read is kept in the browser a moment later.
    await expect
      .poll(() => keptInBrowser(page, 'dew-pot', ['"run"', '"kind":"begin"', `"id":"${id}","number"`]))
      .toBe(true);
    await context.setOffline(true);
    const at = await title(page).textContent();
    await onward(page).click();
    await expect(title(page)).not.toHaveText(at!);
    await expect(page.getByText(/unsent/)).toBeVisible();
    const there = (await title(page).textContent())!;
    // So is a step that waits: a page that is gone before the disk has it loses it.
    await expect.poll(() => keptInBrowser(page, 'dew-pot-writes', [id, '"kind":"begin"'])).toBe(true);
    await page.reload();
    await expect(title(page)).toHaveText(there);
    await expect(page.getByText(/unsent/)).toBeVisible();
    await onward(page).click();
    await expect(title(page)).not.toHaveText(there);
    await context.setOffline(false);
    await expect(page.getByText(/unsent/)).toHaveCount(0);
    const events = await runOf(page, id);
    expect(events.map(({ kind }) => kind)).toEqual(['done', 'begin', 'done', 'begin', 'done', 'begin']);
    expect(new Set(events.map((event) => event.id)).size).toBe(6);
    const times = events.map((event) => event.at);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });
});

test('letters are set in a stepping round, printed as a template, and lie mirrored at the bench on two devices', async ({
  page,
  context,
}) => {
  await enterDemo(page);
  await page.goto('/pours/new');
  await page.getByRole('button', { name: 'Another mould' }).click();
  await page.getByRole('button', { name: /^Add Wave-edged/ }).click();
  await page.getByRole('button', { name: /^Leave (?!Wave-edged).* out$/ }).click();
  await page.getByText('In the mould').click();
  await page.getByLabel('Mesh or wire, laid in at half depth').check();
  await page.getByText('Letters, a number').click();
  await page.getByLabel('The letters, a line each').fill('27');
  const inset = page.getByRole('region', { name: 'Inlay or relief' });
  await expect(inset.getByRole('img', { name: 'As it lies, looking down into the mould' })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    inset.getByRole('button', { name: 'Template, 1:1' }).click(),
  ]);
  expect((await readFile(await download.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('button', { name: 'Start this pour' }).click();
  await page.getByRole('link', { name: /^Step by step/ }).click();
  await expect(title(page)).toHaveText('Lay out and check');
  await expect(page.getByText('“27” and its template')).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(title(other)).toHaveText('Lay out and check');
  await onward(page).click();
  await expect(title(page)).toHaveText('Inlays and reliefs, face down');
  // What is done on one device is heard on the other.
  await expect(title(other)).toHaveText('Inlays and reliefs, face down');
  await expect(other.getByRole('img', { name: 'As it lies, looking down into the mould' })).toBeVisible();
});
