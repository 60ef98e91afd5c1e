import { quantityData } from '@even-watt/core'
import type { KeyboardEvent } from 'react'
import { useTrial } from '../trials/useTrial'
import type { EntryField as Field } from './draft'
import type { EntryHand } from './useEntryHand'

/** The name of a meter of this rig. */
export function useMeterName() {
  const { meters } = useTrial().analysis.record.revision
  return (id: string | undefined) => meters.find((meter) => meter.id === id)?.name
}

const inCell = 'figures w-full min-w-0 border-b border-quiet bg-raised px-0.5 text-right focus:bg-chosen'

interface ValueProps {
  readonly hand: EntryHand
  readonly field: Field
  /** In a cell of the table, rather than below it. */
  readonly compact?: boolean
}

/** One value of the step being typed. */
export function ValueInput({ hand, field, compact = false }: ValueProps) {
  const { state, onKey, leave, isWrong } = hand
  const meter = useMeterName()(field.meter)
  return (
    <input
      id={`entry ${field.key}`}
      className={compact ? inCell : 'input figures w-20 text-right'}
      inputMode="decimal"
      autoComplete="off"
      value={state.draft.texts[field.key] ?? ''}
      onChange={(event) => state.type(field.key, event.target.value)}
      onKeyDown={onKey(field.key)}
      onBlur={() => leave(field.key)}
      aria-label={`${field.quantity}, ${quantityData[field.quantity].words}${field.meter ? `, ${meter ?? 'meter'}` : ', no meter'}`}
      aria-invalid={isWrong(field.key)}
      placeholder={field.meter ? '·' : ''}
      title={field.meter ? meter : 'no meter is hung here'}
    />
  )
}

interface ChoiceProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly options: readonly T[]
  readonly onChange: (value: T) => void
}

export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <label className="flex items-center gap-1">
      <span className="text-quiet">{label}</span>
      <select className="input w-auto" value={value} onChange={(event) => onChange(event.target.value as T)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {option || 'not seen'}
          </option>
        ))}
      </select>
    </label>
  )
}

interface ShortProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onKeyDown: (event: KeyboardEvent) => void
}

export function Short({ label, value, onChange, onKeyDown }: ShortProps) {
  return (
    <label className="flex items-center gap-1">
      <span className="text-quiet">{label}</span>
      <input
        className="input figures w-16 text-right"
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={onKeyDown}
      />
    </label>
  )
}
