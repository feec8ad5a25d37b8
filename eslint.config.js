import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Letters that somebody reads as a word. */
const WORDS = '/[A-Za-zÀ-ÿ]{3,}/';
const SPOKEN = '/^(label|legend|title|placeholder|alt|aria-label|aria-valuetext|said|what|prompt|heading|note|empty)$/';
/** A capital, words, and the end of a sentence. */
const SENTENCE = '/^[A-Z][a-z]+( [a-z]+){2,}.*[.!?]$/';
const SAID = 'What a person reads stands in the catalogues of locales: say it by its key.';

/** Which of our packages each package may import. Arrows run one way. */
const packages = {
  core: [],
  contract: ['core'],
  locales: ['core'],
  server: ['contract', 'core', 'locales'],
  web: ['contract', 'core', 'locales'],
  demo: ['server', 'contract', 'core', 'locales'],
  e2e: ['contract', 'locales'],
};

/** The wings of core from the ground up, and which of its neighbours each stage may import beside all stages below its wing. */
const wings = {
  foundation: { math: [], solver: ['math'], units: ['math'] },
  geometry: {
    solids: [],
    moulds: ['solids'],
    exports: ['moulds', 'solids'],
    meshes: ['exports', 'moulds', 'solids'],
    photos: ['meshes', 'solids'],
    patterns: ['cutting', 'exports', 'meshes', 'moulds', 'solids'],
    cutting: ['solids'],
  },
  mixing: {
    binders: [],
    materials: ['binders'],
    mixes: ['binders', 'materials'],
    measuring: ['binders', 'materials', 'mixes'],
    tints: ['materials', 'mixes'],
  },
  process: {
    ambient: [],
    curing: ['ambient'],
    sealing: ['curing'],
    pours: ['curing'],
    judging: ['curing', 'pours', 'sealing'],
    bench: ['curing', 'pours'],
    planning: ['bench', 'judging', 'pours', 'sealing'],
    simulation: ['curing', 'pours', 'sealing'],
    calendar: ['ambient', 'bench', 'curing', 'planning', 'pours', 'sealing', 'simulation'],
  },
  pieces: { assembly: [], care: [], casts: ['assembly', 'care'] },
};

/** Which stages each stage of server and web may import, through their index; `shared` folders are open to all. */
const stages = {
  server: {
    shared: ['calculation', 'clock', 'config', 'db', 'http', 'jobs', 'pictures', 'threads'],
    accounts: ['ambient', 'mail', 'materials', 'sealing'],
    audit: [],
    calendar: ['ambient', 'casts', 'curing', 'sealing'],
    findings: ['ambient', 'casts', 'curing', 'lessons', 'materials', 'sealing'],
    lessons: [],
    curing: [],
    sealing: ['ambient', 'lessons', 'materials'],
    casts: ['ambient', 'curing', 'sealing'],
    assembly: ['casts', 'sealing'],
    ambient: ['devices'],
    devices: [],
    health: [],
    mixes: ['materials'],
    moulds: [],
    patterns: [],
    money: [],
    pours: ['casts', 'findings', 'lessons', 'mixes', 'moulds', 'materials', 'tints'],
    'script-api': [],
    materials: [],
    tints: ['devices', 'lessons', 'materials'],
  },
  web: {
    shared: ['api', 'ui', 'workers'],
    bench: ['pours'],
    curing: [],
    sealing: [],
    care: ['paper'],
    casts: ['assembly', 'care', 'curing', 'findings', 'sealing'],
    findings: [],
    guide: ['paper'],
    'sign-in': [],
    judging: [],
    mixes: ['judging'],
    moulds: ['judging', 'mixes'],
    paper: [],
    patterns: ['paper'],
    ambient: [],
    money: ['paper'],
    pours: ['casts', 'findings', 'judging', 'mixes', 'moulds', 'paper'],
    calendar: ['paper'],
    shelf: ['casts'],
    shell: ['casts', 'guide', 'sign-in', 'shelf', 'workshop'],
    materials: [],
    assembly: [],
    simulation: ['mixes'],
    tints: [],
    weighing: ['casts'],
    workshop: [],
  },
};

const packageRule = (name, allowed) => ({
  regex: `^@dewpot/(?!(?:${['none', ...allowed].join('|')})(?:/[a-z]+)?$)|/(?:${Object.keys(packages).join('|')})/src/`,
  message: `${name} may import ${allowed.join(', ') || 'none of our packages'}: arrows run web → contract → core, server → contract → core, locales → core, demo → server.`,
});

