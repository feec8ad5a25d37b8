import { AS_PAGES, DESK, expect, test } from './house';
import { firstLoad, lighthouseOf } from '../scripts/lib/first-load.mjs';

/** The most JavaScript that the first screen may take, bytes as gzip makes them. */
const MOST = 170_000;
/** By how much what was seen may move without anybody missing what they tap: the limit that browsers’ makers agree on. */
const STEADY = 0.1;

test.use({ viewport: DESK });

test('the first load of the shelf is light', async ({ page }) => {
  await page.request.post('/api/session/demo', AS_PAGES);
  const { bytes, files } = await firstLoad(page);
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThan(MOST);
  // A file of its own for each small module would be seventy.
  expect(files).toBeLessThan(40);
});

test('nothing of the shelf moves once it was seen, on a quarter of the processor', async ({ page, baseURL }, info) => {
  await page.request.post('/api/session/demo', AS_PAGES);
  const { largestPaint, layoutShift } = await lighthouseOf(`${baseURL}/`, page.context(), process.env.CHROMIUM);
  // How long it takes is told and not judged: other journeys run beside it. The benchmark has its goal.
  info.annotations.push({ type: 'largest paint', description: `${largestPaint.toFixed(0)} ms` });
  expect(largestPaint).toBeGreaterThan(0);
  expect(layoutShift).toBeLessThan(STEADY);
});
