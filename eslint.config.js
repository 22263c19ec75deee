import js from '@eslint/js';
import { createNodeResolver, importX } from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Core features, lowest first: each may import only those before it. */
const CORE_ORDER = [
  'units',
  'maths',
  'rules',
  'people',
  'timing',
  'ear',
  'sprint',
  'race',
  'leads',
  'steals',
  'holds',
  'innings',
  'bunts',
  'bases',
  'drills',
  'signs',
  'games',
  'advice',
  'review',
  'files',
];
const FEATURES = {
  server: [
    'accounts',
    'teams',
    'people',
    'timing',
    'leads',
    'innings',
    'gates',
    'games',
    'advice',
    'bunts',
    'bases',
    'drills',
    'signs',
    'files',
  ],
  web: [
    'accounts',
    'teams',
    'people',
    'timing',
    'suppose',
    'thumb',
    'clip',
    'ear',
    'gates',
    'files',
    'leads',
    'innings',
    'steals',
    'bunts',
    'bases',
    'games',
    'advice',
    'drills',
    'signs',
    'review',
    'holds',
  ],
};

const coreZones = CORE_ORDER.flatMap((feature, index) =>
  CORE_ORDER.slice(index + 1).map((higher) => ({
    target: `./core/src/${feature}`,
    from: `./core/src/${higher}`,
    message: `core/${feature} stands below core/${higher}: import downward only.`,
  })),
);

/** A feature of server or web uses another only through its index. */
const featureZones = Object.entries(FEATURES).flatMap(([workspace, features]) =>
  features.flatMap((feature) =>
    features
      .filter((other) => other !== feature)
      .map((other) => ({
        target: `./${workspace}/src/features/${feature}`,
        from: `./${workspace}/src/features/${other}`,
        except: ['./index.ts'],
        message: `Use ${other} through its index.ts.`,
      })),
  ),
);

const layerZones = [
  { target: './core', from: ['./contract', './server', './web', './e2e'] },
  { target: './contract', from: ['./server', './web', './e2e'] },
  { target: './server', from: ['./web', './e2e'] },
  { target: './web', from: ['./server', './e2e'] },
  { target: './web/src/ui', from: ['./web/src/api', './web/src/features'] },
  { target: './web/src/api', from: ['./web/src/features'] },
  { target: './server/src/http', from: ['./server/src/features', './server/src/demo'] },
  { target: './server/src/db', from: ['./server/src/features', './server/src/demo'] },
];

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', 'core/vectors/', 'test-results/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    plugins: { 'import-x': importX },
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    settings: {
      'import-x/resolver-next': [
        createNodeResolver({
          extensions: ['.ts', '.tsx', '.mjs', '.json'],
          conditionNames: ['import', 'types', 'default'],
        }),
      ],
    },
    rules: {
      'import-x/no-restricted-paths': [
        'error',
        { zones: [...coreZones, ...featureZones, ...layerZones] },
      ],
      // Types count: two files that need each other's are one subject.
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'import-x/no-default-export': 'error',
      'import-x/no-extraneous-dependencies': ['error', { packageDir: ['./'] }],
      // A word added to a vocabulary is missed by no switch over it.
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: false },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      // The brand of an id is named where the id is made or read: newId<PersonId>().
      '@typescript-eslint/no-unnecessary-type-parameters': 'off',
    },
  },
  ...['core', 'contract', 'server', 'web', 'e2e'].map((workspace) => ({
    files: [`${workspace}/**/*.{ts,tsx}`],
    rules: {
      // Its own package.json and the tools of the root's.
      'import-x/no-extraneous-dependencies': [
        'error',
        { packageDir: [`./${workspace}`, './'], includeTypes: true },
      ],
    },
  })),
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'performance',
        'crypto',
        'console',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness comes in as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes in as an argument.',
        },
      ],
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], extends: [reactHooks.configs.flat.recommended] },
  { files: ['web/src/**/*.{ts,tsx}'], languageOptions: { globals: globals.browser } },
  {
    // Tools that ask for a default export.
    files: ['**/*.config.ts', 'server/test/cluster.setup.ts', 'e2e/setup.ts'],
    rules: { 'import-x/no-default-export': 'off' },
  },
  {
    files: ['**/*.{js,mjs}'],
    // Some of it is sent into a page.
    languageOptions: { globals: { ...globals.node, ...globals.browser }, ecmaVersion: 'latest' },
  },
);
