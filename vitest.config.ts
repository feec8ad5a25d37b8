import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

const own = [/@dewpot\/(core|locales|contract|server|demo)/];
const shared = { resolve: { conditions: ['source'] }, ssr: { resolve: { conditions: ['source', 'node'] } } };

/** A race that is run more often than usual may take longer. */
const raceTimeout = Math.max(120_000, Number(process.env.DEWPOT_RACE_ROUNDS ?? 100) * 1500);

/** Three hosts that wait for two cores: no other test runs beside them. */
const TEST_OF_HOSTS = 'server/test/three-hosts.test.ts';
const TESTS_OF_SCREENS = 'web/src/**/*.test.{ts,tsx}';
const TESTS_ALONE = 'web/src/**/*.alone.test.{ts,tsx}';

const screens = {
  environment: 'jsdom',
  setupFiles: ['web/test/setup.ts'],
  // By its name and not by a mock: what a test says last is fetched when the mocks of its file are gone.
  alias: [{ find: /^\.\/toaster$/, replacement: join(import.meta.dirname, 'web/test/silent-toaster.ts') }],
  server: { deps: { inline: own } },
  testTimeout: 60_000,
  sequence: { groupOrder: 1 },
} as const;

export default defineConfig({
  test: {
    // Tests of screens and of the server wait now and then: with one more of them than there are processors, none of those is idle.
    maxWorkers: availableParallelism() + 1,
    projects: [
      {
        ...shared,
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'contract/src/**/*.test.ts', 'locales/src/**/*.test.ts'],
          server: { deps: { inline: own } },
          // Core is pure: what one file imported serves the next.
          isolate: false,
          testTimeout: 60_000,
        },
      },
      {
        ...shared,
        test: {
          name: 'server',
          include: ['server/test/**/*.test.ts', 'demo/src/**/*.test.ts'],
          exclude: [TEST_OF_HOSTS],
          globalSetup: ['scripts/lib/vitest-cluster.mjs'],
          setupFiles: ['server/test/watched-statements.ts'],
          server: { deps: { inline: own } },
          isolate: false,
          testTimeout: raceTimeout,
          hookTimeout: 120_000,
        },
      },
      {
        ...shared,
        test: { ...screens, name: 'web', include: [TESTS_OF_SCREENS], exclude: [TESTS_ALONE], isolate: false },
      },
      // What takes another module's place in one file must not stand in it for the next.
      { ...shared, test: { ...screens, name: 'web alone', include: [TESTS_ALONE] } },
      { test: { name: 'three hosts', include: [TEST_OF_HOSTS], sequence: { groupOrder: 2 } } },
    ],
  },
});
