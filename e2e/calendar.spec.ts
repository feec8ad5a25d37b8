import type { Locator, Page } from '@playwright/test';
import type { CalendarTodayView, MouldView } from '@dewpot/contract';
import { AS_PAGES, beginWorkshop, castsOf, enterDemo, expect, happened, pourPots, test, uuid } from './house.js';

const copies = (count: number) => Array.from({ length: count }, (_, i) => ({ id: uuid(), mark: 'ABCDEFGH'[i]! }));
const chips = (page: Page) => page.getByRole('region', { name: 'The weeks ahead' }).getByRole('button', { name: /^Session / }); // prettier-ignore
/** Until no better plan is looked for. */
const planned = (page: Page) => expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 60_000 });

/** Drags a session to the same evening a week later, which is as long. */
async function dragByAWeek(page: Page, chip: Locator): Promise<void> {
  const mondays = page
    .getByRole('region', { name: 'The weeks ahead' })
    .locator('svg')
    .getByText(/^\d+ \w+$/);
  const [one, next] = await Promise.all([1, 2].map((nth) => mondays.nth(nth).boundingBox()));
  const { x, y, width } = (await chip.boundingBox())!;
  const to = x + width / 2 + next!.x - one!.x;
  await page.mouse.move(x + width / 2, y + 20);
  await page.mouse.down();
  await page.mouse.move(to, y + 20, { steps: 40 });
  await page.mouse.up();
}

async function planAnew(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Plan again' }).click();
  await planned(page);
}

test('an order by a date is planned, a copy more saves evenings, and an evening opens as its pour', async ({
  page,
}) => {
  await beginWorkshop(page);
  await pourPots(page.request, 1, 24 * 60, { mould: { copies: copies(2) } });
  await page.goto('/calendar');
  await page.getByRole('button', { name: 'Add an order' }).first().click();
  const form = page.getByRole('dialog', { name: 'New order' });
  await form.getByLabel('What it is for').fill('Market');
  await form.getByLabel('How many').fill('8');
  const day = new Date(Date.now() + 80 * 86_400_000).toISOString().slice(0, 10);
  await form.getByLabel('By (or as early as possible)').fill(day);
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^It can be done: \d sessions, ready in time/)).toBeVisible({ timeout: 60_000 });
  await planned(page);
  const before = await chips(page).count();
  expect(before).toBeGreaterThanOrEqual(4);
  const help = page.getByRole('region', { name: 'What would help' });
  await expect(help.getByText(/With one more copy of Nested pot, it saves/)).toBeVisible({ timeout: 60_000 });
  const [mould] = (await (await page.request.get('/api/moulds/all')).json()) as [MouldView];
  const { id, cycles: _, pictures: __, ...kept } = mould;
  const saved = await page.request.put(`/api/moulds/${id}`, { ...AS_PAGES, data: { ...kept, copies: copies(4) } });
  expect(saved.ok(), await saved.text()).toBe(true);
  await page.reload();
  await expect(chips(page)).toHaveCount(before);
  await planAnew(page);
  await expect.poll(() => chips(page).count()).toBeLessThan(before);
  await chips(page).first().click();
  const session = page.getByRole('dialog', { name: /^Session / });
  await expect(session.getByText(/It takes about \d+ min of \d+ min/)).toBeVisible();
  await session.getByRole('link', { name: 'Open as a pour' }).click();
  await expect(page.getByLabel('How many of Nested pot')).toHaveValue(/^[1-4]$/);
});

test('a session is dragged, told what that costs, and kept there; a broken piece is poured again', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/calendar');
  // Other journeys pour in the demo workshop too: the plan has to hold before a session of it is moved.
  await planAnew(page);
  await dragByAWeek(page, chips(page).last());
  await expect(page.getByText(/^Moved: everything in time/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it there, plan the rest again' }).click();
  await planned(page);
  await expect(page.getByRole('button', { name: /^Session .*kept where it is/ })).toBeVisible();
  const { lines } = (await (await page.request.get('/api/calendar/plan')).json()) as CalendarTodayView;
  const rounds = lines.find(({ order }) => order === 'Path to the gate')!;
  // Those of the demo's season: other journeys pour this mould too, for nobody's order.
  const poured = (await castsOf(page.request)).filter(({ mouldId, life }) => mouldId === rounds.mouldId && life.pouredAt < Date.now() - 3_600_000); // prettier-ignore
  const open = async () => ((await (await page.request.get('/api/orders')).json()) as { name: string; lines: { poured: number }[] }[]).find(({ name }) => name === rounds.order)!.lines[0]!.poured; // prettier-ignore
  const stood = await open();
  for (const { id } of poured) await happened(page.request, id, 0.1, { type: 'broken' });
  expect(await open()).toBeLessThan(stood);
  await page.reload();
  await expect(page.getByText(/not as many pieces are planned as are wanted/).first()).toBeVisible();
  await planAnew(page);
  await expect(page.getByText(/not as many pieces are planned/)).toHaveCount(0);
});

test('on a phone the next days stand as a list, and a session opens from it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await enterDemo(page);
  await page.goto('/calendar');
  const days = page.getByRole('region', { name: 'The next days' });
  await days.getByRole('button', { name: /^Pour / }).first().click(); // prettier-ignore
  await expect(page.getByRole('dialog', { name: /^Session / })).toBeVisible();
  await expect(page.getByRole('region', { name: 'The weeks ahead' })).toHaveCount(0);
});
