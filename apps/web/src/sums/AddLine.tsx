import { nameOf, quantityIds, quantityOf, readQuantity, type QuantityId } from '@even-watt/core'
import { useState, type FormEvent } from 'react'
import { TextField } from '../ui/form'
import type { Line } from './lines'

interface Props {
  readonly lines: readonly Line[]
  readonly onAdd: (line: Line) => void
  readonly onBegin: (ids: readonly QuantityId[]) => void
}

/** One field for whatever is known, and the list of all that may be. */
export function AddLine({ lines, onAdd, onBegin }: Props) {
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string>()
  const add = (event: FormEvent) => {
    event.preventDefault()
    const read = readQuantity(text, new Set(lines.filter((line) => line.text.trim()).map(({ id }) => id)))
    if (!read.ok) return setFault(read.why)
    onAdd({ id: read.typed.id, text: read.text })
    setText('')
    setFault(undefined)
  }
  return (
    <div className="no-print mb-3 flex flex-wrap items-start gap-2">
      {/* One field, so that Enter adds; the list stands beside. */}
      <form onSubmit={add} className="flex min-w-72 flex-1 items-start gap-2">
        <TextField
          label="Type what you know"
          className="flex-1"
          value={text}
          maxLength={80}
          placeholder="12.8 V · leads 5 mΩ · 10 to 25 mm² · 88 ± 2 %"
          autoComplete="off"
          error={fault}
          onChange={({ target }) => {
            setText(target.value)
            setFault(undefined)
          }}
        />
        <button type="submit" className="action mt-[1.2rem]">
          Add
        </button>
      </form>
      <select
        className="input w-auto max-w-60 sm:mt-[1.2rem]"
        aria-label="A quantity by its name"
        value=""
        onChange={({ target }) => onBegin([target.value as QuantityId])}
      >
        <option value="">or by its name …</option>
        {quantityIds
          .filter((id) => !lines.some((line) => line.id === id))
          .map((id) => (
            <option key={id} value={id}>
              {nameOf(id)}, {quantityOf(id).symbol}
            </option>
          ))}
      </select>
    </div>
  )
}
