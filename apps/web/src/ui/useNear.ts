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

/**
 * Whether a place has come near the window; from then on it stays so. What is far costs nothing until it is scrolled
 * to. Printing and publishing bring everything near.
 */
export function useNear(place: RefObject<Element | null>, from = false): boolean {
  const [seen, setSeen] = useState(from)
  useEffect(() => {
    const element = place.current
    if (seen || !element) return
    const come = () => setSeen(true)
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) come()
      },
      { rootMargin: `${near}px` },
    )
    observer.observe(element)
    waiting.add(come)
    return () => {
      observer.disconnect()
      waiting.delete(come)
    }
  }, [place, seen])
  return seen
}
