// The test command: installs what is missing, then type check, lint, unit tests and the real interface.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureDebian, ensurePackages, root } from './install.mjs'

await ensurePackages()
ensureDebian('postgresql', 'chromium')

const bin = (name) => join(root, 'node_modules', '.bin', name)
const results = join(root, 'test-results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })

let passed = 0
let failed = 0

/** Runs one step; a step without a report of its own counts as one test. */
function step(words, command, args, count) {
  console.log(`\n— ${words}`)
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, FORCE_COLOR: '0' },
  })
  const counted = count?.()
  passed += counted?.passed ?? (status === 0 ? 1 : 0)
  failed += counted?.failed ?? (status === 0 ? 0 : 1)
  // A runner that fails without a failed test still fails.
  if (counted && counted.failed === 0 && status !== 0) failed += 1
}

const report = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)
const jestFile = join(results, 'jest.json')
const e2eFile = join(results, 'report.json')

step('types', bin('tsc'), ['-p', 'tsconfig.json'])
step('lint', bin('eslint'), ['.', '--max-warnings', '0', '--concurrency', '2'])
step('unused code', bin('knip'), [])
step('format', bin('prettier'), ['--check', '.', '--log-level', 'warn'])
step('unit and server tests', bin('jest'), ['--maxWorkers=2', '--json', `--outputFile=${jestFile}`], () => {
  const jest = report(jestFile)
  return jest && { passed: jest.numPassedTests, failed: jest.numFailedTests + jest.numRuntimeErrorTestSuites }
})
step('the interface in Chromium', bin('playwright'), ['test'], () => {
  const e2e = report(e2eFile)
  return e2e && { passed: e2e.stats.expected + e2e.stats.flaky, failed: e2e.stats.unexpected }
})

console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
