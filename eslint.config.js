const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');
const boundaries = require('eslint-plugin-boundaries');
const tseslint = require('typescript-eslint');

const element = (type) => ({ type, pattern: type });
const allow = (from, ...to) => ({
  from: { element: { type: from } },
  allow: { to: { element: { types: { anyOf: to } } } },
});

/** The storeys of the core, each with those below it that it rests on. `test-utils` and tests go where they like. */
const CORE = {
  numeric: [],
  model: [],
  figure: [],
  param: ['figure', 'model'],
  quantity: ['figure', 'model'],
  piece: ['figure', 'model', 'numeric'],
  process: ['figure', 'model', 'numeric', 'piece'],
  formula: ['figure', 'model', 'process', 'quantity'],
  caution: ['formula', 'model', 'process', 'quantity'],
  line: ['model', 'param'],
  exchange: ['caution', 'formula', 'model', 'param', 'quantity'],
  plan: ['caution', 'figure', 'formula', 'line', 'model', 'param', 'piece', 'process', 'quantity'],
  schedule: ['caution', 'figure', 'formula', 'line', 'model', 'param', 'plan', 'process', 'quantity'],
  bench: [
    'caution',
    'figure',
    'formula',
    'line',
    'model',
    'numeric',
    'param',
    'plan',
    'process',
    'quantity',
    'schedule',
  ],
  instruments: ['schedule'],
  learn: ['bench', 'figure', 'model', 'numeric', 'param', 'plan', 'process', 'quantity', 'schedule'],
  logbook: [
    'bench',
    'caution',
    'exchange',
    'figure',
    'learn',
    'model',
    'param',
    'plan',
    'process',
    'quantity',
    'schedule',
  ],
  rehearse: ['bench', 'learn', 'model', 'param', 'plan', 'process', 'schedule'],
};
const core = (name) => `core/${name}`;
const ALL_OF_CORE = Object.keys(CORE).map(core);

module.exports = defineConfig([
  {
    ignores: [
      'dist/**',
      'node_modules/**',
      '.expo/**',
      'coverage/**',
      'public/**',
      'expo-env.d.ts',
      '.tmp/**',
    ],
  },
  expo,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: process.cwd() } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      'react/no-unescaped-entities': 'off',
      'import/no-named-as-default-member': 'off',
      // The compiler knows what a module and a namespace hold; these rules take a third of the time to find out anew.
      'import/namespace': 'off',
      'import/no-named-as-default': 'off',
      'import/export': 'off',
      'import/no-unresolved': 'off',
    },
  },
  {
    files: ['tools/jest-setup.ts', '**/*.test.{ts,tsx}', 'e2e/**'],
    languageOptions: { globals: { jest: 'readonly' } },
  },
  {
    // The arrows of the house: each layer sees only what stands below it.
    files: ['{app,screens,ui,state,workers,core,server,demo,tools,e2e}/**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': [
        'app',
        'screens',
        'ui',
        'state',
        'workers',
        ...ALL_OF_CORE,
        'server',
        'demo',
        'tools',
        'e2e',
      ].map(element),
      'import/resolver': { typescript: { alwaysTryTypes: true } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message: '{{from.element.types}} may not import {{to.element.types}}: dependencies point down only',
          policies: [
            { from: { element: { type: '*' } }, allow: { to: { module: { origin: ['external', 'core'] } } } },
            ...Object.entries(CORE).map(([name, below]) => allow(core(name), ...[name, ...below].map(core))),
            allow('app', 'app', 'screens', 'ui', 'state', ...ALL_OF_CORE),
            allow('screens', 'screens', 'ui', 'state', ...ALL_OF_CORE),
            allow('ui', 'ui', 'state', ...ALL_OF_CORE),
            allow('state', 'state', 'workers', ...ALL_OF_CORE, 'demo'),
            allow('workers', ...ALL_OF_CORE),
            allow('demo', ...ALL_OF_CORE),
            allow('server', 'server', ...ALL_OF_CORE),
            allow('tools', 'tools', 'workers', ...ALL_OF_CORE, 'demo', 'server'),
            allow('e2e', 'e2e', ...ALL_OF_CORE, 'demo', 'server'),
          ],
        },
      ],
    },
  },
  {
    // Tests may plan the demo's runs, whichever layer they test.
    files: ['**/*.test.{ts,tsx}', '**/test-utils/**'],
    rules: { 'boundaries/dependencies': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['react*', 'expo*', 'zustand*', 'node:*', 'fs', 'path', '@react*', 'date-fns*'] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as a value.' },
        { object: 'Math', property: 'random', message: 'Randomness is seeded and comes in as a value.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes in as a value.',
        },
      ],
    },
  },
  prettier,
]);
