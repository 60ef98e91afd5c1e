import type { Recipe } from '@even-watt/contract'
import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import type { Found } from './workBytes'

/** What takes longer than this decides nothing, ms: the largest record takes some ten seconds. */
const longest = 300_000

/** Samples themselves lie outside of it. */
const resourceLimits = { maxOldGenerationSizeMb: 1024 }

export type Work = (bytes: Uint8Array, recipe: Recipe) => Promise<Found>

/**
 * Works the bytes of captures in threads of their own, so that nobody who reads or types waits for it. The program of a thread is
 * put together at once: the account that a server becomes may not be let in to read it later.
 */
export async function besides(): Promise<Work> {
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL('./thread.ts', import.meta.url))],
    bundle: true,
    write: false,
    platform: 'node',
    target: 'node20',
  })
  const program = outputFiles[0]?.text ?? ''
  return (bytes, recipe) =>
    new Promise((resolve, reject) => {
      const worker = new Worker(program, {
        eval: true,
        workerData: { bytes, recipe },
        execArgv: [],
        resourceLimits,
      })
      const late = setTimeout(() => {
        resolve({ fault: 'Working its bytes took more than five minutes.' })
        void worker.terminate()
      }, longest).unref()
      worker.once('message', resolve)
      worker.once('error', reject)
      worker.once('exit', () => {
        clearTimeout(late)
        reject(new Error('The thread ended without an answer.'))
      })
      worker.unref()
    })
}
