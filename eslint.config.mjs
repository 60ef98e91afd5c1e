import { createNodeResolver, importX } from 'eslint-plugin-import-x'
import hooks from 'eslint-plugin-react-hooks'
import regexp from 'eslint-plugin-regexp'
import tseslint from 'typescript-eslint'

/** The arrows of the architecture: each layer may import only what stands here. */
const forbid = (files, names, why, options = {}) => ({
  files,
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      { patterns: [{ group: names, message: why, ...options }] },
    ],
  },
})

const tests = ['**/*.test.ts', '**/*.test.tsx']

/**
 * The folders of a layer from the most basic up: each may import those before it, so that no circle of folders can
 * form. A new subject finds its place here.
 */
const ranks = {
  'packages/core/src': [
    'entry',
    'meters',
    'conductors',
    'figures',
    'loads',
    'waveform',
    'trials',
    'oddities',
    'evidence',
    'logs',
    'units',
    'facts',
    'court',
    'supply',
    'rigs',
    'noLoad',
    'ladder',
    'attribution',
    'blame',
    'safety',
    'captures',
    'motors',
    'limits',
    'plan',
    'schedule',
    'endurance',
    'ports',
    'charging',
    'modes',
    'comparisons',
    'suits',
    'needs',
    'files',
    'photographs',
    'checklists',
    'diary',
    'expectations',
    'editions',
  ],
  'apps/web/src': [
    'offline',
    'api',
    'outbox',
    'ui',
    'setAside',
    'method',
    'oddities',
    'attribution',
    'trials',
    'evidence',
    'photographs',
    'expectations',
    'conductors',
    'meters',
    'loads',
    'units',
    'checklists',
    'diary',
    'suits',
    'findings',
    'editions',
    'station',
    'rigs',
    'begin',
    'supply',
    'safety',
    'plan',
    'captures',
    'benchTests',
    'noLoad',
    'ladder',
    'readings',
    'schedule',
    'motors',
    'limits',
    'logs',
    'endurance',
    'ports',
    'charging',
    'modes',
    'comparisons',
    'needs',
    'files',
    'report',
    'search',
    'bench',
  ],
  'apps/server/src': [
    'database',
    'http',
    'settings',
    'documents',
    'units',
    'meters',
    'rigs',
    'loads',
    'comparisons',
    'checklists',
    'diary',
    'files',
    'photographs',
    'editions',
    'trials',
    'search',
    'captures',
    'demo',
    'backup',
    'lan',
  ],
}

const zones = Object.entries(ranks).flatMap(([layer, folders]) =>
  folders.slice(0, -1).map((folder, i) => ({
    target: `./${layer}/${folder}/**/!(stage).{ts,tsx}`,
    from: folders.slice(i + 1).map((above) => `./${layer}/${above}/**/*`),
    message: `In ${layer}, ${folder} stands below this folder (ranks in eslint.config.mjs).`,
  })),
)

export default tseslint.config(
  { ignores: ['.mutants', '**/dist', '**/node_modules', 'test-results', 'playwright-report'] },
  ...tseslint.configs.strict,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unnecessary-condition': 'off',
      // RTK Query names an endpoint without argument so.
      '@typescript-eslint/no-invalid-void-type': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['packages/*/src/**/*.ts', 'apps/*/src/**/*.{ts,tsx}'],
    ignores: tests,
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
      // What a stage loads lazily may import what the stage lists.
      'import-x/no-cycle': ['error', { allowUnsafeDynamicCyclicDependency: true }],
      'import-x/no-extraneous-dependencies': 'error',
      'import-x/no-restricted-paths': [
        'error',
        {
          basePath: import.meta.dirname,
          zones: [
            ...zones,
            {
              target: './apps/web/src/**/*Page.tsx',
              from: './apps/web/src/!(ui)/**/*Page.tsx',
              message: 'No page imports another: what both show stands in a file of its own.',
            },
          ],
        },
      ],
    },
  },
  {
    // A pattern is asked of what strangers send: none may take more than a time in proportion to its length.
    files: ['packages/*/src/**/*.ts', 'apps/*/src/**/*.{ts,tsx}'],
    ignores: tests,
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': 'error',
    },
  },
  { files: ['**/*.mjs', '**/*.js'], ...tseslint.configs.disableTypeChecked },
  { files: ['apps/web/**/*.tsx', 'apps/web/**/*.ts'], ...hooks.configs.flat.recommended },
  {
    ...forbid(
      ['packages/contract/src/**/*.ts'],
      ['@even-watt/*'],
      'The contract stands at the bottom: it imports no other part.',
    ),
    ignores: tests,
  },
  {
    ...forbid(
      ['packages/core/src/**/*.ts'],
      ['@even-watt/contract'],
      'core sees the contract as types only.',
      {
        allowTypeImports: true,
      },
    ),
    ignores: tests,
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    ignores: [...tests, 'packages/contract/src/shared.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.object.name="z"][callee.property.name="string"]',
          message: 'Text is one of the kinds in shared.ts, which the database can hold.',
        },
      ],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: tests,
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'setTimeout'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'core has no clock.' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!\\.|@even-watt/contract$|ml-matrix$|tinyqueue$)',
              message: 'core imports itself, the contract (types), ml-matrix and tinyqueue only.',
            },
          ],
        },
      ],
    },
  },
  {
    ...forbid(
      ['packages/bench/src/**/*.ts'],
      ['@even-watt/server*', '@even-watt/web*'],
      'bench builds on core and the contract.',
    ),
  },
  {
    ...forbid(
      ['apps/web/src/**/*.ts', 'apps/web/src/**/*.tsx'],
      ['@even-watt/server*', '@even-watt/bench*', 'node:*'],
      'web builds on core and the contract.',
    ),
    ignores: tests,
  },
  forbid(['apps/server/src/**/*.ts'], ['@even-watt/web*'], 'server builds on core, contract and bench.'),
)
