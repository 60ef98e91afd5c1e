/** Changes facts, blame, court and judges one small piece at a time, and sees whether a test notices. */
const core = 'packages/core/src'

export default {
  buildCommand: 'node mutants/bundle.mjs',
  plugins: ['./mutants/runner.mjs'],
  testRunner: 'bundle',
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
  // Of what is made once when the core is loaded only the uses that a test reaches are tried.
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  dryRunTimeoutMinutes: 15,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: '.mutants/report.json' },
  tempDirName: '.mutants/work',
  ignorePatterns: ['/.mutants', '/apps', '/demo', '/docs', '/e2e', '/test-results'],
  thresholds: { high: 95, low: 85, break: 85 },
}
