import type { Entry, Trial } from '@even-watt/contract'
import { readingOrder, type Answered, type ReadingOrder } from '@even-watt/core'
import { wrap } from 'comlink'
import { useEffect, useState } from 'react'
import type { Weigher } from './weigher'

/** What to read next, as far as it is weighed: undefined for the moment that takes. Where no worker runs, as it is counted on. */
export function useReadingOrder(
  trial: Trial,
  entries: readonly Entry[],
  answers: readonly Answered[],
): ReadingOrder | undefined {
  const [weighed, setWeighed] = useState<{ of: readonly Entry[]; order: ReadingOrder }>()
  const { questions } = trial
  useEffect(() => {
    const worker = new Worker(new URL('./weigher.ts', import.meta.url), { type: 'module' })
    let wanted = true
    const put = (order: ReadingOrder) => wanted && setWeighed({ of: entries, order })
    wrap<Weigher>(worker)
      .weigh(trial, entries)
      .then((order) => put(order ?? readingOrder(answers)))
      .catch(() => put(readingOrder(answers)))
      .finally(() => worker.terminate())
    return () => {
      wanted = false
      worker.terminate()
    }
    // Answers follow from the trial and its entries.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [entries, questions, trial.id, trial.revisions.length])
  return weighed?.of === entries ? weighed.order : undefined
}
