// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildStale } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { wishDebian } from './lib/debian.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { run, say } from './lib/say.mjs';
import { runStaticChecks } from './lib/static-checks.mjs';

const results = join(root, 'test-results');

/** @typedef {{ passed: number, failed: number }} Count */

/** Runs a program of ours from node_modules; answers whether it went well. @param {string} program @param {string[]} args @param {NodeJS.ProcessEnv} [env] */
function tool(program, args, env = {}) {
  const done = spawnSync(join(root, 'node_modules/.bin', program), args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return done.status === 0;
}

/**
 * Tests counted from a runner's own report. A runner that fails without a failed test counts as one.
 * @param {string} name @param {string} report @param {() => boolean} work @param {(report: any) => Count} count @returns {Count}
 */
function suite(name, report, work, count) {
  say(`\n— ${name}`);
  rmSync(report, { force: true });
  const well = work();
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 };
  return { passed, failed: !well && failed === 0 ? 1 : failed };
}

async function main() {
  ensureNode();
  ensurePackages();
  ensurePostgres();
  const chromium = ensureChromium();
  for (const [name, what] of Object.entries({ pgbouncer: 'pgbouncer', haproxy: 'HAProxy' }))
    wishDebian(`/usr/sbin/${name}`, [name], what, `The tests of ${what} are skipped.`);
  mkdirSync(results, { recursive: true });
  const unit = join(results, 'unit.json');
  const journeys = join(results, 'e2e.json');
  const counts = [
    ...(await runStaticChecks({ cached: false }, say)).map(({ well }) => ({
      passed: well ? 1 : 0,
      failed: well ? 0 : 1,
    })),
    suite(
      'core, server and web',
      unit,
      () => tool('vitest', ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`]),
      ({ numPassedTests, numFailedTests }) => ({ passed: numPassedTests, failed: numFailedTests }),
    ),
  ];
  buildStale();
  counts.push(
    suite(
      'journeys in the browser',
      journeys,
      () => tool('playwright', ['test', '-c', 'e2e'], { CHROMIUM: chromium }),
      ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
    ),
  );
  const passed = counts.reduce((sum, count) => sum + count.passed, 0);
  const failed = counts.reduce((sum, count) => sum + count.failed, 0);
  say(`\n${passed} passed, ${failed} failed`);
  process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
}

run(main);
