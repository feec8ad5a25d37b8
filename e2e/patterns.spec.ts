import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { MouldView, PatternView } from '@dewpot/contract';
import { beginWorkshop, enterDemo, expect, test } from './house.js';
import { photoWithCard } from './photo-with-card.js';

const follows = (page: Page) => page.getByRole('region', { name: 'What follows' });

async function fill(page: Page, values: Readonly<Record<string, string>>): Promise<void> {
  for (const [label, value] of Object.entries(values)) {
    const field = page.getByLabel(label, { exact: true });
    await field.fill(value);
    await field.press('Enter');
  }
}

async function keep(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name of the pattern').fill(name);
  await page.getByRole('button', { name: 'Save the pattern' }).click();
  await expect(page).toHaveURL(/\/patterns\/[0-9a-f-]{36}$/);
}

test('a lamp of thirteen faces goes from 3 mm board to its mould and its mixing sheet', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/patterns');
  await page.getByRole('link', { name: 'New pattern' }).first().click();
  await page.getByRole('link', { name: /Solid of equal faces/ }).click();
  await expect(follows(page).getByText('808')).toBeVisible();
  await expect(follows(page).getByText('27.4')).toBeVisible();
  await keep(page, 'Weir lamp');
  const [list] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Cut list (CSV)' }).click(),
  ]);
  expect(readFileSync(await list.path(), 'utf8')).toContain('73.1');
  const [drawing] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'SVG', exact: true }).click(),
  ]);
  expect(readFileSync(await drawing.path(), 'utf8')).toContain('<path id="cut"');
  const [paper] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Templates 1:1' }).click(),
  ]);
  expect(
    readFileSync(await paper.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  const cutting = page.getByRole('region', { name: 'Cut from' });
  await expect(cutting.getByText('From your materials: Birch ply.')).toBeVisible();
  await expect(cutting.getByText(/^One sheet, \d+ % of what is used is waste, €8.50/)).toBeVisible();
  await expect(cutting.getByRole('button', { name: 'Keep this one' })).toHaveCount(0, { timeout: 60_000 });
  await cutting.getByLabel('Table saw: every cut goes right across').check();
  await expect(cutting.getByRole('img', { name: /^Sheet 1 with parts A/ })).toBeVisible();
  await page.getByRole('button', { name: 'Make the mould' }).click();
  await page.getByRole('region', { name: 'Moulds of it' }).getByRole('link', { name: 'Weir lamp' }).click();
  await expect(page).toHaveURL(/\/moulds\//);
  const moulds = (await (await page.request.get('/api/moulds/all')).json()) as MouldView[];
  const mould = moulds.find(({ name }) => name === 'Weir lamp')!;
  expect(mould.shape.outer).toMatchObject({ kind: 'polyhedron', which: 'cuboctahedron', edge: 70 });
  await page.goto(`/pours/new?mould=${mould.id}`);
  await expect(page.getByLabel('How many of Weir lamp')).toHaveValue('1');
  const { rows } = (await (await page.request.get('/api/patterns?q=Weir')).json()) as { rows: PatternView[] };
  expect(rows).toMatchObject([{ name: 'Weir lamp', moulds: [mould.id] }]);
});

test('a square house of panels shows its wall trap before a cut, and is mended', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=panel-box');
  await fill(page, {
    'Outside length wanted': '300 mm',
    'Outside width': '300 mm',
    'Side panel as you drew it': '300 mm',
  });
  await expect(
    follows(page).getByText(/the box comes out 50 mm too long, 350 mm. Cast side panels of 250 mm/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'From above' }).click();
  await expect(page.getByRole('img', { name: 'From above' })).toBeVisible();
  await fill(page, { 'Side panel as you drew it': '250 mm' });
  await expect(follows(page).getByText(/too long/)).toHaveCount(0);
  await keep(page, 'Lock house');
});

test('a long spiral is divided into segments that one can lift', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=strip');
  await page.getByLabel('Line', { exact: true }).selectOption('spiral');
  await fill(page, {
    'Channel width': '80 mm',
    'Strip height': '80 mm',
    'Radius at the start': '70 mm',
    'Pitch, middle to middle': '160 mm',
  });
  await expect(follows(page).getByText(/Divided into \d pieces that you can lift/)).toBeVisible();
  await expect(follows(page).getByText(/lay the template mirrored/)).toBeVisible();
  await fill(page, { 'Channel width': '170 mm' });
  await expect(page.getByRole('alert')).toContainText('its turns would touch');
  await expect(page.getByLabel('Channel width')).toHaveValue('170 mm');
});

