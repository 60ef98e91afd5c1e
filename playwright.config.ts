import { defineConfig } from '@playwright/test'
import { browserOptions } from './e2e/support/browser'

/** Drives the built application, on a real server and database, in Debian's Chromium. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/support/globalSetup.ts',
  // One more than the cores of the smallest machine: a walk waits for its page most of the time.
  workers: 3,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    acceptDownloads: true,
    // What a worker answers no test can stand in the way of; the walk without a server allows it.
    serviceWorkers: 'block',
    launchOptions: browserOptions,
  },
})
