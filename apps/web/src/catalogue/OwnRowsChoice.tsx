import type { OwnRow } from '@even-watt/contract'
import { figuredIn, sayRow } from '@even-watt/core'
import { useState } from 'react'
import { SelectField } from '../ui/form'
import { ChooseFigure } from './ChooseFigure'
import { Taken } from './Taken'

interface Props {
  readonly rows: readonly OwnRow[]
  /** What one of them is where it stands: "a row". */
  readonly what: string
  readonly onChange: (rows: readonly OwnRow[]) => void
}

const overs = [
  ['highest', 'the highest over the loads'],
  ['lowest', 'the lowest over the loads'],
] as const

/** Any figures of the catalogue, one for a rig each: chosen here, and taken out again. */
export function OwnRowsChoice({ rows, what, onChange }: Props) {
  const [open, setOpen] = useState(false)
  const [row, setRow] = useState<OwnRow>({ of: { figure: 'surge' } })
  const ofSteps = figuredIn(row.of)?.per === 'step'
  const full: OwnRow = ofSteps ? { of: row.of, over: row.over ?? 'highest' } : { of: row.of }
  const isIn = rows.some((one) => sayRow(one) === sayRow(full))
  return (
    <div className="no-print my-1 text-[0.9rem]">
      <p className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        {rows.map((one) => (
          <Taken
            key={sayRow(one)}
            words={sayRow(one)}
            label={`Take out: ${sayRow(one)}`}
            onRemove={() => onChange(rows.filter((other) => other !== one))}
          />
        ))}
        <button type="button" className="plain-link" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close' : `Add ${what}`}
        </button>
      </p>
      {open && (
        <form
          className="mt-1 flex max-w-4xl flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            if (!isIn) onChange([...rows, full])
          }}
        >
          <ChooseFigure value={row.of} of="all" onChange={(of) => setRow({ ...row, of })} />
          {ofSteps && (
            <SelectField
              label="Over the loads"
              value={full.over ?? 'highest'}
              options={overs}
              onChange={({ target }) =>
                setRow({ of: row.of, over: target.value === 'lowest' ? 'lowest' : 'highest' })
              }
            />
          )}
          <button type="submit" className="action" disabled={isIn}>
            {isIn ? 'It stands there' : 'Add it'}
          </button>
        </form>
      )}
    </div>
  )
}
