import { useState, type KeyboardEvent } from 'react'
import { flushSync } from 'react-dom'
import { columns } from './columns'
import type { EntryField } from './draft'
import type { DraftState } from './useDraft'

/** How the hand moves over the step being typed: Enter goes on in reading order, and captures in the last field. */
export function useEntryHand(state: DraftState, onCaptured: () => void) {
  const { fields, captureStep, faults, insisted } = state
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [more, setMore] = useState(false)
  const main = new Map(
    columns.flatMap((column) =>
      column.input ? [[column.input, fields.find((field) => field.quantity === column.input)] as const] : [],
    ),
  )
  /** Fields that the table has no column for. */
  const extra = fields.filter((field) => main.get(field.quantity) !== field)
  const order = ['load', ...fields.filter((field) => field.meter).map((field) => field.key)]

  const follow = (captured: boolean | undefined) => {
    if (!captured) return
    setLeft(new Set())
    onCaptured()
  }
  const tryCapture = () => follow(captureStep())
  const onKey = (key: string) => (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    const next = order[order.indexOf(key) + 1]
    if (event.ctrlKey || event.metaKey || !order.includes(key) || next === undefined) return tryCapture()
    if (extra.some((field) => field.key === next)) flushSync(() => setMore(true))
    document.getElementById(`entry ${next}`)?.focus()
  }
  const isWrong = (key: string) => faults[key] !== undefined && (insisted || left.has(key))
  return {
    state,
    extra,
    more,
    setMore,
    tryCapture,
    answerSlip: (meant: boolean) => follow(state.slip?.answer(meant)),
    onKey,
    leave: (key: string) => setLeft((before) => new Set(before).add(key)),
    isWrong,
    /** The field of a column, where a meter may hang. */
    fieldOf: (quantity: EntryField['quantity'] | undefined) => quantity && main.get(quantity),
    /** What is wrong and may be said: not before one has left the field, or tried to capture. */
    shown: Object.entries(faults).filter(
      ([key]) => isWrong(key) && (insisted || (key !== 'values' && key !== 'load')),
    ),
  }
}

export type EntryHand = ReturnType<typeof useEntryHand>
