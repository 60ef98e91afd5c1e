import { useEffect, useRef, useState } from 'react'
import { useKey } from './keys'

/** Changes that follow each other within this time, ms, such as those of one word typed, are one step. */
const oneStep = 500
const mostSteps = 100

/** Content as far as it tells steps apart: a field that comes on screen empty changes nothing. */
const contentOf = (value: unknown) =>
  JSON.stringify(value, (_, part: unknown) => (part === '' ? undefined : part))

export interface History {
  /** Undefined where there is nothing to go back to. */
  readonly undo: (() => void) | undefined
  readonly redo: (() => void) | undefined
}

/**
 * Steps back and forward over what `value` was, with Ctrl+Z and Ctrl+Shift+Z outside fields: inside one the browser
 * undoes what was typed there. Values are told apart by their content.
 */
export function useHistory<T>(value: T, put: (value: T) => void): History {
  const [steps, setSteps] = useState<{ past: readonly T[]; future: readonly T[] }>({ past: [], future: [] })
  const last = useRef({ value, text: contentOf(value), at: 0 })
  const going = useRef(false)
  useEffect(() => {
    const text = contentOf(value)
    const before = last.current
    if (text === before.text) return
    const at = Date.now()
    last.current = { value, text, at }
    if (going.current) {
      going.current = false
      return
    }
    if (at - before.at < oneStep) return
    setSteps(({ past }) => ({ past: [...past, before.value].slice(-mostSteps), future: [] }))
  }, [value])
  const go = (to: T | undefined, next: (now: T) => typeof steps) => {
    if (to === undefined) return undefined
    return () => {
      going.current = true
      setSteps(next(value))
      put(to)
    }
  }
  const { past, future } = steps
  const undo = go(past.at(-1), (now) => ({ past: past.slice(0, -1), future: [now, ...future] }))
  const redo = go(future[0], (now) => ({ past: [...past, now], future: future.slice(1) }))
  const isZ = (event: KeyboardEvent) => (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z'
  useKey(
    (event) => isZ(event) && !event.shiftKey,
    () => undo?.(),
  )
  useKey(
    (event) => isZ(event) && event.shiftKey,
    () => redo?.(),
  )
  return { undo, redo }
}
