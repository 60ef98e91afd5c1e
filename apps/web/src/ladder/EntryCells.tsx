import { sayChosen, type StepFigures } from '@even-watt/core'
import type { KeyboardEvent, RefObject } from 'react'
import { Fig } from '../ui/Fig'
import { columns } from './columns'
import { ValueInput } from './EntryField'
import type { OwnColumns } from './ownColumns'
import type { EntryHand } from './useEntryHand'

interface Props {
  readonly hand: EntryHand
  readonly preview: StepFigures | undefined
  readonly own: OwnColumns
  readonly firstField: RefObject<HTMLInputElement | null>
  readonly start: RefObject<HTMLButtonElement | null>
}

/** The step being typed as a row of the table: what a meter reads is typed, what follows is shown. */
export function EntryCells({ hand, preview, own, firstField, start }: Props) {
  const { draft, change, faults, insisted } = hand.state
  // Where the next step starts, keys of the ladder work (R, P, F); any other character begins the load's name.
  const begin = ({ key, ctrlKey, altKey, metaKey }: KeyboardEvent) => {
    if (key.length === 1 && key !== ' ' && !ctrlKey && !altKey && !metaKey && !/^[rpf?1-9]$/i.test(key))
      firstField.current?.focus()
  }
  return (
    <tr className="no-print border-t border-ink bg-raised">
      <td className="text-quiet px-1">
        <button
          ref={start}
          type="button"
          className="focus:bg-chosen focus:text-ink"
          aria-label="The next step starts here: type what is connected"
          onClick={() => firstField.current?.focus()}
          onKeyDown={begin}
        >
          {draft.replaces ? 'fix' : draft.step ? 'again' : 'next'}
        </button>
      </td>
      <td className="px-1 py-1">
        <input
          id="entry load"
          ref={firstField}
          className="w-full border-b border-quiet bg-raised px-0.5 focus:bg-chosen"
          autoComplete="off"
          placeholder="what is connected"
          aria-label="Load"
          aria-invalid={insisted && faults['load'] !== undefined}
          value={draft.load}
          maxLength={200}
          onChange={(event) => change({ load: event.target.value, uses: undefined, expected: undefined })}
          onKeyDown={hand.onKey('load')}
        />
      </td>
      {columns.map((column) => {
        const field = hand.fieldOf(column.input)
        return (
          <td key={column.key} className="px-1 py-1 text-right whitespace-nowrap">
            {field ? (
              <ValueInput hand={hand} field={field} compact />
            ) : preview ? (
              <Fig of={column.figure(preview)} bare={column.bare ?? true} marked className="text-quiet" />
            ) : (
              <span className="text-quiet">–</span>
            )}
          </td>
        )
      })}
      {own.columns.map((chosen, i) => {
        const figure = preview && own.of(preview)[i]
        return (
          <td key={sayChosen(chosen)} className="text-quiet px-1 py-1 text-right whitespace-nowrap">
            {figure ? <Fig of={figure} bare={2} marked className="text-quiet" /> : '–'}
          </td>
        )
      })}
    </tr>
  )
}
