import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import type { TintsView } from '@dewpot/contract';
import { enterDemo, expect, test, uuid, AS_PAGES } from './house.js';

const near = (page: Page) => page.getByRole('region', { name: 'What comes near' });
const chipCard = (page: Page, name: string) =>
  page.getByRole('listitem').filter({ has: page.getByRole('heading', { name, exact: true }) });

/** A picture of so many even patches side by side, as a file. */
async function patches(page: Page, colours: readonly string[]): Promise<Buffer> {
  const address = await page.evaluate((given) => {
    const canvas = document.createElement('canvas');
    canvas.width = given.length * 100;
    canvas.height = 80;
    const paint = canvas.getContext('2d')!;
    given.forEach((colour, i) => {
      paint.fillStyle = colour;
      paint.fillRect(i * 100, 0, 100, 80);
    });
    return canvas.toDataURL('image/png');
  }, colours);
  return Buffer.from(address.split(',')[1]!, 'base64');
}

test('a wanted green is reached, tried, and its prediction gets better with three chips under the reader', async ({
  page,
}) => {
  await enterDemo(page);
  await test.step('the search finds doses for it and keeps them as a tint', async () => {
    await page.keyboard.press('5');
    await page.getByRole('link', { name: 'Match a colour' }).click();
    await page.getByLabel('The colour, dry').fill('#7f8f63');
    // From pigments that chips told of, and the green alone untried.
    for (const name of ['Iron oxide, brown', 'Titanium white', 'Carbon black'])
      await page.getByRole('checkbox', { name }).uncheck();
    await page.getByRole('button', { name: 'Find the doses' }).click();
    await expect(near(page).getByRole('listitem').first()).toContainText(/chromium-oxide green/);
    await expect(near(page).getByRole('listitem').first()).toContainText(/ΔE [0-4]\.\d/);
    await expect(near(page).getByRole('listitem').first()).toContainText('of pigment for 1.00 kg of binder');
    await near(page).getByRole('link', { name: 'Take it as a tint' }).first().click();
    await page.getByLabel('Name', { exact: true }).fill('Lock gate green');
    await page.getByRole('button', { name: 'Save tint' }).click();
    await expect(page.getByText('Lock gate green is kept.')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Versions' })).toContainText('Version 1');
  });
  await test.step('a colour that no pigment of the shelf makes is said to be out of reach', async () => {
    await page.goto('/tints/wanted');
    await page.getByLabel('The colour, dry').fill('#0090ff');
    await page.getByRole('button', { name: 'Find the doses' }).click();
    await expect(page.getByRole('heading', { name: 'Out of reach: this is the nearest' })).toBeVisible();
  });
  await test.step('three chips of the green are planned from a ladder', async () => {
    await page.goto('/tints');
    await expect(page.getByRole('link', { name: /Lock gate green/ })).toContainText('not tried');
    await page.goto('/tints/ladder');
    await page.getByLabel('Pigment').selectOption({ label: 'Chromium-oxide green' });
    await page.getByLabel('Doses, % of the binder').fill('0.5 1.5 4');
    await page.getByRole('button', { name: 'Note these 3 as planned' }).click();
    await expect(page.getByRole('heading', { name: 'Chips', level: 1 })).toBeVisible();
  });
  const off = async (name: string, i: number) =>
    Number(
      (await chipCard(page, name)
        .getByText(/error ΔE/)
        .nth(i)
        .textContent())!.replace(/^.*ΔE /, ''),
    );
  await test.step('each is cast, left to dry, and read; damp it is refused', async () => {
    for (const dose of ['0.5', '1.5', '4']) {
      const name = `Chromium-oxide green ${dose} %`;
      await chipCard(page, name).getByRole('button', { name: 'It is cast' }).click();
      const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10);
      if (dose === '0.5') {
        await page.getByLabel('Cast on').fill(day(0));
        await page.getByRole('button', { name: 'Save', exact: true }).click();
        await chipCard(page, name).getByRole('button', { name: 'Measure its colour' }).click();
        await page.getByRole('button', { name: 'Lay the reader on the chip' }).click();
        await expect(page.getByText(/still damp and reads darker/)).toBeVisible();
        await page.getByRole('button', { name: 'Close', exact: true }).click();
        await chipCard(page, name).getByRole('button', { name: 'Change' }).click();
      }
      await page.getByLabel('Cast on').fill(day(6));
      await page.getByRole('button', { name: 'Save', exact: true }).click();
      await chipCard(page, name).getByRole('button', { name: 'Measure its colour' }).click();
      await page.getByRole('button', { name: 'Lay the reader on the chip' }).click();
      await expect(page.getByText(/3 touches, within ΔE/)).toBeVisible();
      await page.getByRole('button', { name: 'Save', exact: true }).click();
      await expect(chipCard(page, name)).toContainText('read by the reader');
    }
  });
  await test.step('what was predicted is nearer to what was measured, and the tint rests on chips', async () => {
    const name = 'Chromium-oxide green 1.5 %';
    await expect(chipCard(page, name).getByText(/error ΔE/)).toHaveCount(2);
    expect(await off(name, 1)).toBeLessThan(await off(name, 0));
    await expect(page.getByRole('region', { name: 'Pigments' })).toContainText(/Chromium-oxide green.*from 3 chips/);
    await page.goto('/tints');
    await expect(page.getByRole('link', { name: /Lock gate green/ })).not.toContainText('not tried: ');
  });
});

