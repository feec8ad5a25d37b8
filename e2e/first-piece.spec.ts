import { beginWorkshop, expect, test } from './house.js';

/** Taps and fields from the tape measure to the mixing sheet: each takes a newcomer ten seconds or so, and three minutes are eighteen. */
const MOST_STEPS = 18;

test('a newcomer is led from the tape measure to their first mixing sheet, and may leave on the way', async ({
  page,
}) => {
  await beginWorkshop(page);
  let steps = 0;
  const press = async (role: 'button' | 'link', name: string | RegExp) => {
    steps += 1;
    await page.getByRole(role, { name }).first().click();
  };
  const fill = async (label: string, text: string) => {
    steps += 1;
    await page.getByLabel(label, { exact: true }).fill(text);
  };
  await press('link', 'My first piece, step by step');
  const guide = page.getByRole('region', { name: 'The first piece, step by step' });
  await expect(guide.getByText('Choose what it looks like')).toBeVisible();
  await press('link', 'Two nested tubs');
  await fill('Name', 'First pot');
  await fill('Inside diameter at the rim', '19 cm');
  await fill('Inside height', '17 cm');
  await press('button', 'Save mould');
  await expect(guide.getByText('Choose what it is for')).toBeVisible();

  await test.step('it is taken up where it was left', async () => {
    await page.goto('/');
    await expect(guide.getByText('Choose what it is for')).toBeVisible();
  });
  await guide.getByRole('link', { name: 'Choose a mix' }).click();
  steps += 1;
  await press('link', /^Garden grey|nesting moulds|pots/);
  await fill('Name', 'Garden grey');
  await press('button', 'Save mix');
  await guide.getByRole('link', { name: 'See the mixing sheet' }).click();
  steps += 1;
  await expect(page.getByRole('heading', { name: '1 × First pot' })).toBeVisible();
  await expect(page.getByRole('region', { name: /^Measure / })).toContainText('A 1-litre jug');
  await expect(page.getByRole('button', { name: 'Start this pour' })).toBeEnabled();
  expect(steps).toBeLessThanOrEqual(MOST_STEPS);
  await guide.getByRole('button', { name: 'Leave the guide' }).click();
  await expect(guide).toBeHidden();
});
