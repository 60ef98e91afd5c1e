// The test command: installs what is missing, then type check, lint, unit tests and the real interface.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureDebian, ensurePackages, root } from './install.mjs'

await ensurePackages()
ensureDebian('postgresql', 'chromium-headless-shell')

const bin = (name) => join(root, 'node_modules', '.bin', name)
const results = join(root, 'test-results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })

let passed = 0
let failed = 0
const inRoot = { cwd: root, env: { ...process.env, FORCE_COLOR: '0' } }

/** How a program ended; one that cannot be run at all failed. */
const statusOf = (child) => new Promise((done) => child.on('error', () => done(1)).on('close', done))

/** Runs checks after one another, without holding up others; each counts as one test, and is told of when it is done. */
async function checks(...list) {
  for (const [words, command, args] of list) {
    const told = []
    const child = spawn(command, args, { ...inRoot, stdio: ['ignore', 'pipe', 'pipe'] })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => told.push(data))
    const status = await statusOf(child)
    console.log(`\n— ${words}: ${status === 0 ? 'passed' : 'FAILED'}`)
    process.stdout.write(Buffer.concat(told))
    if (status === 0) passed += 1
    else failed += 1
  }
}

/** Runs tests that report how many of them passed. */
async function tests(words, command, args, count) {
  console.log(`\n— ${words}`)
  const status = await statusOf(spawn(command, args, { ...inRoot, stdio: 'inherit' }))
  const counted = count()
  passed += counted?.passed ?? 0
  failed += counted?.failed ?? 0
  // A runner that fails without a failed test still fails, and so does one that reports nothing.
  if (!counted || (counted.failed === 0 && status !== 0)) failed += 1
}

const report = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)
const jestFile = join(results, 'jest.json')
const e2eFile = join(results, 'report.json')

// Lint takes as long as the other checks together, and longer: the tests do not wait for its end.
await Promise.all([
  checks(['lint', bin('eslint'), ['.', '--max-warnings', '0']]),
  checks(
    ['types', bin('tsc'), ['-p', 'tsconfig.json']],
    ['unused code', bin('knip'), []],
    ['format', bin('prettier'), ['--check', '.', '--log-level', 'warn']],
  ).then(() =>
    tests(
      'unit and server tests',
      bin('jest'),
      ['--maxWorkers=2', '--json', `--outputFile=${jestFile}`],
      () => {
        const jest = report(jestFile)
        return (
          jest && {
            passed: jest.numPassedTests,
            failed: jest.numFailedTests + jest.numRuntimeErrorTestSuites,
          }
        )
      },
    ),
  ),
])
await tests('the interface in Chromium', bin('playwright'), ['test'], () => {
  const e2e = report(e2eFile)
  return e2e && { passed: e2e.stats.expected + e2e.stats.flaky, failed: e2e.stats.unexpected }
})

console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
