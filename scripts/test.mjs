// @ts-check
import { spawn } from 'node:child_process';
import { once } from 'node:events';
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
import { playwrightOutcome, vitestOutcome } from './lib/test-reports.mjs';

const results = join(root, 'test-results');

/** @typedef {import('./lib/test-reports.mjs').Outcome} Outcome */

/** Runs a program of ours from node_modules; answers whether it went well. @param {string} program @param {string[]} args @param {NodeJS.ProcessEnv} [env] */
async function tool(program, args, env = {}) {
  const running = spawn(join(root, 'node_modules/.bin', program), args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const [code] = await once(running, 'exit');
  return code === 0;
}

/**
 * What a runner's own report says. A runner that fails without a failed test counts as one.
 * @param {string} name @param {string} report @param {() => Promise<boolean>} work @param {(report: any) => Outcome} read @returns {Promise<Outcome>}
 */
async function suite(name, report, work, read) {
  say(`\n— ${name}`);
  rmSync(report, { force: true });
  const well = await work();
  const { passed, failures, pages } = existsSync(report)
    ? read(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failures: [], pages: [] };
  return {
    passed,
    pages,
    failures: well || failures.length > 0 ? failures : [`${name}: the runner itself, see above`],
  };
}

/** Runs tests of Vitest's projects of that name. @param {string} name @param {string} file @param {string} projects */
function vitest(name, file, projects) {
  const report = join(results, file);
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
  return suite(name, report, () => tool('vitest', ['run', '--project', projects, ...reporters]), vitestOutcome);
}

/** Says what failed once more and what was seen then, where it is not lost among what passed, and counts. @param {Outcome[]} outcomes */
function conclude(outcomes) {
  const passed = outcomes.reduce((sum, outcome) => sum + outcome.passed, 0);
  const failures = outcomes.flatMap((outcome) => outcome.failures);
  for (const page of outcomes.flatMap(({ pages = [] }) => pages)) say(`\n— what the page showed: ${page}`);
  if (failures.length > 0) say(`\n— what failed\n${failures.join('\n')}`);
  say(`\n${passed} passed, ${failures.length} failed`);
  process.exitCode = failures.length > 0 || passed === 0 ? 1 : 0;
}

async function main() {
  ensureNode();
  ensurePackages();
  ensurePostgres();
  const chromium = ensureChromium();
  for (const [name, what] of Object.entries({ pgbouncer: 'pgbouncer', haproxy: 'HAProxy' }))
    wishDebian(`/usr/sbin/${name}`, [name], what, `The tests of ${what} are skipped.`);
  mkdirSync(results, { recursive: true });
  // Three hosts wait for one another most of the time: what runs nothing of ours takes what they leave of the processors.
  const hosts = vitest('three hosts', 'hosts.json', 'three hosts');
  const checked = (await runStaticChecks({ cached: false }, say)).map(({ name, well }) => ({
    passed: well ? 1 : 0,
    failures: well ? [] : [name],
  }));
  const outcomes = [...checked, await hosts, await vitest('core, server and web', 'unit.json', '!three hosts')];
  buildStale();
  const journeys = join(results, 'e2e.json');
  outcomes.push(
    await suite(
      'journeys in the browser',
      journeys,
      () => tool('playwright', ['test', '-c', 'e2e'], { CHROMIUM: chromium }),
      playwrightOutcome,
    ),
  );
  conclude(outcomes);
}

run(main);
