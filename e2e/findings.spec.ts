import { readFileSync } from 'node:fs';
import type { CastRow, Page as PageOf, PourView } from '@dewpot/contract';
import type { Page } from '@playwright/test';
import { wholePours } from '../scripts/lib/whole-pours.mjs';
import { castsOf, enterDemo, expect, test } from './house.js';

/** The cast of the demo that cracked in a heatwave. */
async function cracked(page: Page): Promise<CastRow> {
  const { rows } = (await (await page.request.get('/api/casts?damaged=yes&size=100')).json()) as PageOf<CastRow>;
  return rows.find(({ life }) => life.faults?.some(({ fault }) => fault === 'crack'))!;
}

test('a bowl that cracked in a heatwave is explained, and the next pour is covered', async ({ page }) => {
  await enterDemo(page);
  const bowl = await cracked(page);
  await page.goto(`/casts/${bowl.id}`);
  const why = page.getByRole('region', { name: 'Why it came out so' });
  await expect(why.getByRole('heading', { name: /^Through crack/ })).toBeVisible({ timeout: 30_000 });
  const first = why.getByRole('listitem').first();
  await expect(first).toContainText('Dried out early');
  await expect(first).toContainText(/at its worst: \d\.\d\d kg\/m²\/h\. At most 0\.50 kg\/m²\/h/);

  await test.step('what is wrong beside it is told by a tap, and taken back', async () => {
    await why.getByRole('button', { name: 'Look over' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'White bloom' }).click();
    await sheet.getByRole('region', { name: 'White bloom' }).getByText('Slight').click();
    await sheet.getByRole('button', { name: 'Keep this fault' }).click();
    await expect(why.getByRole('heading', { name: /^White bloom/ })).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: /^Undo: White bloom/ }).click();
    await expect(why.getByRole('heading', { name: /^White bloom/ })).toHaveCount(0, { timeout: 30_000 });
  });

  await why.getByRole('link', { name: 'Use this in the next pour' }).first().click();
  await expect(page.getByRole('status').filter({ hasText: 'Planned against' })).toContainText('Dried out early');
  await page
    .getByRole('button', { name: /^Keep|^Save/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/pours$/);
  const [newest] = (await wholePours(page.request)) as PourView[];
  expect(newest).toMatchObject({ status: 'planned', input: { cover: 'bag' } });
});

test('covers are compared over the season, with what it could be instead', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/findings');
  const says = page.getByRole('region', { name: 'What your record says' });
  await expect(says).toContainText('Says: in a bag rather than open.', { timeout: 30_000 });
  await expect(says).toContainText(/comparisons over \d+ casts/);
  const covers = page.getByRole('region', { name: 'Cover' });
  await expect(covers.getByRole('row').filter({ hasText: 'open' })).toContainText(/\d of \d/);
  const watched = page.getByRole('region', { name: 'Watched from cast to cast' });
  await expect(watched.getByRole('img', { name: /Mass at demoulding of \d+ casts/ })).toBeVisible();
});

/** A photo of a face of 60 × 60 mm at 10 px a mm: light falls off to one side, five voids of 4 mm, and a ruler's two marks 40 mm apart. */
async function drawnFace(page: Page): Promise<Buffer> {
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 600;
    const pen = canvas.getContext('2d')!;
    const light = pen.createLinearGradient(0, 0, 600, 0);
    light.addColorStop(0, '#c8c4bc');
    light.addColorStop(1, '#8f8b84');
    pen.fillStyle = light;
    pen.fillRect(0, 0, 600, 600);
    pen.fillStyle = '#3b3833';
    for (const [x, y] of [[200, 200], [300, 220], [400, 200], [250, 350], [380, 380]] as const) {
      pen.beginPath();
      pen.arc(x, y, 20, 0, 2 * Math.PI);
      pen.fill();
    }
    return canvas.toDataURL('image/png').split(',')[1]!;
  }); // prettier-ignore
  return Buffer.from(base64, 'base64');
}

/** Opens the counting of voids for a cast, with a drawn photo. */
async function countVoids(page: Page, castId: string): Promise<void> {
  await page.goto(`/findings/voids?cast=${castId}`);
  await page.getByLabel('Choose a photo').setInputFiles({ name: 'face.png', mimeType: 'image/png', buffer: await drawnFace(page) });
  // The two ends stand 240 px apart: 24 mm at this photo's scale.
  await page.getByLabel('Length between the two ends').fill('24');
  await page.getByLabel('Length between the two ends').press('Enter');
  await page.getByRole('button', { name: 'Find voids' }).click();
} // prettier-ignore

test('voids are counted on a photo, corrected by a tap, kept with their cast, and put beside those of another', async ({ page }) => {
  await enterDemo(page);
  const bowl = await cracked(page);
  const other = (await castsOf(page.request)).find(({ id, stage }) => stage === 'drying' && id !== bowl.id)!;
  await countVoids(page, other.id);
  await page.getByRole('button', { name: /^Keep grade 5/ }).click();
  await expect(page.getByText('Grade 5 recorded.')).toBeVisible();
  await countVoids(page, bowl.id);
  const counted = page.getByRole('region', { name: 'Voids on a photo' });
  await expect(counted.getByText('Grade 5 of 5')).toBeVisible();
  const photo = page.getByRole('group', { name: 'The photo with 5 voids marked' });
  await expect(photo).toBeVisible();
  const box = (await photo.boundingBox())!;
  await page.mouse.click(box.x + (200 / 600) * box.width, box.y + (200 / 600) * box.height);
  await expect(page.getByRole('group', { name: 'The photo with 4 voids marked' })).toBeVisible();
  await counted.getByRole('button', { name: 'Keep grade 5 with the cast' }).click();
  await page.getByRole('link', { name: 'Put another face beside it' }).click();
  const faces = page.getByRole('img', { name: `The faces of ${bowl.code} and ${other.code}, one over the other` });
  await expect(faces).toBeVisible();
  const left = page.getByRole('region', { name: 'On the left' });
  await expect(left).toContainText('Grade 5 of 5');
  await page.getByRole('slider', { name: 'Slide between the two faces' }).press('End');
  // Four voids of 4 mm are left of this one: the edge stands where the patch ends.
  await expect(faces.locator('line')).toHaveAttribute('x1', /^3[56]/);
}); // prettier-ignore

