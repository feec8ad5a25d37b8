// @ts-check

/** What a program keeps to be faster the next time. @param {string} name */
const cache = (name) => ['--cache', '--cache-location', `.cache/${name}`];

/**
 * Checks that run nothing of ours, each as programs of node_modules with their arguments. Types come first: the linter reads the packages'
 * declarations. `cached` passes over files that did not change, though what they import may have: good for a quick look only.
 * @param {{ cached: boolean }} options
 */
export const staticChecks = ({ cached }) => [
  {
    name: 'types',
    programs: [
      ['tsc', '-b'],
      ...['web', 'e2e', 'tsconfig.scripts.json'].map((project) => ['tsc', '-p', project, '--noEmit']),
    ],
  },
  { name: 'lint', programs: [['eslint', ...(cached ? cache('eslint') : []), '.']] },
  {
    name: 'format',
    programs: [['prettier', '--check', ...(cached ? cache('prettier') : []), '--log-level', 'warn', '.']],
  },
  { name: 'nothing unused, no circles', programs: [['knip', '--no-progress']] },
];
