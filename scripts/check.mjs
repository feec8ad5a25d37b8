// @ts-check
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { runStaticChecks } from './lib/static-checks.mjs';

/** Races are run so often in a quick check; `npm test` runs each a hundred times. */
const FEW_ROUNDS = '5';

/** Runs a program of ours; stops at the first that fails. @param {string} program @param {string[]} args @param {NodeJS.ProcessEnv} [env] */
function must(program, args, env = {}) {
  say(`— ${[program, ...args].join(' ')}`);
  const { status } = spawnSync(join(root, 'node_modules/.bin', program), args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (status !== 0) throw new Stop(`${program} found something. What it says stands above.`);
}

/** Types, lint, and the tests that a change can touch: against what is committed, or against the revision that is named. */
async function main() {
  ensureNode();
  ensurePackages();
  const [since = 'HEAD'] = process.argv.slice(2);
  const failed = (await runStaticChecks({ cached: true }, say)).filter(({ well }) => !well);
  if (failed.length > 0) throw new Stop(`${failed.map(({ name }) => name).join(', ')}: what was found stands above.`);
  ensurePostgres();
  must('vitest', ['run', '--changed', since, '--passWithNoTests'], { DEWPOT_RACE_ROUNDS: FEW_ROUNDS });
}

run(main);
