import { useLayoutEffect, useRef, useState } from 'react'

/** Width of an element in CSS pixels, followed as it changes. */
export function useWidth<E extends HTMLElement>(initial: number) {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState(initial)
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