const stageRule = (stage, allowed, shared) => ({
  regex: `^\\.\\./(?!(?:${['none', ...allowed].join('|')})(?:/index\\.js)?$|(?:${['none', ...shared].join('|')})(?:/|\\.js$)|([a-z]+)/\\1\\.entities\\.js$)`,
  message: `${stage} may import ${allowed.join(', ') || 'no other stage'}, and only through its index; of any other it may know the tables.`,
});

/** The import rule of a stage of core: stages of lower wings, and the neighbours that are listed, each through its index. */
function coreRules() {
  const whole = packageRule('core', []);
  const order = Object.keys(wings);
  return Object.entries(wings).flatMap(([wing, own], height) =>
    Object.entries(own).map(([stage, neighbours]) => {
      const lower = order.slice(0, height).map((one) => `\\.\\./${one}/[a-z]+`);
      const open = [...lower, ...neighbours].join('|');
      const regex = `^\\.\\./(?!(?:${open || 'none'})/index\\.js$)`;
      const message = `${stage} may import stages of lower wings and ${neighbours.join(', ') || 'none beside it'}, and only through their index.`;
      return {
        files: [`core/src/${wing}/${stage}/**/*.ts`],
        ignores: ['**/*.test.ts'],
        rules: { 'no-restricted-imports': ['error', { patterns: [whole, { regex, message }] }] },
      };
    }),
  );
}

/** Controllers translate between requests and services: what touches rows is a service. */
const controllerRule = {
  regex: '^typeorm$|\\.entities\\.js$|/db/',
  message: 'A controller asks a service, never the database.',
};

/** The import rule of a package as a whole, and of each of its stages. */
function importRules([name, allowed]) {
  const whole = packageRule(name, allowed);
  const { shared = [], ...own } = stages[name] ?? {};
  const restrict = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
  // Tests read what core says, in English.
  const tested = packageRule(name, [...allowed, ...(name === 'core' ? ['locales'] : [])]);
  return [
    { files: [`${name}/**/*.{ts,tsx}`], rules: restrict([whole]) },
    { files: [`${name}/**/*.test.ts`, `${name}/src/testing/**/*.ts`], rules: restrict([tested]) },
    ...Object.entries(own).flatMap(([stage, others]) => {
      const rules = [whole, stageRule(stage, others, shared)];
      return [
        { files: [`${name}/src/${stage}/**/*.{ts,tsx}`], ignores: ['**/*.test.{ts,tsx}'], rules: restrict(rules) },
        { files: [`${name}/src/${stage}/*.controller.ts`], rules: restrict([...rules, controllerRule]) },
      ];
    }),
  ];
}

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', '.cache/**', 'test-results/**', 'coverage/**'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true, allowStaticOnly: true }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'no-console': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true }],
    },
  },
  {
    // Loops over coordinates and samples name an index that they have just counted to; a test says at once what was not there.
    files: [
      'core/src/{foundation,geometry,testing}/**/*.ts',
      'core/src/mixing/tints/**/*.ts',
      '**/*.test.{ts,tsx}',
      '{server,web}/test/**/*.{ts,tsx}',
      'e2e/**/*.ts',
    ],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    // What a person reads stands in the catalogues: a screen says it by its key, in whatever language.
    files: ['web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: `JSXText[value=${WORDS}]`, message: SAID },
        { selector: `JSXExpressionContainer > Literal[value=${WORDS}]`, message: SAID },
        { selector: `JSXAttribute[name.name=${SPOKEN}] > Literal[value=${WORDS}]`, message: SAID },
        { selector: `JSXAttribute[name.name=${SPOKEN}] TemplateElement[value.raw=${WORDS}]`, message: SAID },
      ],
    },
  },
  {
    // What only its developers read, of an error that nobody should see, is told in English.
    files: ['{core,server}/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/migrations/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: `:not(NewExpression) > Literal[value=${SENTENCE}]`, message: SAID },
      ],
    },
  },
  {
    // Every server before one database records and judges by one time; a request's own length, and the clock itself, are measured.
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/{clock,db/replica,health/database-health,monitoring/traces}.ts', '**/migrations/**'],
    rules: {
      'no-restricted-properties': ['error', { object: 'Date', property: 'now', message: 'The time is clock.now().' }],
    },
  },
  {
    // What the first screen needs: the classes that check requests are fetched with the forms that use them.
    files: ['web/src/{api,shell,shelf,ui}/**/*.{ts,tsx}', 'web/src/sign-in/sign-in-page.tsx'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@dewpot/contract',
              allowTypeImports: true,
              message:
                'Take types alone from here, or a sub-path such as @dewpot/contract/roles: the first load does without the rest.',
            },
          ],
        },
      ],
    },
  },
  ...Object.entries(packages).flatMap(importRules),
  ...coreRules(),
  { files: ['web/src/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
);
