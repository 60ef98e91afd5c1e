import { useEffect, useState, type RefObject } from 'react'
import { flushSync } from 'react-dom'

/** How far outside the window counts as near, px. */
const near = 800

const waiting = new Set<() => void>()
let wanted = false

/** Brings all that is still far near at once: for paper, and for a page that is kept as it is. */
export function bringNear(): void {
  wanted = true
  flushSync(() => {
    for (const come of waiting) come()
  })
  wanted = false
}
globalThis.addEventListener?.('beforeprint', bringNear)

/** Whether what comes near now must stand at once, for paper waits for nothing. */
export const isWantedNow = (): boolean => wanted

/** Does something as soon as all is wanted at once, until it is let be. */
export function whenWanted(come: () => void): () => void {
  waiting.add(come)
  return () => void waiting.delete(come)
}

/** Looks after a place: what to do when it comes near the window, or is wanted at once, and when it is far again. */
function watch(element: Element, come: () => void, go?: () => void): () => void {
  const observer = new IntersectionObserver(
    (entries) => {
      if (entries.at(-1)?.isIntersecting) come()
      else go?.()
    },
    { rootMargin: `${near}px` },
  )
  observer.observe(element)
  const letBe = whenWanted(come)
  return () => {
    observer.disconnect()
    letBe()
  }
}

/**
 * Whether a place has come near the window; from then on it stays so. What is far costs nothing until it is scrolled
 * to. Printing and publishing bring everything near.
 */
export function useNear(place: RefObject<Element | null>): boolean {
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    const element = place.current
    return seen || !element ? undefined : watch(element, () => setSeen(true))
  }, [place, seen])
  return seen
}

/**
 * Whether a place is near the window just now, and what height to keep for it while it is not: px, as it last stood, or
 * as expected. What holds the focus stays.
 */
export function useWindow(place: RefObject<HTMLElement | null>, expected: number) {
  const [far, setFar] = useState<number | undefined>(expected)
  useEffect(() => {
    const element = place.current
    if (!element) return
    return watch(
      element,
      () => setFar(undefined),
      () => {
        if (!element.contains(document.activeElement)) setFar((known) => known ?? element.offsetHeight)
      },
    )
  }, [place])
  return far
}
