/** Two projects: plain unit tests, and the server's routes against a real PostgreSQL of their own. */
const shared = {
  transform: {
    '^.+\\.[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!uuid/|fast-check/|pure-rand/|tinyqueue/|node-pg-migrate/|glob/|path-scurry/|lru-cache/|minimatch/|minipass/)',
  ],
  testEnvironment: 'node',
  modulePathIgnorePatterns: ['<rootDir>/.mutants/'],
  // A look at a global of the test's own world is dear, and Math is looked at for every sample.
  sandboxInjectedGlobals: ['Math'],
}

export default {
  // Only what hangs is stopped: how long a test takes is the machine's affair.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testMatch: ['<rootDir>/{packages,apps/web,scripts}/**/*.test.ts?(x)'],
    },
    {
      ...shared,
      displayName: 'server',
      testMatch: ['<rootDir>/apps/server/**/*.test.ts'],
      globalSetup: '<rootDir>/apps/server/test/startDatabase.mjs',
      globalTeardown: '<rootDir>/apps/server/test/stopDatabase.mjs',
    },
  ],
}
