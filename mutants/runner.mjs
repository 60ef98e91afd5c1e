/**
 * Runs the bundled tests within this process: the bundle is read once, and begun anew for each mutant, so that nothing that was
 * worked out under one is kept for the next. Starting a test framework for each would take three times as long as the tests.
 */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { Script } from 'node:vm'
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin'
import {
  determineHitLimitReached,
  DryRunStatus,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner'
import { expect } from 'expect'
import { bind } from 'jest-each'
import { bundled } from './bundled.mjs'

const require = createRequire(import.meta.url)

/** Reads the tests of the bundle as they are declared: names joined, in order. */
function declared(script) {
  const tests = []
  const names = []
  const describe = (name, body) => {
    names.push(name)
    body()
    names.pop()
  }
  const it = (name, run) => tests.push({ id: [...names, name].join(' '), run })
  describe.each = bind(describe, false)
  it.each = bind(it, false)
  Object.assign(globalThis, { describe, it, test: it, expect, require })
  script.runInThisContext()
  return tests
}

async function outcomeOf({ id, run }, begun = performance.now()) {
  const told = (more) => ({ id, name: id, timeSpentMs: performance.now() - begun, ...more })
  try {
    await run()
    return told({ status: TestStatus.Success })
  } catch (error) {
    return told({ status: TestStatus.Failed, failureMessage: String(error?.message ?? error) })
  }
}

class BundleRunner {
  capabilities() {
    return { reloadEnvironment: true }
  }

  init() {
    const filename = bundled()
    this.script = new Script(readFileSync(filename, 'utf8'), { filename })
    this.shared = globalThis.__stryker__ ??= {}
  }

  async dryRun() {
    const { tests } = await this.#run()
    return { status: DryRunStatus.Complete, tests, mutantCoverage: this.shared.mutantCoverage }
  }

  async mutantRun({ activeMutant, mutantActivation, testFilter, hitLimit }) {
    Object.assign(this.shared, { hitCount: hitLimit === undefined ? undefined : 0, hitLimit })
    this.shared.activeMutant = mutantActivation === 'static' ? activeMutant.id : undefined
    const run = await this.#run(testFilter && new Set(testFilter), () => {
      this.shared.activeMutant = activeMutant.id
    })
    this.shared.activeMutant = undefined
    return toMutantRunResult(
      determineHitLimitReached(this.shared.hitCount, hitLimit) ?? { status: DryRunStatus.Complete, ...run },
    )
  }

  /** All tests, or those of the filter until one fails. */
  async #run(filter, ready = () => undefined) {
    const results = []
    let tests
    try {
      tests = declared(this.script)
    } catch (error) {
      return {
        tests: [
          {
            id: 'load',
            name: 'load',
            timeSpentMs: 0,
            status: TestStatus.Failed,
            failureMessage: String(error),
          },
        ],
      }
    }
    ready()
    for (const test of tests) {
      if (filter && !filter.has(test.id)) continue
      this.shared.currentTestId = test.id
      const result = await outcomeOf(test)
      results.push(result)
      if (filter && result.status === TestStatus.Failed) break
    }
    this.shared.currentTestId = undefined
    return { tests: results }
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'bundle', BundleRunner)]
