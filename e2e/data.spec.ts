import { readFile } from 'node:fs/promises';
import { json } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import yauzl from 'yauzl';
import type { ArchiveManifest } from '@dewpot/contract';
import { beginWorkshop, enterDemo, expect, test } from './house.js';

/** What an archive says of the records and the photos in it: path and checksum of each. */
async function recordsIn(zip: Buffer): Promise<string[]> {
  const file = await yauzl.fromBufferPromise(zip, { lazyEntries: true });
  for await (const entry of file.eachEntry()) {
    if (entry.fileName !== 'manifest.json') continue;
    const { files } = (await json((await file.openReadStreamPromise(entry)) as Readable)) as ArchiveManifest;
    return files
      .filter(({ path }) => /^(records|pictures)\//.test(path))
      .map(({ path, rows, sha256 }) => `${path} ${rows} ${sha256}`);
  }
  throw new Error('The archive has no manifest.');
}

test('the demo goes out whole, into a workshop of one’s own, and out again the same; that is deleted and brought back', async ({ page, browser, baseURL }) => {
  await enterDemo(page);
  await page.goto('/workshop/data');
  await expect(page.getByText(/^\d+ casts, /)).toBeVisible();
  const [out] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Take it out' }).click()]);
  expect(out.suggestedFilename()).toMatch(/^thornwick-lane-\d{4}-\d\d-\d\d\.zip$/);
  const archive = await readFile(await out.path());

  const own = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await beginWorkshop(own, 'Quince Yard');
  await own.goto('/workshop/data');
  await own.getByLabel('Read an archive in', { exact: true }).and(own.locator('input')).setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: archive });
  // Each of its records is checked and written, on cores that other journeys have too.
  const readIn = own.getByRole('region', { name: 'Read an archive in' });
  await expect(readIn).toContainText(/it becomes the one of the archive/, { timeout: 120_000 });
  await own.getByRole('button', { name: 'Read it in' }).click();
  await expect(readIn).toContainText(/Thornwick Lane, as it was on .* was read in/, { timeout: 120_000 });
  await own.getByRole('link', { name: /^Shelf/ }).first().click();
  await expect(own.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  await expect(own.getByText('Thornwick Lane')).toBeVisible();

  await own.goto('/workshop/data');
  const [again] = await Promise.all([own.waitForEvent('download'), own.getByRole('button', { name: 'Take it out' }).click()]);
  const sums = await recordsIn(await readFile(await again.path()));
  const before = await recordsIn(archive);
  expect(sums.length).toBeGreaterThan(30);
  // The demo's simulated loggers log on meanwhile.
  const still = (lines: string[]) => lines.filter((line) => !/ambient(Readings|Asides)/.test(line));
  expect(still(sums)).toEqual(still(before));

  await own.getByText('Delete it …').click();
  await own.getByLabel('Type its name: Thornwick Lane').fill('Thornwick Lane');
  await own.getByRole('button', { name: 'Delete the workshop' }).click();
  await expect(own.getByRole('heading', { name: 'Thornwick Lane was deleted' })).toBeVisible();
  await own.goto('/casts');
  await own.getByRole('button', { name: 'Bring it back' }).click();
  await expect(own.getByRole('heading', { name: 'Casts', exact: true })).toBeVisible();
  await own.context().close();
}); // prettier-ignore
