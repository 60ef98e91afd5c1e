import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import { ProblemError } from '../http/problem'
import { TookTooLong, type Besides } from './besides'

/** A task that takes longer is ended, ms: the largest record takes some ten seconds. */
const longest = 300_000

/** Threads at once: one may be long at a capture while another answers. */
const most = 2

/** A thread that nobody needed for so long goes, with the memory it holds, ms. */
const idle = 60_000

/** Samples themselves lie outside of it. */
const resourceLimits = { maxOldGenerationSizeMb: 1024 }

/** What a thread is sent, and what it answers. */
export interface Asked {
  readonly task: string
  readonly sent: readonly unknown[]
}
export type Answer =
  | { readonly result: unknown }
  | {
      readonly problem: Pick<ProblemError, 'status' | 'title' | 'detail' | 'fields' | 'type'>
    }
  | { readonly fault: string }

interface Waiting extends Asked {
  readonly resolve: (result: unknown) => void
  readonly reject: (error: unknown) => void
}

/**
 * Threads of their own for long work, so that nobody who reads or types waits for it. Their program is put together at once: the
 * account that a server becomes may not be let in to read it later.
 */
export async function threads(): Promise<Besides> {
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL('../thread.ts', import.meta.url))],
    bundle: true,
    write: false,
    platform: 'node',
    target: 'node20',
  })
  const program = outputFiles[0]?.text ?? ''
  const waiting: Waiting[] = []
  const free: Thread[] = []
  let begun = 0

  const next = (thread: Thread) => {
    const asked = waiting.shift()
    if (asked) thread.take(asked)
    else free.push(thread)
  }
  const leave = (thread: Thread) => {
    const place = free.indexOf(thread)
    if (place >= 0) free.splice(place, 1)
  }
  const gone = (thread: Thread) => {
    begun -= 1
    leave(thread)
    if (waiting.length) begin()
  }
  const begin = () => {
    begun += 1
    next(new Thread(program, { done: next, leave, gone }))
  }
  return {
    run: (task, ...sent) =>
      new Promise((resolve, reject) => {
        waiting.push({ task: task.name, sent, resolve: resolve as Waiting['resolve'], reject })
        const thread = free.pop()
        if (thread) next(thread)
        else if (begun < most) begin()
      }),
  }
}

/** Told of what a thread does: it is free again, goes because nobody needs it, has ended. */
interface Hall {
  readonly done: (thread: Thread) => void
  readonly leave: (thread: Thread) => void
  readonly gone: (thread: Thread) => void
}

/** One thread, which does one task after another; a task that takes too long, or all memory, ends it. */
class Thread {
  private readonly worker: Worker
  private task: Waiting | undefined
  private timer: NodeJS.Timeout | undefined

  constructor(
    program: string,
    private readonly hall: Hall,
  ) {
    this.worker = new Worker(program, { eval: true, execArgv: [], resourceLimits })
    this.worker.on('message', (answer: Answer) => {
      const { task } = this
      this.rest()
      if ('result' in answer) task?.resolve(answer.result)
      else if ('problem' in answer) {
        const { status, title, detail, fields, type } = answer.problem
        task?.reject(new ProblemError(status, title, detail, fields, type))
      } else task?.reject(new Error(answer.fault))
      this.hall.done(this)
    })
    this.worker.on('error', (error) => this.task?.reject(error))
    this.worker.on('exit', () => {
      clearTimeout(this.timer)
      this.task?.reject(new Error('The thread ended without an answer.'))
      this.hall.gone(this)
    })
    this.rest()
  }

  take(task: Waiting): void {
    clearTimeout(this.timer)
    this.task = task
    this.worker.ref()
    this.timer = setTimeout(() => {
      task.reject(new TookTooLong(`${task.task} took more than five minutes.`))
      void this.worker.terminate()
    }, longest).unref()
    this.worker.postMessage({ task: task.task, sent: task.sent } satisfies Asked)
  }

  private rest(): void {
    clearTimeout(this.timer)
    this.task = undefined
    this.worker.unref()
    this.timer = setTimeout(() => {
      // First, so that nothing is handed to a thread on its way out.
      this.hall.leave(this)
      void this.worker.terminate()
    }, idle).unref()
  }
}
