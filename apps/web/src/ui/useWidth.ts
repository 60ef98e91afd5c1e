import { useLayoutEffect, useRef, useState } from 'react'

/**
 * Width of an element in CSS pixels, followed as it changes. Not known before the element stands, which is before
 * anything is painted: what is laid out by it is best left out until then, lest it be laid out twice.
 */
export function useWidth<E extends HTMLElement>() {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState<number>()
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const read = () => setWidth(element.clientWidth)
    read()
    const observer = new ResizeObserver(read)
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, width] as const
}
