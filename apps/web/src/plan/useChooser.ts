import type { LadderPlan, Question } from '@even-watt/core'
import { proxy, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Chooser } from './worker'

export interface Choosing {
  /** Sets looked at so far; undefined: nothing runs. */
  readonly looked: number | undefined
  readonly failed: boolean
  readonly choose: (question: Question) => Promise<LadderPlan | undefined>
  readonly cancel: () => void
}

/** A search in a worker of its own: with progress, and ended for good when cancelled or left. */
export function useChooser(): Choosing {
  const running = useRef<{ worker: Worker; end: (plan: undefined) => void }>(undefined)
  const [looked, setLooked] = useState<number>()
  const [failed, setFailed] = useState(false)
  const cancel = () => {
    running.current?.worker.terminate()
    running.current?.end(undefined)
    running.current = undefined
    setLooked(undefined)
  }
  useEffect(() => () => running.current?.worker.terminate(), [])
  const choose = async (question: Question): Promise<LadderPlan | undefined> => {
    cancel()
    setFailed(false)
    setLooked(0)
    const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
    const ended = new Promise<undefined>((end) => {
      running.current = { worker, end }
    })
    try {
      return await Promise.race([wrap<Chooser>(worker).choose(question, proxy(setLooked)), ended])
    } catch {
      setFailed(true)
      return undefined
    } finally {
      worker.terminate()
      if (running.current?.worker === worker) {
        running.current = undefined
        setLooked(undefined)
      }
    }
  }
  return { looked, failed, choose, cancel }
}
