// @ts-check
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** @typedef {{ name: string, programs: string[][] }} Check */

/** The compiler, below node_modules, by its own path: the TypeScript of which other tools use the API has a program of the same name. */
export const tsc = 'typescript-7/bin/tsc';

/** What a program keeps to be faster the next time. @param {string} name */
const cache = (name) => ['--cache', '--cache-location', `.cache/${name}`];

/**
 * Checks that run nothing of ours, each as programs below node_modules with their arguments, the longest first. `cached` passes over files that did not
 * change, though what they import may have: good for a quick look only.
 * @param {{ cached: boolean }} options @returns {Check[]}
 */
const staticChecks = ({ cached }) => [
  { name: 'lint', programs: [['.bin/eslint', ...(cached ? cache('eslint') : []), '.']] },
  {
    name: 'format',
    programs: [['.bin/prettier', '--check', ...(cached ? cache('prettier') : []), '--log-level', 'warn', '.']],
  },
  {
    name: 'types',
    programs: [
      [tsc, '-b'],
      ...['web', 'e2e', 'tsconfig.scripts.json'].map((project) => [tsc, '-p', project, '--noEmit']),
    ],
  },
  { name: 'lint by types', programs: [['.bin/oxlint', '--type-aware', '--quiet']] },
  { name: 'nothing unused, no circles', programs: [['.bin/knip', '--no-progress']] },
];

/** Runs a program below node_modules, behind whatever else the machine does; answers whether it went well, and what it said. @param {string[]} command @returns {Promise<{ well: boolean, said: string }>} */
function runTool([program = '', ...args]) {
  return new Promise((resolve) => {
    const running = spawn('nice', ['-n', '19', join(root, 'node_modules', program), ...args], { cwd: root });
    let said = '';
    for (const stream of [running.stdout, running.stderr]) stream.on('data', (text) => (said += text));
    running.on('error', (error) => resolve({ well: false, said: `${said}${error.message}\n` }));
    running.on('close', (code) => resolve({ well: code === 0, said }));
  });
}

/** Runs the programs of a check one after another. @param {Check} check */
async function runCheck({ name, programs }) {
  const done = [];
  for (const program of programs) done.push(await runTool(program));
  return { name, well: done.every(({ well }) => well), said: done.map(({ said }) => said).join('') };
}

/**
 * Runs all static checks, two at a time: what each says comes when it is over. Answers the names of those that went well or not.
 * @param {{ cached: boolean }} options @param {(text: string) => void} say
 */
export async function runStaticChecks(options, say) {
  /** @type {{ name: string, well: boolean }[]} */
  const results = [];
  /** @param {Check} check */
  const run = async (check) => {
    const { name, well, said } = await runCheck(check);
    say(`— ${name}${said ? `\n${said.trimEnd()}` : ''}`);
    if (!well) say(`${name} failed.`);
    results.push({ name, well });
  };
  const waiting = staticChecks(options);
  const lane = async () => {
    for (let check = waiting.shift(); check; check = waiting.shift()) await run(check);
  };
  await Promise.all([lane(), lane()]);
  return results;
}