test('a hexagon pot is planned with five bands: grams and waits for each, and its casts stand in them', async ({
  page,
}) => {
  await enterDemo(page);
  await page.goto('/pours/new');
  await page.getByRole('combobox', { name: 'Mix', exact: true }).selectOption({ label: 'Chalk, 1 to 2' });
  await page.getByRole('button', { name: 'Another mould' }).click();
  await page.getByRole('button', { name: 'Add Hexagon herb pot' }).click();
  const drop = page.getByRole('button', { name: /^Leave (?!Hexagon).* out$/ });
  if ((await drop.count()) > 0) await drop.first().click();
  await page.locator('summary', { hasText: /^Colour/ }).click();
  await page.getByText('bands', { exact: true }).click();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'One band more, on top' }).click();
  await page.getByLabel('Share of band 1 from the bottom, per cent').fill('30');
  await expect(page.getByText('The shares come to 110 %: bring them to 100.')).toBeVisible();
  await page.getByLabel('Share of band 5 from the bottom, per cent').fill('10');
  const drawn = page.getByRole('img', { name: /Section with 5 layers, from the bottom up/ });
  await expect(drawn).toBeVisible();
  const sheet = page.getByRole('region', { name: /tint by tint/ });
  const turns = sheet.locator('ol > li');
  await expect(turns).toHaveCount(5);
  for (let i = 0; i < 5; i++) {
    await expect(turns.nth(i)).toContainText(/\d g/);
    await expect(turns.nth(i)).toContainText(new RegExp(`Hexagon herb pot, layer ${i + 1}: \\d+ mL each`));
  }
  await expect(sheet.getByText(/^Wait .* after the layer below$/)).toHaveCount(4);
  await page.getByRole('button', { name: 'Save for later' }).click();
  await expect(page.getByRole('heading', { name: 'Pours' })).toBeVisible();
  await page.goto('/');
  await expect(page.locator('.plank linearGradient stop').first()).toBeAttached();
});

test('colours come out of a photo by a grey card, unsure without one, and files are refused by name', async ({
  page,
}) => {
  await enterDemo(page);
  await page.goto('/tints/wanted');
  await page.getByText('a photo', { exact: true }).click();
  const input = page.getByLabel('A photo with the colour');
  await input.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/notes.png is not a picture/)).toBeVisible();
  // The light is yellow: the card is not grey in it, and the chip is warmer than it is.
  const picture = await patches(page, ['#8a7a55', '#9c7a52']);
  await input.setInputFiles({ name: 'chip.png', mimeType: 'image/png', buffer: picture });
  const photo = page.getByRole('application', { name: /The photo/ });
  const box = (await photo.boundingBox())!;
  await page.getByText('the colour', { exact: true }).click();
  await photo.click({ position: { x: box.width * 0.75, y: box.height / 2 } });
  await expect(page.getByText(/Unsure: nothing in the picture told of its light/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'The colour you want, #9c7a52' })).toBeVisible();
  await page.getByText('the grey card', { exact: true }).click();
  await photo.click({ position: { x: box.width * 0.25, y: box.height / 2 } });
  await expect(page.getByText(/Unsure/)).toBeHidden();
  await expect(page.getByRole('img', { name: 'The colour you want, #9c7a52' })).toBeHidden();
  await page.goto('/tints/book');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All as JSON' }).click(),
  ]);
  const text = await readFile(await file.path(), 'utf8');
  const changed = text.replaceAll('"Moss"', '"Moss of the far bank"');
  await page
    .getByLabel('A file of tints')
    .setInputFiles({ name: 'tints.json', mimeType: 'application/json', buffer: Buffer.from(changed) });
  await page.getByRole('button', { name: 'Take 1 in' }).click();
  await expect(page.getByRole('link', { name: /Moss of the far bank/ })).toBeVisible();
});

test('two who change one tint both keep what they typed', async ({ page, context }) => {
  await enterDemo(page);
  const { tints } = (await (await page.request.get('/api/tints/all')).json()) as TintsView;
  const { id: _id, revision: _revision, used: _used, ...tint } = tints[0]!;
  const key = uuid();
  const made = await page.request.put(`/api/tints/${key}`, {
    ...AS_PAGES,
    data: { ...tint, name: 'Shared', version: 0 },
  });
  expect(made.ok()).toBe(true);
  const other = await context.newPage();
  await page.goto(`/tints/${key}`);
  await other.goto(`/tints/${key}`);
  await other.getByLabel('Note').fill('theirs');
  await other.getByRole('button', { name: 'Save tint' }).click();
  await expect(other.getByText('Shared is kept.')).toBeVisible();
  await page.getByLabel('Note').fill('mine');
  await page.getByRole('button', { name: 'Save tint' }).click();
  await expect(page.getByText('Someone changed this meanwhile')).toBeVisible();
  await expect(page.getByLabel('Note')).toHaveValue('mine');
  await page.getByRole('button', { name: 'Save mine' }).click();
  await expect(page.getByText('Shared is kept.')).toBeVisible();
});
