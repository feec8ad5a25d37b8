import { truncate, writeFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { beginWorkshop, enterDemo, expect, test } from './house.js';
import { photoWithCard } from './photo-with-card.js';

const answers = (page: Page) => page.getByRole('region', { name: 'What follows' });

async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

async function keep(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Save mould' }).click();
  await expect(page.getByText(`${name} is kept.`)).toBeVisible();
}

/** A binary STL of a straight block, mm. */
function blockStl(x: number, y: number, z: number): Buffer {
  const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => [i & 1 ? x : 0, i & 2 ? y : 0, i & 4 ? z : 0] as const);
  const quads = [
    [0, 2, 3, 1],
    [4, 5, 7, 6],
    [0, 1, 5, 4],
    [2, 6, 7, 3],
    [0, 4, 6, 2],
    [1, 3, 7, 5],
  ] as const;
  const triangles = quads.flatMap(([a, b, c, d]) => [[a, b, c] as const, [a, c, d] as const]);
  const file = Buffer.alloc(84 + 50 * triangles.length);
  file.writeUInt32LE(triangles.length, 80);
  triangles.forEach((triangle, t) =>
    triangle.forEach((corner, k) =>
      corners[corner]!.forEach((n, c) => file.writeFloatLE(n, 84 + t * 50 + 12 + k * 12 + c * 4)),
    ),
  );
  return file;
}

/** A round leaf of 100 mm, as it lies on a photo. */
const ROUND_LEAF = Array.from({ length: 90 }, (_, i): readonly [number, number] => {
  const turn = (2 * Math.PI * i) / 90;
  return [380 + 200 * Math.cos(turn), 400 + 200 * Math.sin(turn)];
});

test('a ribbed lantern shade and a hexagon trough are described with a tape', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/new');
  await page.getByRole('link', { name: 'A ribbed or turned shade' }).click();
  for (const [i, radius] of [80, 70, 80, 64].entries()) await type(page, `Radius of point ${i + 1}`, `${radius} mm`);
  await page.getByRole('button', { name: 'A point above' }).click();
  await type(page, 'Height of point 5', '210');
  await type(page, 'Radius of point 5', '7 cm');
  await expect(answers(page)).toContainText('Volume');
  await expect(page.getByRole('alert')).toBeHidden();
  await type(page, 'Height of point 5', '100');
  await expect(page.getByRole('alert').first()).toContainText('at least 180 mm');
  await type(page, 'Height of point 5', '210');
  await keep(page, 'Ribbed shade');

  await page.goto('/moulds/new');
  await page.getByRole('link', { name: 'A six- or eight-sided pot' }).click();
  await page.getByRole('button', { name: 'Take The core out' }).click();
  await expect(answers(page)).toContainText('4.95L');
  await type(page, 'Inside height', '6 in');
  await expect(page.getByLabel('Inside height')).toHaveValue('152.4 mm');
  await page.getByLabel('Put something in').selectOption({ label: 'Four drain plugs on a circle' });
  await expect(page.getByText('× 4')).toBeVisible();
  await page.getByRole('button', { name: 'Turn over' }).click();
  await expect(page.getByRole('img', { name: /The piece. Drag to turn it/ })).toBeVisible();
  await keep(page, 'Hexagon trough');
  await page.goto('/moulds');
  await expect(page.getByRole('link', { name: /Hexagon trough/ })).toContainText('L');
  await type(page, 'and at most', '3 L');
  await expect(page.getByRole('link', { name: /Hexagon trough/ })).toBeHidden();
  await expect(page.getByRole('link', { name: /Ribbed shade/ })).toBeVisible();
});

test('a shell pressed over a tub follows its thickness', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/new?as=shell');
  await expect(answers(page)).toContainText('14.08L');
  await type(page, 'Thickness of the shell', '45');
  await expect(answers(page)).toContainText('19.15L');
  await page.getByText('Inside it').click();
  await type(page, 'Thickness of the shell', '130');
  await expect(page.getByRole('region', { name: 'Section drawing' }).getByRole('alert')).toContainText(
    'leaves no room',
  );
  await type(page, 'Thickness of the shell', '30');
  await expect(answers(page)).toContainText('8.13L');
});

test('among eight tubs the best pair is found, drawn and made a mould', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/moulds/pairs');
  const pairs = page.getByRole('region', { name: 'Pairs' }).getByRole('listitem');
  await expect(pairs.first()).toContainText('Bean tub in bulb tub');
  await type(page, 'A wall of', '12 mm');
  await expect(pairs.first()).not.toContainText('Bean tub in bulb tub');
  await pairs.first().getByRole('link', { name: 'Make a mould of it' }).click();
  await expect(answers(page)).toContainText('Thinnest wall');
  await expect(page.getByLabel('Name', { exact: true })).not.toHaveValue('');
});

