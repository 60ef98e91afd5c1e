import type { CaptureFigures, Recipe } from '@even-watt/contract'
import type { Analysed } from '@even-watt/core/waveform/index'
import { proxy, wrap, type Remote } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Samples } from './worker'

export type Opened = Awaited<ReturnType<Remote<Samples>['open']>>
export type Worked = Analysed & { readonly figures: CaptureFigures; readonly notes: readonly string[] }

export interface OpenSamples {
  readonly opened: Opened | undefined
  readonly worked: Worked | undefined
  /** Why it cannot be read, in a sentence. */
  readonly fault: string | undefined
  /** Share that is done; undefined: nothing runs. */
  readonly progress: number | undefined
  readonly open: (bytes: ArrayBuffer, raw?: Recipe['raw']) => void
  readonly work: (recipe: Recipe) => void
  readonly cancel: () => void
  readonly ask: <T>(question: (samples: Remote<Samples>) => Promise<T>) => Promise<T | undefined>
}

const sentence = (error: unknown) =>
  error instanceof Error && error.message ? error.message : 'This file cannot be read.'

/** The samples of one file in a worker of their own; its work is ended for good when cancelled or left. */
export function useSamples(): OpenSamples {
  const running = useRef<{ worker: Worker; samples: Remote<Samples> }>(undefined)
  const [opened, setOpened] = useState<Opened>()
  const [worked, setWorked] = useState<Worked>()
  const [fault, setFault] = useState<string>()
  const [progress, setProgress] = useState<number>()
  const end = useCallback(() => {
    running.current?.worker.terminate()
    running.current = undefined
  }, [])
  useEffect(() => end, [end])

  /** Runs one piece of work; what comes from a worker that was ended meanwhile is dropped. */
  const run = useCallback(
    async <T>(of: (samples: Remote<Samples>) => Promise<T>, done: (result: T) => void) => {
      const own = running.current
      if (!own) return
      setFault(undefined)
      setProgress(0)
      try {
        const result = await of(own.samples)
        if (running.current === own) done(result)
      } catch (error) {
        if (running.current === own) setFault(sentence(error))
      } finally {
        if (running.current === own) setProgress(undefined)
      }
    },
    [],
  )

  const open = useCallback(
    (bytes: ArrayBuffer, raw?: Recipe['raw']) => {
      end()
      setOpened(undefined)
      setWorked(undefined)
      const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
      running.current = { worker, samples: wrap<Samples>(worker) }
      void run((samples) => samples.open(bytes, raw), setOpened)
    },
    [end, run],
  )
  const work = useCallback(
    (recipe: Recipe) => {
      setWorked(undefined)
      void run((samples) => samples.work(recipe, proxy(setProgress)) as Promise<Worked>, setWorked)
    },
    [run],
  )
  const cancel = useCallback(() => {
    end()
    setProgress(undefined)
    setFault('This was cancelled; the file is as it was.')
  }, [end])
  const ask = useCallback(
    async <T>(question: (samples: Remote<Samples>) => Promise<T>) =>
      running.current ? question(running.current.samples).catch(() => undefined) : undefined,
    [],
  )
  return { opened, worked, fault, progress, open, work, cancel, ask }
}