test('a trial of two releases goes from its plan over a pour to the usual way', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/findings/trials/new');
  await page.getByLabel('How it is done now').selectOption('plant oil');
  await page.getByLabel('What is tried instead').selectOption('soap');
  await page.getByLabel('Only this mould').selectOption({ label: 'Thimble pot' });
  await expect(page.getByRole('status').filter({ hasText: '23 a side' })).toBeVisible();
  await page.getByLabel('Good casts hoped for').selectOption({ label: '50 %' });
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('Good casts hoped for').selectOption({ label: '90 %' });
  await page.getByRole('button', { name: 'Begin this trial' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Soap against plant oil');
  await page.getByRole('link', { name: 'Plan a pour for it' }).click();
  await page.getByRole('button', { name: 'Start this pour' }).click();
  const dealt = page.getByRole('region', { name: 'Trial of this pour' });
  await expect(dealt).toContainText('Thimble pot');
  await page.getByRole('link', { name: /^Step by step/ }).click();
  await expect(page.getByRole('region', { name: 'Trial of this pour' }).first()).toContainText('plant oil');
  await page.goBack();
  await page.getByRole('button', { name: /^Poured: / }).click();
  await expect(page).toHaveURL(/\/$/);
  const { rows } = (await (await page.request.get('/api/casts?order=newest&size=1')).json()) as { rows: { id: string; snapshot: { trial?: { way: string }; release?: string } }[] }; // prettier-ignore
  expect(rows[0]!.snapshot.release).toBe(rows[0]!.snapshot.trial!.way);
  await page.goto(`/casts/${rows[0]!.id}`);
  await page.getByRole('link', { name: /^Trial “Soap against plant oil”/ }).click();
  await expect(page.getByText(/still in the mould/)).toBeVisible();
  await page.getByRole('button', { name: /^Keep: soap/ }).click();
  await expect(page.getByText(/is the usual way since/)).toBeVisible();
  await page.goto('/pours/new');
  await expect(page.getByText(/5 % waste, .*soap/)).toBeVisible();
});

test('what was learned stands beside the handbook, is forgotten, and counts again', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/findings');
  await page.getByRole('link', { name: 'What was learned' }).click();
  const drying = page.getByRole('region', { name: 'Pace of drying' });
  await expect(drying.getByRole('img').first()).toBeVisible();
  const forget = drying.getByRole('button', { name: /^Forget what was learned of / });
  const before = await forget.count();
  await forget.first().click();
  await expect(drying.getByText(/no longer count/)).toBeVisible();
  await expect(forget).toHaveCount(before - 1);
  await drying.getByRole('button', { name: 'Count them again' }).click();
  await expect(forget).toHaveCount(before);
});

test('a price is made of what a piece costs, with sending by its mass', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/findings');
  await page.getByRole('link', { name: 'What a piece costs' }).click();
  const { mouldId, snapshot } = (await castsOf(page.request)).find((one) => one.snapshot.mouldName === 'Thimble pot')!;
  await page.getByRole('combobox', { name: 'Mould' }).selectOption(mouldId);
  await page.getByRole('combobox', { name: 'Mix' }).selectOption(snapshot.mixId!);
  const costs = page.getByRole('region', { name: 'What a piece costs' });
  await expect(costs).toContainText('Ask for it');
  const asked = async () => (await costs.textContent())!.match(/Ask for it€([\d.]+)/)![1];
  const before = Number(await asked());
  const type = async (label: string, value: string) => {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press('Tab');
  };
  await type('Minutes to demoulding', '12');
  await type('An hour of your work', '15');
  await expect.poll(async () => Number(await asked())).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Another band' }).click();
  await type('Costs, band 1', '4.5');
  await page.getByRole('button', { name: 'Another band' }).click();
  await type('Costs, band 2', '7.6');
  await expect(costs).toContainText(/Packed it weighs .* and is sent for €(4\.50|7\.60)/);
  const saved = page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok());
  await page.getByRole('button', { name: /^Save/ }).click();
  await saved;
  await page.reload();
  await expect(page.getByLabel('Costs, band 2')).toHaveValue('7.6');
});

test('a season is told by its figures, taken out as a table and as a report', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/findings');
  await page.getByRole('link', { name: 'Season' }).click();
  await expect(page.getByText(/of \d+ looked at/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Spent on each material' })).toContainText('Grey Portland cement');
  const taken = async (name: string) => {
    const file = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    return readFileSync(await (await file).path());
  };
  expect((await taken('CSV')).toString()).toMatch(/^Month,Pieces,Good/);
  expect((await taken('Report of the season')).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByLabel('Stretch').selectOption({ label: 'The last 3 months' });
  await expect(page).toHaveURL(/months=3/);
});
