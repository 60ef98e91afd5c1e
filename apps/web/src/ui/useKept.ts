import { useRef, useState } from 'react'
import { drafts, resembles } from './browserStore'

export interface Kept<T> {
  readonly typed: T
  /** Something was typed that is not saved. */
  readonly changed: boolean
  /** What stands is from before: it was typed here, and not saved. */
  readonly restored: boolean
  readonly put: (next: T) => void
  /** `what` is saved: `next` stands, unless more was typed meanwhile. */
  readonly saved: (what: T, next: T) => void
  /** Given up: what it started from stands again. */
  readonly discard: () => void
}

/**
 * What is typed, kept for its tab at every key until it is saved or given up: to leave the page loses nothing.
 * @param key one for each thing that is edited
 * @param start what stands where nothing was kept
 * @param example what else is kept must have its shape
 */
export function useKept<T>(key: string, start: T, example: T = start): Kept<T> {
  const [kept] = useState(() => {
    const draft = drafts.read(key)
    return resembles(example, draft) ? { draft } : undefined
  })
  const [restored, setRestored] = useState(kept !== undefined)
  const [changed, setChanged] = useState(kept !== undefined)
  const [typed, setTyped] = useState<T>(kept ? kept.draft : start)
  const newest = useRef(typed)
  const show = (next: T) => {
    newest.current = next
    setTyped(next)
  }
  const end = (next: T) => {
    drafts.drop(key)
    setRestored(false)
    setChanged(false)
    show(next)
  }
  return {
    typed,
    changed,
    restored,
    put: (next) => {
      show(next)
      setChanged(true)
      drafts.keep(key, next)
    },
    saved: (what, next) => {
      if (newest.current === what) end(next)
    },
    discard: () => end(start),
  }
}
