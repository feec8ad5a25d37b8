import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Which of our packages each package may import. Arrows run one way. */
const packages = {
  core: [],
  contract: ['core'],
  server: ['contract', 'core'],
  web: ['contract', 'core'],
  demo: ['server', 'contract', 'core'],
  e2e: ['contract'],
};

/** Which stages each stage may import, through their index; `shared` folders are open to all. */
const stages = {
  core: {
    shared: [],
    units: [],
    tints: ['mixes', 'units'],
    stores: ['units'],
    solids: ['units'],
    moulds: ['solids', 'units'],
    exports: ['moulds', 'solids'],
    meshes: ['exports', 'moulds', 'solids', 'units'],
    photos: ['meshes', 'solids', 'units'],
    climate: ['units'],
    cure: ['climate', 'moulds', 'units'],
    mixes: ['cure', 'finish', 'stores', 'units'],
    finish: ['cure', 'units'],
    keeping: ['finish', 'mixes', 'units'],
    rehearsal: ['cure', 'finish', 'mixes', 'moulds', 'pours', 'units'],
    joining: ['moulds', 'solids', 'units'],
    measuring: ['cure', 'mixes', 'stores', 'units'],
    pours: ['cure', 'measuring', 'mixes', 'moulds', 'solids', 'stores', 'tints', 'units'],
    judging: ['cure', 'finish', 'mixes', 'moulds', 'pours', 'stores', 'tints', 'units'],
    bench: ['cure', 'mixes', 'moulds', 'pours', 'units'],
    casts: ['climate', 'cure', 'finish', 'joining', 'keeping', 'moulds', 'pours', 'units'],
  },
  server: {
    shared: ['calculation', 'config', 'db', 'http', 'jobs', 'pictures'],
    accounts: ['casts', 'climate', 'stores'],
    calendar: ['casts'],
    casts: ['climate', 'stores'],
    climate: ['devices'],
    devices: [],
    health: [],
    mixes: ['stores'],
    moulds: [],
    pours: ['casts', 'mixes', 'moulds', 'stores', 'tints'],
    reckon: [],
    stores: [],
    tints: ['devices', 'stores'],
  },
  web: {
    shared: ['api', 'ui', 'workers'],
    bench: ['pours'],
    casts: ['paper'],
    door: [],
    judging: [],
    mixes: ['judging'],
    moulds: ['judging', 'mixes'],
    paper: [],
    places: [],
    pours: ['casts', 'judging', 'mixes', 'moulds', 'paper'],
    shelf: ['casts'],
    shell: ['casts', 'door', 'shelf'],
    stores: [],
    joining: ['casts'],
    rehearsal: ['mixes'],
    tints: [],
    weighing: ['casts'],
    workshop: [],
  },
};

const packageRule = (name, allowed) => ({
  regex: `^@dewpot/(?!(?:${['none', ...allowed].join('|')})$)|/(?:${Object.keys(packages).join('|')})/src/`,
  message: `${name} may import ${allowed.join(', ') || 'none of our packages'}: arrows run web → contract → core, server → contract → core, demo → server.`,
});

const stageRule = (stage, allowed, shared) => ({
  regex: `^\\.\\./(?!(?:${['none', ...allowed].join('|')})(?:/index\\.js)?$|(?:${['none', ...shared].join('|')})(?:/|\\.js$))`,
  message: `${stage} may import ${allowed.join(', ') || 'no other stage'}, and only through its index.`,
});

/** The import rule of a package as a whole, and of each of its stages. */
function importRules([name, allowed]) {
  const whole = packageRule(name, allowed);
  const { shared = [], ...own } = stages[name] ?? {};
  const restrict = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
  return [
    { files: [`${name}/**/*.{ts,tsx}`], rules: restrict([whole]) },
    ...Object.entries(own).map(([stage, others]) => ({
      files: [`${name}/src/${stage}/**/*.{ts,tsx}`],
      ignores: ['**/*.test.{ts,tsx}'],
      rules: restrict([whole, stageRule(stage, others, shared)]),
    })),
  ];
}

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', '.cache/**', 'test-results/**', 'coverage/**'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: {
        projectService: { allowDefaultProject: ['vitest.config.ts', 'server/vite.config.ts', 'demo/vite.config.ts'] },
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      // An index is checked where it is made, and named by `!` where it is used.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true, allowStaticOnly: true }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'no-console': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true }],
    },
  },
  ...Object.entries(packages).flatMap(importRules),
  { files: ['web/src/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
);
