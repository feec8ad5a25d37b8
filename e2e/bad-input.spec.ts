import { beginWorkshop, castsOf, expect, happened, hoursAgo, pourPots, test } from './house.js';

test('a mould that cannot be is refused by name with the remedy, and what was typed stays', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/new?as=tubs');
  await page.getByLabel('Name').fill('Odd pot');
  const rim = page.getByLabel('Inside diameter at the rim');
  const wrong = page.getByRole('region', { name: 'Section drawing' }).getByRole('alert');
  const cases: readonly (readonly [string, string, RegExp])[] = [
    ['Inside diameter at the rim', '0', /must be narrower than the mould around it/],
    ['Inside diameter at the rim', '-20 cm', /Enter at least 0/],
    ['Inside height', '5 m', /at most 3000 mm/],
    ['Core’s diameter at the rim', '230 mm', /must be narrower than the mould around it/],
    ['Drain plug’s diameter', '170 mm', /fills the whole cavity where it stands/],
    ['Base under the core', '200 mm', /above the rim at 180 mm|height is/],
  ];
  for (const [label, typed, message] of cases) {
    const field = page.getByLabel(label);
    const before = await field.inputValue();
    await field.fill(typed);
    await field.press('Enter');
    await expect(wrong).toContainText(message);
    await expect(page.getByRole('button', { name: 'Save mould' })).toBeDisabled();
    await field.fill(before);
    await field.press('Enter');
    await expect(wrong).toBeHidden();
  }
  await rim.fill('wide');
  await rim.press('Enter');
  await expect(rim).toHaveValue('wide');
  await expect(rim).toHaveAccessibleDescription(/“wide”/);
  await expect(page.getByLabel('Name')).toHaveValue('Odd pot');
});

test('a mix without a binder and a scoop of no size are refused', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/mixes/new?as=garden');
  await page.getByLabel('Parts of Grey Portland cement').fill('0');
  await expect(page.getByText(/The mix has no part of a binder/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save mix' })).toBeDisabled();
  await page.goto('/materials');
  await page.getByRole('button', { name: 'A scoop' }).click();
  await page.getByLabel('What you call it').fill('nothing');
  await page.getByLabel('Holds, struck level').fill('0 mL');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toBeVisible();
  await expect(page.getByLabel('What you call it')).toHaveValue('nothing');
});

test('a weighing that the piece cannot have and a time to come are refused; the form keeps what was typed', async ({
  page,
}) => {
  await beginWorkshop(page);
  const [cast] = await pourPots(page.request, 1, 24 * 10);
  await happened(page.request, cast!.id, 24 * 8, { type: 'demoulded', damage: [] });
  await happened(page.request, cast!.id, 24 * 3, { type: 'uncovered' });
  await page.goto(`/casts/${cast!.id}`);
  await page.getByRole('button', { name: 'Weigh', exact: true }).click();
  await page.getByLabel('Mass of 1a').fill('95 kg');
  await page.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
    '95.0 kg is heavier than the piece was fresh',
  );
  await expect(page.getByLabel('Mass of 1a')).toHaveValue('95 kg');
  await page.getByRole('button', { name: 'It was earlier' }).click();
  await page.getByLabel('It happened').fill(await hoursAgo(page, -48));
  await expect(page.getByText('That time is in the future. Enter when it happened.')).toBeVisible();
  await page.getByLabel('Mass of 1a').fill(`${Math.round(cast!.expected.dry * 1.04)} g`);
  await page.getByRole('button', { name: 'Save weighing' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('in the future');
  expect((await castsOf(page.request))[0]!.life.weighings).toHaveLength(0);
});

test('a double tap makes one weighing and one pour’s casts', async ({ page }) => {
  await beginWorkshop(page);
  const [cast] = await pourPots(page.request, 1, 24 * 10);
  await happened(page.request, cast!.id, 24 * 8, { type: 'demoulded', damage: [] });
  await happened(page.request, cast!.id, 24 * 3, { type: 'uncovered' });
  await page.goto(`/casts/${cast!.id}`);
  await page.getByRole('button', { name: 'Weigh', exact: true }).click();
  await page.getByLabel('Mass of 1a').fill(`${Math.round(cast!.expected.dry * 1.04)} g`);
  await page.getByRole('button', { name: 'Save weighing' }).dblclick();
  await expect(page.getByRole('dialog')).toBeHidden();
  expect((await castsOf(page.request))[0]!.life.weighings).toHaveLength(1);
  await page.goto('/pours/new');
  await page.getByRole('button', { name: 'Start this pour' }).dblclick();
  await page.getByRole('button', { name: /^Poured: 1 cast/ }).dblclick();
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  expect(await castsOf(page.request)).toHaveLength(2);
});
