import type { Entry, Trial } from '@even-watt/contract'
import { readingOrder, type Answered, type ReadingOrder } from '@even-watt/core'
import { wrap } from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import type { Weigher } from './weigher'

interface Weighing {
  /** What to read next, of before while it is weighed anew: nothing moves under a thumb that is on its way. */
  readonly order: ReadingOrder | undefined
  readonly busy: boolean
}

/** What to read next, weighed anew when anything was read or the rig changed. Where no worker runs, as it is counted on. */
export function useReadingOrder(
  trial: Trial,
  entries: readonly Entry[],
  answers: readonly Answered[],
): Weighing {
  const { id, questions, revisions } = trial
  // Answers follow from the trial and its entries; a title that is mended moves none of them.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const asked = useMemo(() => ({ trial, entries, answers }), [id, questions, revisions.length, entries])
  const [weighed, setWeighed] = useState<{ of: typeof asked; order: ReadingOrder }>()
  useEffect(() => {
    const worker = new Worker(new URL('./weigher.ts', import.meta.url), { type: 'module' })
    let wanted = true
    const put = (order: ReadingOrder) => wanted && setWeighed({ of: asked, order })
    wrap<Weigher>(worker)
      .weigh(asked.trial, asked.entries)
      .then((order) => put(order ?? readingOrder(asked.answers)))
      .catch(() => put(readingOrder(asked.answers)))
      .finally(() => worker.terminate())
    return () => {
      wanted = false
      worker.terminate()
    }
  }, [asked])
  return { order: weighed?.order, busy: weighed?.of !== asked }
}
