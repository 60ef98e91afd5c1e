import { useEffect, useRef } from 'react'

/** Keys and what they do, as `?` lists them. */
export const keyList: readonly (readonly [keys: string, does: string])[] = [
  ['Enter', 'next field; in the last one of a form: capture or save'],
  ['Ctrl + Enter', 'capture or save from any field'],
  ['Ctrl + Z', 'take back the last capture, anywhere in a trial; undo, in the rig editor and the schedule'],
  ['Ctrl + Shift + Z', 'redo (in the rig editor and the schedule)'],
  ['↑ ↓', 'choose a step in the ladder'],
  ['R', 'repeat the chosen step'],
  ['P', 'take the next planned step into the entry row'],
  ['S', 'start what is next in the schedule, on its Run it page'],
  ['F', 'arm’s length: one large prompt at a time'],
  ['Alt + arrows', 'move an element of a rig along its side, or to the other'],
  ['Alt + ↑ ↓', 'move a block of the schedule'],
  ['1 … 9', 'rig revision 1 to 9'],
  ['Ctrl + K', 'go anywhere'],
  ['Ctrl + P', 'print, once all of the page is drawn'],
  ['?', 'this list'],
  ['Esc', 'leave the field; close what is open'],
]

/** Where letters are typed; a tick box takes none. */
const inField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target.matches('input:not([type="checkbox"]):not([type="radio"]), textarea, select'))

/** Runs an action on a key pressed outside fields and dialogs; `mod` is Ctrl or Cmd and works everywhere. */
export function useKey(
  match: (event: KeyboardEvent) => boolean,
  action: (event: KeyboardEvent) => void,
  everywhere = false,
): void {
  const latest = useRef({ match, action })
  useEffect(() => {
    latest.current = { match, action }
  })
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (!everywhere && (inField(event.target) || document.querySelector('[role="dialog"]'))) return
      if (!latest.current.match(event)) return
      event.preventDefault()
      latest.current.action(event)
    }
    addEventListener('keydown', listen)
    return () => removeEventListener('keydown', listen)
  }, [everywhere])
}
