import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

const own = [/@dewpot\/(core|locales|contract|server|demo)/];
const shared = { resolve: { conditions: ['source'] }, ssr: { resolve: { conditions: ['source', 'node'] } } };

/** A race that is run more often than usual may take longer. */
const raceTimeout = Math.max(120_000, Number(process.env.DEWPOT_RACE_ROUNDS ?? 100) * 1500);

export default defineConfig({
  test: {
    // As many as there are processors: by itself it leaves one idle, which of two is half.
    maxWorkers: availableParallelism(),
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
          globalSetup: ['scripts/lib/vitest-cluster.mjs'],
          server: { deps: { inline: own } },
          isolate: false,
          testTimeout: raceTimeout,
          hookTimeout: 120_000,
        },
      },
      {
        ...shared,
        test: {
          name: 'web',
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/test/setup.ts'],
          server: { deps: { inline: own } },
          testTimeout: 60_000,
        },
      },
    ],
  },
});
