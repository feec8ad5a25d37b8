// @ts-check
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import lighthouse from 'lighthouse';
import { freePort } from './postgres.mjs';

/**
 * Opens the shelf in a browser that knows nothing of it. Answers the JavaScript that its first screen takes, in bytes as gzip makes them, and ms until
 * it tells what is to be done. What is fetched after that, so that every other screen opens without a connection, keeps nobody waiting.
 * @param {import('@playwright/test').Page} page @returns {Promise<{ bytes: number, files: number, told: number }>}
 */
export async function firstLoad(page) {
  /** @type {Promise<number>[]} */
  const sizes = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) sizes.push(response.body().then((body) => gzipSync(body).length));
  });
  const begun = performance.now();
  await page.goto('/');
  await page.getByRole('heading', { name: 'Today', exact: true }).waitFor();
  const told = performance.now() - begun;
  await page.locator('svg.plank').first().waitFor();
  const fetched = await Promise.all(sizes);
  return { bytes: fetched.reduce((sum, size) => sum + size, 0), files: fetched.length, told };
}

/** Our connection is that of this machine; the processor is a quarter of its. */
const slowed = { cpuSlowdownMultiplier: 4, rttMs: 0, throughputKbps: 1e6, requestLatencyMs: 0, downloadThroughputKbps: 0, uploadThroughputKbps: 0 }; // prettier-ignore

/**
 * Lighthouse's own measures of a first screen on a quarter of the processor: when the largest of what is seen stands, ms, and by how much anything moves
 * after it was seen (0 to 1).
 * @param {string} url @param {import('@playwright/test').BrowserContext} context whose session it is opened in
 * @param {string | undefined} executablePath the browser
 * @returns {Promise<{ largestPaint: number, layoutShift: number }>}
 */
export async function lighthouseOf(url, context, executablePath) {
  const Cookie = (await context.cookies(url)).map(({ name, value }) => `${name}=${value}`).join('; ');
  const port = await freePort();
  const args = [`--remote-debugging-port=${port}`, ...(process.getuid?.() === 0 ? ['--no-sandbox'] : [])];
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), args });
  try {
    const run = await lighthouse(url, {
      port,
      logLevel: 'error',
      onlyAudits: ['largest-contentful-paint', 'cumulative-layout-shift'],
      formFactor: 'desktop',
      screenEmulation: { mobile: false, width: 1280, height: 800, deviceScaleFactor: 1 },
      throttling: slowed,
      extraHeaders: { Cookie },
    });
    /** @param {string} audit */
    const measured = (audit) => {
      const value = run?.lhr.audits[audit]?.numericValue;
      if (value === undefined)
        throw new Error(`Lighthouse has no measure of ${audit}: ${JSON.stringify(run?.lhr.runtimeError)}.`);
      return value;
    };
    return { largestPaint: measured('largest-contentful-paint'), layoutShift: measured('cumulative-layout-shift') };
  } finally {
    await browser.close();
  }
}
