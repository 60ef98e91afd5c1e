/** The one file that bundle.mjs makes. */
export default {
  rootDir: '../.mutants/bundle',
  testEnvironment: 'node',
  sandboxInjectedGlobals: ['Math'],
  transform: {},
  testTimeout: 120_000,
}
