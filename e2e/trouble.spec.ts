import { expect, type Page } from '@playwright/test';
import { startTrial } from '../scripts/lib/trial.mjs';
import { beginWorkshop, castsOf, happened, keptInBrowser, pourPots, test } from './house.js';

async function dryingCast(page: Page) {
  const [cast] = await pourPots(page.request, 1, 24 * 20);
  await happened(page.request, cast!.id, 24 * 18, { type: 'demoulded', damage: [] });
  await happened(page.request, cast!.id, 24 * 10, { type: 'uncovered' });
  return cast!;
}

async function weigh(page: Page, mass: number) {
  await page.getByRole('button', { name: 'Weigh', exact: true }).click();
  await page.getByLabel('Mass of 1a').fill(`${mass} g`);
  await page.getByRole('button', { name: 'Save weighing' }).click();
}

test('a second browser’s change is not overwritten unseen; one keeps one’s own knowingly', async ({
  page,
  browser,
  baseURL,
}) => {
  const account = await beginWorkshop(page);
  await pourPots(page.request, 1, 24);
  await page.goto('/moulds');
  await page.getByRole('link', { name: /Nested pot/ }).click();
  const context = await browser.newContext({ baseURL: baseURL! });
  const other = await context.newPage();
  await other.goto('/');
  await other.getByLabel('E-mail').fill(account.email);
  await other.getByLabel('Passphrase').fill(account.passphrase);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(other.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  await other.goto(page.url());
  await other.getByLabel('Name').fill('Nested pot, theirs');
  await other.getByRole('button', { name: 'Save mould' }).click();
  await expect(other.getByText('Nested pot, theirs is kept.')).toBeVisible();

  await page.getByLabel('Name').fill('Nested pot, mine');
  await page.getByRole('button', { name: 'Save mould' }).click();
  await expect(page.getByRole('alert')).toContainText('Someone changed this meanwhile');
  await expect(page.getByLabel('Name')).toHaveValue('Nested pot, mine');
  await page.getByRole('button', { name: 'Save mine' }).click();
  await expect(page.getByText('Nested pot, mine is kept.')).toBeVisible();
  await other.goto('/moulds');
  await expect(other.getByRole('heading', { name: 'Nested pot, mine' })).toBeVisible();
  await context.close();
});

test('a connection that drops while saving loses nothing and sends nothing twice', async ({ page, context }) => {
  await beginWorkshop(page);
  const cast = await dryingCast(page);
  await page.goto(`/casts/${cast.id}`);
  await page.getByRole('button', { name: 'Weigh', exact: true }).waitFor();
  let answered = 0;
  // The request arrives, and its answer is lost on the way.
  await context.route('**/events', async (route) => {
    if (answered++ === 0) {
      await route.fetch();
      return route.abort('connectionreset');
    }
    return route.continue();
  });
  await weigh(page, Math.round(cast.expected.dry * 1.03));
  await expect(page.getByText(/1 entry waits here and is sent by itself/)).toBeVisible();
  await expect(page.getByText(/is sent by itself/)).toBeHidden();
  await expect(page.getByRole('region', { name: 'Record' })).toContainText('Weighed');
  expect((await castsOf(page.request))[0]!.life.weighings).toHaveLength(1);
});

test('what waits to be sent outlives the page', async ({ page, context }) => {
  await beginWorkshop(page);
  const cast = await dryingCast(page);
  await page.goto(`/casts/${cast.id}`);
  await page.getByRole('button', { name: 'Weigh', exact: true }).waitFor();
  await context.route('**/events', (route) => route.abort('connectionreset'));
  await weigh(page, Math.round(cast.expected.dry * 1.03));
  await expect(page.getByText(/1 entry waits here/)).toBeVisible();
  await expect.poll(() => keptInBrowser(page, 'dew-pot-writes', ['cast-event'])).toBe(true);
  await context.unroute('**/events');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Record' })).toContainText('Weighed');
  expect((await castsOf(page.request))[0]!.life.weighings).toHaveLength(1);
});

test('SIGKILL of the server amid weighings loses none that was acknowledged', async ({ browser }) => {
  const trial = await startTrial({ demo: false, safe: true });
  const context = await browser.newContext({ baseURL: trial.url, viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    await beginWorkshop(page);
    const cast = await dryingCast(page);
    const start = Math.round(cast.expected.dry * 1.05);
    await page.goto(`/casts/${cast.id}`);
    const record = page.getByRole('region', { name: 'Record' });
    for (let i = 0; i < 4; i++) {
      await weigh(page, start - i);
      await expect(record).toContainText(`Weighed ${start - i} g`);
    }
    await trial.kill();
    await weigh(page, start - 4);
    await expect(page.getByText(/1 entry waits here/)).toBeVisible();
    await trial.restart();
    await expect(record).toContainText(`Weighed ${start - 4} g`, { timeout: 20_000 });
    await page.reload();
    for (let i = 0; i < 5; i++) await expect(record).toContainText(`Weighed ${start - i} g`);
    expect((await castsOf(context.request))[0]!.life.weighings).toHaveLength(5);
  } finally {
    await context.close();
    await trial.stop();
  }
});