test('an outline out of a drawing becomes strips on a board; a file that is none is told of', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=strip');
  await page.getByLabel('Line', { exact: true }).selectOption('free');
  const file = page.getByLabel('File of an outline (SVG or DXF)');
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="400mm" viewBox="0 0 600 400"><path d="M0 0H600V400H0Z"/></svg>';
  await file.setInputFiles({ name: 'plot.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  // Walls of 660 × 460 and 540 × 340 mm, and a lap of each.
  await expect(follows(page).getByText('4080')).toBeVisible();
  await file.setInputFiles({ name: 'plot.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg/>') });
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(follows(page).getByText('4080')).toBeVisible();
});

test('a gap of five sides names the diagonal that was taped wrong, and closes with the right one', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=gap');
  const sides = page.getByRole('region', { name: 'Sides, in order round it' });
  await sides.getByRole('button', { name: 'Add a side' }).click();
  await fill(page, {
    'Side 1–2': '820 mm',
    'Side 2–3': '529 mm',
    'Side 3–4': '625 mm',
    'Side 4–5': '663 mm',
    'Side 5–1': '485 mm',
  });
  const diagonals = page.getByRole('region', { name: 'Diagonals' });
  const taped = [
    [1, 3, 1087],
    [1, 4, 944],
    [2, 4, 960],
    [2, 5, 1051],
    [3, 5, 1081],
  ] as const;
  for (const [i, [from, to, length]] of taped.entries()) {
    if (i > 0) await diagonals.getByRole('button', { name: 'Add a diagonal' }).click();
    const row = diagonals.getByRole('listitem').nth(i);
    await row.getByLabel('From').selectOption(`Corner ${from}`);
    await row.getByLabel('To').selectOption(`Corner ${to}`);
    await row.getByLabel('Length').fill(`${length} mm`);
    await row.getByLabel('Length').press('Enter');
  }
  await expect(
    follows(page).getByText(/Likeliest wrong: from corner 2 to corner 4. You taped 960 mm; the others give 92\d mm./),
  ).toBeVisible();
  const wrong = diagonals.getByRole('listitem').nth(2).getByLabel('Length');
  await wrong.fill('927 mm');
  await wrong.press('Enter');
  await expect(follows(page).getByText(/The lengths close within/)).toBeVisible();
  await keep(page, 'Gap beside the lock');
});

test('a bed of two levels tells its panels, its wedges and what holds it', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=bed');
  await expect(follows(page).getByText('12', { exact: true })).toBeVisible();
  await expect(follows(page).getByText(/Tie opposite sides at each joint/)).toBeVisible();
  await expect(follows(page).getByText(/Above 0.6 m follow your local code/)).toHaveCount(0);
  const levels = page.getByLabel('Levels', { exact: true });
  await levels.fill('4');
  await levels.press('Tab');
  await expect(follows(page).getByText(/Above 0.6 m follow your local code/)).toBeVisible();
});

test('a gap is traced from a photo beside a card, and its slab is a joint smaller all round', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=gap');
  // 100 × 75 mm.
  const buffer = await photoWithCard(page, [[150, 200], [550, 200], [550, 500], [150, 500]]); // prettier-ignore
  await page
    .getByLabel('Photo of the gap with a card beside it')
    .setInputFiles({ name: 'gap.png', mimeType: 'image/png', buffer });
  await page.getByRole('button', { name: 'Find the card and the outline' }).click();
  await expect(page.getByRole('region', { name: 'What is on it' })).toContainText(/7[3-7] cm²/, { timeout: 20_000 });
  await page.getByRole('button', { name: 'Take this outline' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Measure it with the tape' })).toBeVisible();
  await keep(page, 'Gap by the drain');
  const { rows } = (await (await page.request.get('/api/patterns')).json()) as { rows: PatternView[] };
  expect(rows[0]!.pattern).toMatchObject({ kind: 'gap', outline: [{}, {}, {}, {}] });
});

test('a size is changed where it stands on the drawing, and what follows changes with it', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/patterns/new?as=box');
  await expect(follows(page).getByText('3.60')).toBeVisible();
  await fill(page, { 'Height inside, on the drawing': '80 mm' });
  await expect(follows(page).getByText('4.80')).toBeVisible();
  await expect(page.getByLabel('Height inside', { exact: true })).toHaveValue('80 mm');
});
