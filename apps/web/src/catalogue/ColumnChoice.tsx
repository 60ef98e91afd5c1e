import { mostColumns, type Chosen } from '@even-watt/contract'
import { sayChosen } from '@even-watt/core'
import { useState } from 'react'
import { ChooseFigure } from './ChooseFigure'
import { Taken } from './Taken'
import type { ColumnsState } from './useColumns'

const first: Chosen = { figure: 'V_C', held: { against: 'nothing connected', as: 'per cent' } }

/** Which figures the table of steps has besides those it always has. */
export function ColumnChoice({ state }: { readonly state: ColumnsState }) {
  const [open, setOpen] = useState(false)
  const [chosen, setChosen] = useState(first)
  const { columns, add, remove, has, isFull, forEveryTrial } = state
  return (
    <section className="no-print my-1 text-[0.9rem]" aria-label="Columns of your own">
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        {columns.map((one) => (
          <Taken
            key={sayChosen(one)}
            words={sayChosen(one)}
            label={`Take out the column: ${sayChosen(one)}`}
            onRemove={() => remove(one)}
          />
        ))}
        <button type="button" className="plain-link" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close columns' : 'Add a column'}
        </button>
        {forEveryTrial && (
          <button type="button" className="plain-link" onClick={() => void forEveryTrial()}>
            These columns for every trial
          </button>
        )}
      </p>
      {open && (
        <form
          className="mt-1 flex max-w-4xl flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            add(chosen)
          }}
        >
          <ChooseFigure value={chosen} of="steps" onChange={setChosen} />
          <button type="submit" className="action" disabled={isFull || has(chosen)}>
            {has(chosen) ? 'It stands there' : 'Add it'}
          </button>
          {isFull && <span className="text-quiet">{mostColumns} at most: take one out first.</span>}
        </form>
      )}
    </section>
  )
}
