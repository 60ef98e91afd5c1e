/** Changes facts, blame, court and judges one small piece at a time, and sees whether a test notices. */
const core = 'packages/core/src'

export default {
  buildCommand: 'node mutants/bundle.mjs',
  plugins: ['@stryker-mutator/jest-runner'],
  testRunner: 'jest',
  jest: { configFile: 'mutants/jest.config.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: [
    `${core}/{facts,blame,court}/*.ts`,
    `${core}/{judge,conditions,statedVolts}.ts`,
    `${core}/**/promise{,s}.ts`,
    `${core}/**/promises/*.ts`,
    `!${core}/**/words.ts`,
    `!${core}/**/*.test.ts`,
  ],
  // Sentences are words, not verdicts: what they say is looked at, not counted.
  mutator: { excludedMutations: ['StringLiteral'] },
  concurrency: 2,
  timeoutMS: 20_000,
  dryRunTimeoutMinutes: 15,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: '.mutants/report.json' },
  tempDirName: '.mutants/work',
  ignorePatterns: ['/.mutants', '/apps', '/demo', '/docs', '/e2e', '/test-results'],
  thresholds: { high: 95, low: 85, break: 85 },
}
