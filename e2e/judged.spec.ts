import type { Page } from '@playwright/test';
import { AS_PAGES, beginWorkshop, enterDemo, expect, test, uuid } from './house.js';

interface Named {
  readonly id: string;
  readonly name: string;
}

async function keyOf(page: Page, list: 'moulds' | 'mixes', name: string): Promise<string> {
  const all = (await (await page.request.get(`/api/${list}/all`)).json()) as Named[];
  return all.find((one) => one.name.startsWith(name))!.id;
}

const planOf = async (page: Page, mould: string, mix: string) =>
  page.goto(`/pours/new?mould=${await keyOf(page, 'moulds', mould)}&mix=${await keyOf(page, 'mixes', mix)}`);

test('a gravelled mix is refused for a narrow wall, and a tap takes one that passes', async ({ page }) => {
  await enterDemo(page);
  await planOf(page, 'Nested pail pot', 'Paver');
  const against = page.getByRole('list', { name: 'What speaks against it' });
  const grain = against.getByText(/its largest grain is 10 mm, and its narrowest gap passes 6\.0 mm/);
  await expect(grain).toBeVisible();
  await grain.click();
  await expect(against.getByText(/bridges and leaves holes/)).toBeVisible();
  await page.getByRole('button', { name: /^Use .*28-day strength \d+ MPa → \d+ MPa/ }).first().click(); // prettier-ignore
  await expect(grain).toHaveCount(0);
  await expect(
    page.getByRole('region', { name: 'Pieces and choices' }).getByLabel('Mix', { exact: true }),
  ).not.toHaveValue(await keyOf(page, 'mixes', 'Paver'));
  await expect(page.getByRole('region', { name: /^Measure / })).toBeVisible();
});

test('a finding is put aside for a mould with a mix, wherever the two meet, and taken up again', async ({ page }) => {
  await enterDemo(page);
  await planOf(page, 'Nested pail pot', 'Garden grey');
  const against = page.getByRole('list', { name: 'What speaks against it' });
  const core = against.getByText(/its core needs .* of ballast/);
  await core.click();
  await against.getByLabel('Put it aside, because').fill('A bar is clamped across');
  await against.getByRole('button', { name: 'For this mould and mix' }).click();
  await expect(page.getByText('One finding is put aside')).toBeVisible();
  await page.goto(`/moulds/${await keyOf(page, 'moulds', 'Nested pail pot')}`);
  await page.getByLabel('Calculated for').selectOption({ label: 'Garden grey, 1 to 2½' });
  await page.getByText('One finding is put aside').click();
  const aside = page.getByRole('list', { name: 'Put aside' });
  await expect(aside).toContainText('A bar is clamped across');
  await aside.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.getByText(/its core needs .* of ballast/)).toBeVisible();
});

test('a trough is packed, a leaf is laid on sand, and a panel takes its pipes and its mesh', async ({ page }) => {
  await enterDemo(page);
  const steps = (name: string) => page.getByRole('group', { name: `How ${name} is filled` });
  await planOf(page, 'Long alpine trough', 'Tufa light');
  await expect(steps('Long alpine trough')).toContainText('packed');
  await expect(steps('Long alpine trough')).not.toContainText(/Pour |a fifth/);
  await planOf(page, 'Big butterbur leaf', 'Tufa light');
  await expect(steps('Big butterbur leaf')).toContainText('leaf on sand');
  await expect(steps('Big butterbur leaf')).toContainText(/in the middle.*not over it/);
  await planOf(page, 'Trellis panel with two pipes', 'Light panel');
  await expect(steps('Trellis panel with two pipes')).toContainText('panel');
  await page.getByText('In the mould').click();
  const mesh = page.getByLabel('Mesh or wire, laid in at half depth');
  await mesh.check();
  await expect(steps('Trellis panel with two pipes')).toContainText(/mesh/i);
  await page.getByRole('button', { name: 'Start this pour' }).click();
  await page.getByRole('link', { name: 'Step by step, for wet gloves' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('a new workshop says what it works with, and its guesses say so until then', async ({ page }) => {
  await beginWorkshop(page);
  const places = (await (await page.request.get('/api/places')).json()) as { basis: string }[];
  expect(places.map(({ basis }) => basis)).toEqual(['typed']);
  const key = uuid();
  const place = { name: 'Cellar', kind: 'cellar', source: 'unknown', version: 0 };
  expect((await page.request.put(`/api/places/${key}`, { ...AS_PAGES, data: place })).ok()).toBe(true);
  await page.goto('/workshop/places');
  await expect(page.getByRole('region', { name: 'Cellar', exact: true })).toContainText('a guess');
  await page.getByRole('button', { name: 'Change Cellar' }).click();
  await expect(page.getByText('The simulated forecast')).toHaveCount(0);
  await page.getByText('A table of months').click();
  await page.getByLabel('Temperature in Jan').fill('4 °C');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByRole('region', { name: 'Cellar', exact: true })).toContainText('by its table of months');
});
