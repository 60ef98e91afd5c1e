import { useEffect, useState, type RefObject } from 'react'
import { flushSync } from 'react-dom'

/** How far outside the window counts as near, px. */
const near = 800

/**
 * Whether a place has come near the window; from then on it stays so. What is far costs nothing until it is scrolled
 * to. Printing brings everything near.
 */
export function useNear(place: RefObject<Element | null>, from = false): boolean {
  const [seen, setSeen] = useState(from)
  useEffect(() => {
    const element = place.current
    if (seen || !element) return
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) setSeen(true)
      },
      { rootMargin: `${near}px` },
    )
    observer.observe(element)
    const print = () => flushSync(() => setSeen(true))
    addEventListener('beforeprint', print)
    return () => {
      observer.disconnect()
      removeEventListener('beforeprint', print)
    }
  }, [place, seen])
  return seen
}