test('a mesh is read, asked about and kept; files that are none are told of', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/file');
  const choose = page.getByLabel('A mesh, an outline or a photo');
  const send = (name: string, buffer: Buffer) => choose.setInputFiles({ name, mimeType: '', buffer });
  const wrong: [string, Buffer, RegExp][] = [
    ['empty.stl', Buffer.alloc(0), /It is empty/],
    ['short.stl', blockStl(100, 60, 40).subarray(0, 300), /cut short/],
    ['note.stl', Buffer.from('this is a note and no mesh, however long it goes on and on. '.repeat(4)), /no STL/],
    [
      'script.svg',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>document.title="x"</script></svg>'),
      /carries a script/,
    ],
    ['bomb.3mf', Buffer.from('PK\u0003\u0004 not really'), /damaged|no 3D model/],
  ];
  for (const [name, buffer, told] of wrong) {
    await send(name, buffer);
    await expect(page.getByRole('alert')).toContainText(told);
  }
  await send('block.stl', blockStl(100, 60, 40));
  await expect(page.getByText('12 triangles, shut all round')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Say what the body is' })).toBeDisabled();
  await page.getByText('The piece').click();
  await expect(page.getByText('100 × 60 × 40')).toBeVisible();
  await page.getByRole('button', { name: 'Yes, look into it' }).click();
  await page.getByRole('button', { name: 'Make a mould of it' }).click();
  await expect(answers(page)).toContainText('240mL');
  await keep(page, 'Block from a file');

  await page.goto('/moulds/file');
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100"><ellipse cx="100" cy="50" rx="90" ry="40"/></svg>';
  await send('oval.svg', Buffer.from(svg));
  await page.getByRole('button', { name: 'Make a mould of it' }).click();
  await type(page, 'Inside depth', '40');
  await expect(answers(page)).toContainText('452mL');
});

/** A file of `megabytes` on disk, the beginning of which is a binary STL of as many triangles as it has room for. */
async function largeStl(at: string, megabytes: number): Promise<string> {
  const bytes = megabytes * 1024 * 1024;
  const head = Buffer.alloc(84);
  head.writeUInt32LE(Math.floor((bytes - 84) / 50), 80);
  await writeFile(at, head);
  await truncate(at, bytes - ((bytes - 84) % 50));
  return at;
}

test('a file of 200 MB can be stopped at once, a larger one is refused, and the screen lives on', async ({
  page,
}, info) => {
  await beginWorkshop(page);
  await page.goto('/moulds/file');
  const choose = page.getByLabel('A mesh, an outline or a photo');
  await choose.setInputFiles(await largeStl(info.outputPath('large.stl'), 200));
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('progressbar', { name: 'Reading the file' })).toBeHidden();
  await choose.setInputFiles(await largeStl(info.outputPath('larger.stl'), 230));
  await expect(page.getByRole('alert')).toContainText('It is larger than 220 MB.');
  await choose.setInputFiles({ name: 'block.stl', mimeType: '', buffer: blockStl(100, 60, 40) });
  await expect(page.getByText('12 triangles, shut all round')).toBeVisible();
});

test('a file dropped on the drawing becomes it, and can be put back', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/new?as=trough');
  const before = await answers(page).textContent();
  const file = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100"><ellipse cx="100" cy="50" rx="90" ry="40"/></svg>';
    data.items.add(new File([svg], 'oval.svg', { type: 'image/svg+xml' }));
    return data;
  });
  await page.getByRole('region', { name: 'Section drawing' }).dispatchEvent('drop', { dataTransfer: file });
  await page.getByRole('button', { name: 'Make a mould of it' }).click();
  await type(page, 'Inside depth', '40');
  await expect(answers(page)).toContainText('452mL');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(answers(page)).toHaveText(before!);
});

test('a leaf is traced from a photo beside a card, and corrected', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/moulds/file');
  const buffer = await photoWithCard(page, ROUND_LEAF);
  await page
    .getByLabel('A mesh, an outline or a photo')
    .setInputFiles({ name: 'hosta.png', mimeType: 'image/png', buffer });
  await page.getByRole('button', { name: 'Find the card and the outline' }).click();
  const found = page.getByRole('region', { name: 'What is on it' });
  await expect(found).toContainText(/7[789] cm²/, { timeout: 20_000 });
  const before = await found.textContent();
  const point = page.getByRole('button', { name: 'Point 1 of the outline' });
  await point.focus();
  for (let i = 0; i < 60; i++) await point.press('ArrowUp');
  expect(await found.textContent()).not.toBe(before);
  await page.getByRole('button', { name: 'Make a mould of it' }).click();
  await expect(page.getByRole('region', { name: 'Made again' })).toBeVisible();
  await keep(page, 'Hosta leaf');
});

test('a mould weighed with water changes the plan', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/moulds');
  await page.getByRole('link', { name: /Nested pail pot/ }).click();
  await expect(answers(page)).toContainText('2.01L');
  await page.getByRole('link', { name: 'Plan a pour' }).click();
  const sheet = page.getByRole('region', { name: 'Mixing sheet' });
  await expect(sheet).toContainText('To mix in all');
  const before = await sheet.textContent();
  await page.goBack();
  await type(page, 'Fill weight', '2.2 kg');
  await page.getByRole('button', { name: /^Use 2.20/ }).click();
  await expect(answers(page)).toContainText('differ by 9 %');
  await page.getByRole('button', { name: 'Save mould' }).click();
  await expect(page.getByText('Nested pail pot is kept.')).toBeVisible();
  await page.getByRole('link', { name: 'Plan a pour' }).click();
  await expect(sheet).toContainText('To mix in all');
  expect(await sheet.textContent()).not.toBe(before);
});

test('moulds go out to a file and come in from one', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/moulds');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'These as JSON' }).click(),
  ]);
  const path = await download.path();
  await page.getByText('Maud', { exact: true }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Look round the demo workshop' })).toBeVisible();
  await beginWorkshop(page, 'Elsewhere');
  await page.goto('/moulds');
  await page
    .getByLabel('A file of moulds')
    .setInputFiles({ name: 'a.json', mimeType: '', buffer: Buffer.from('{"a":1}') });
  await expect(page.getByRole('alert')).toContainText('holds no moulds');
  await page.getByLabel('A file of moulds').setInputFiles(path);
  await expect(page.getByRole('link', { name: /Long alpine trough/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Twelve-faced lamp/ })).toBeVisible();
});
