import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';

const root = process.getuid?.() === 0;

/** What Playwright itself turns off: Chromium takes the last such list alone. */
const OFF = [
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
];

// One page is one process, and none is begun in advance: the two cores that this may have are busy with the journeys.
const lean = [
  '--disable-site-isolation-trials',
  `--disable-features=${[...OFF, 'SpareRendererForSitePerProcess'].join()}`,
];

/** Journeys in Debian's Chromium against the built application. */
export default defineConfig({
  testDir: '.',
  globalSetup: './demo-cluster.ts',
  outputDir: '../test-results',
  // Each worker has a server and a database of its own.
  workers: Math.max(1, Math.min(4, availableParallelism())),
  fullyParallel: true,
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    // It puts the whole application by in each new browser. Journeys without a connection allow it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [...lean, ...(root ? ['--no-sandbox'] : [])],
    },
    screenshot: 'only-on-failure',
  },
});
