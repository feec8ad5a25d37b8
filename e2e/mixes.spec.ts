import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { enterDemo, expect, test } from './house.js';

const batch = (page: Page) => page.getByRole('region', { name: 'A batch of it' });
const implied = (page: Page) => page.getByRole('region', { name: 'What it implies' });

async function keep(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Save mix' }).click();
  await expect(page.getByText(`${name} is kept.`)).toBeVisible();
}

test('a hypertufa mix is built in scoops, dosed, rounded, compared, and planned with a lot too small', async ({
  page,
}) => {
  await enterDemo(page);
  await test.step('it begins from the library and takes its doses', async () => {
    await page.goto('/mixes');
    await page.getByRole('link', { name: 'New mix' }).click();
    await page.getByRole('link', { name: /Tufa with coir and sand/ }).click();
    await page.getByLabel('Add a dose').selectOption({ label: 'Iron oxide, red' });
    await page.getByLabel('Dose of Iron oxide, red').fill('12');
    await expect(page.getByText(/too much powder pigment/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save mix' })).toBeDisabled();
    await page.getByLabel('Dose of Iron oxide, red').fill('4');
    await expect(page.getByText('kg/m³ of fresh volume', { exact: true })).toBeVisible();
    await page.getByLabel('In the mould').selectOption({ label: 'Long alpine trough' });
    await expect(implied(page)).toContainText(/It weighs \d+\.\d+ kg fresh/);
  });
  await test.step('one line changes while the density stays', async () => {
    const dry = implied(page).getByText('lighter than gravelled concrete');
    const before = await dry.textContent();
    await page.getByLabel('While one line changes, this stays').selectOption({ label: 'the dry density' });
    await page.getByLabel('Parts of Sharp sand').fill('1.5');
    await expect(dry).toHaveText(before!);
    await expect(page.getByLabel('Parts of Coir, fluffed')).not.toHaveValue('2');
  });
  await test.step('it is measured in whole scoops, by several of them, and by the scale', async () => {
    await batch(page).getByLabel('Scoop at hand').selectOption({ label: 'the big tin' });
    await batch(page).getByLabel('Round scoops to').selectOption({ label: 'whole ones' });
    await batch(page).getByText('By several scoops').click();
    await expect(batch(page)).toContainText(/left over, \d+ measures/);
    await batch(page).getByText('By the scale').click();
    await expect(batch(page)).toContainText('on the scale');
    await keep(page, 'Canal tufa');
    await expect(page.getByRole('region', { name: 'Versions' })).toContainText('Version 1');
  });
  await test.step('it stands beside a lightweight one', async () => {
    await page.getByRole('link', { name: 'Beside another mix' }).click();
    await page.getByLabel('Beside these').selectOption({ label: 'Light panel with beads' });
    const drawn = page.getByRole('region', { name: 'Drawn side by side' });
    await expect(drawn.getByRole('row', { name: /^Strength/ })).toContainText('MPa');
    await expect(page.getByRole('region', { name: 'Differences' })).toContainText('Coir, fluffed');
  });
  await test.step('planned with wet sand, the store is too small and says what to buy', async () => {
    await page.goto('/mixes');
    await page.getByRole('link', { name: /Canal tufa/ }).click();
    await page.getByRole('link', { name: 'Plan a pour' }).click();
    await page.getByText('Damp materials').click();
    await page.getByText('Holds a lump').click();
    await page
      .getByLabel(/^How many of /)
      .first()
      .fill('40');
    const buy = page.getByRole('region', { name: 'To buy' });
    await expect(buy).toContainText(/of grey Portland cement: \d+ bags? of 25\.0 kg, €/);
    await expect(buy).toContainText('of coir, fluffed');
    await expect(page.getByRole('region', { name: /^Measure/ })).toContainText('4 % of binder mass');
  });
});

test('a poured mix keeps its version; a pour taken back gives its materials back', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/mixes');
  await page.getByRole('link', { name: /Chalk/ }).click();
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText('kept as the next one');
  await page.getByLabel('Parts of Fine sand').fill('2.2');
  await page.getByRole('button', { name: 'Save mix' }).click();
  const versions = page.getByRole('region', { name: 'Versions' });
  await expect(versions).toContainText('Version 2');
  await expect(versions).toContainText('Fine sand: 2 by volume → 2.2 by volume');
  const cement = page
    .getByRole('region', { name: 'In the store' })
    .getByRole('listitem')
    .filter({ hasText: 'White Portland cement' });
  await page.goto('/materials');
  await page.waitForLoadState('networkidle');
  const before = (await cement.textContent())!;
  await page.goto('/mixes');
  await page.getByRole('link', { name: /Chalk/ }).click();
  await page.getByRole('link', { name: 'Plan a pour' }).click();
  await page.getByRole('button', { name: 'Start this pour' }).click();
  await page.getByRole('button', { name: /^Poured: / }).waitFor();
  const pour = page.url();
  await page.getByRole('button', { name: /^Poured: / }).click();
  await expect(page).toHaveURL(/\/$/);
  await page.goto(pour);
  await page.getByRole('button', { name: /^Undo pour/ }).click();
  await expect(page.getByRole('region', { name: 'What was really used' })).toBeVisible();
  await page.goto('/materials');
  await expect(cement).toHaveText(before);
});

test('mixes go out to a file and come in again, first only said; a wrong file changes nothing', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/mixes');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All as JSON' }).click(),
  ]);
  const file = JSON.parse(await readFile(await download.path(), 'utf8')) as {
    mixes: { name: string; lines: { parts: number }[] }[];
  };
  const choose = page.getByLabel('A file of mixes or materials');
  const send = (name: string, content: object | string) =>
    choose.setInputFiles({
      name,
      mimeType: 'application/json',
      buffer: Buffer.from(typeof content === 'string' ? content : JSON.stringify(content)),
    });
  const dialog = page.getByRole('dialog', { name: 'What this file would change' });
  await send('same.json', file);
  await expect(dialog.getByRole('button', { name: 'Nothing would change' })).toBeDisabled();
  await page.keyboard.press('Escape');
  const tufa = file.mixes.find(({ name }) => name === 'Tufa light')!;
  const changed = { ...file, mixes: [{ ...tufa, name: 'Tufa, the neighbour’s' }] };
  await send('new.json', changed);
  await expect(dialog).toContainText('Tufa, the neighbour’s mix, new');
  await dialog.getByRole('button', { name: 'Take 1 in' }).click();
  await expect(page.getByRole('link', { name: /Tufa, the neighbour’s/ })).toBeVisible();
  const wrong: [string | object, RegExp][] = [
    ['{"format": "dew-pot-mi', /cut short/],
    [{ ...file, version: 7 }, /another version/],
    [{ ...file, mixes: [{ ...tufa, mood: 'good' }] }, /mood/],
    [{ ...file, mixes: [{ ...tufa, lines: [] }] }, /no materials/],
    [`name,bulk\n${'Sand,1.5\n'.repeat(50_000)}`, /50,000 rows/],
    ['name,bulk,particle\nSand,=1+1,2.6', /no number/],
  ];
  for (const [content, told] of wrong) {
    await send('wrong.json', content);
    await expect(page.getByRole('alert')).toContainText(told);
  }
});
