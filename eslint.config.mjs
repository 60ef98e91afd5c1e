import hooks from 'eslint-plugin-react-hooks'
import regexp from 'eslint-plugin-regexp'
import tseslint from 'typescript-eslint'
import { ranked } from './ranks.eslint.mjs'

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

/** A figure is written by core/figures alone: what else turns numbers into words has digits of its own. */
const written = {
  selector:
    'MemberExpression[property.name=/^(toFixed|toPrecision|toExponential|toLocaleString)$/], MemberExpression[object.name="Intl"][property.name="NumberFormat"]',
  message: 'Figures are written by core/figures: say, plain, formatNumber, shortened.',
}

const clockless = {
  selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
  message: 'core has no clock.',
}

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
      'no-restricted-syntax': ['error', clockless],
    },
  },
  {
    // What lies below the figures works in numbers only.
    files: ['packages/core/src/**/*.ts'],
    ignores: [...tests, 'packages/core/src/{entry,meters,conductors,figures,waveform}/**'],
    rules: {
      'no-restricted-syntax': ['error', written, clockless],
    },
  },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: [...tests, 'apps/web/src/ui/coordinate.ts'],
    rules: { 'no-restricted-syntax': ['error', written] },
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
  ...ranked,
)
