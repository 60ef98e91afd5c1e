import { grades } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'
import { RangeChoice } from '../evidence/RangeChoice'
import { TemperatureRows } from '../evidence/TemperatureRows'
import { unitOf } from '../ui/units'
import { typedValues } from './draft'
import { Choice, Short, useMeterName, ValueInput } from './EntryField'
import type { EntryHand } from './useEntryHand'

/** What is noted of a step now and then: quantities without a column, ranges, temperatures, its display, words. */
export function EntryMore({ hand, className }: { hand: EntryHand; className: string }) {
  const { draft, fields, change } = hand.state
  const meterName = useMeterName()
  const read = typedValues(draft, fields)
  return (
    <div className={`mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 ${className}`}>
      {hand.extra.map((field) => (
        <span key={field.key} className="flex items-center gap-1">
          <span className="text-quiet">
            {field.quantity} {meterName(field.meter) ?? unitOf(quantityData[field.quantity].unit)}
          </span>
          <ValueInput hand={hand} field={field} />
        </span>
      ))}
      {fields.map((field) => (
        <RangeChoice
          key={`range ${field.key}`}
          quantity={field.quantity}
          meter={field.meter}
          value={read.get(field.key)}
          range={draft.ranges[field.key] ?? ''}
          onChange={(range) => change({ ranges: { ...draft.ranges, [field.key]: range } })}
        />
      ))}
      <TemperatureRows
        typed={draft.temperatures}
        onChange={(temperatures) => change({ temperatures })}
        onKeyDown={hand.onKey('temperatures')}
      />
      <Display hand={hand} />
      {fields.some((field) => !field.meter && draft.texts[field.key]?.trim()) && (
        <Choice
          label="values without a meter are"
          value={draft.otherGrade}
          options={grades.filter((grade) => grade !== 'measured')}
          onChange={(otherGrade) => change({ otherGrade })}
        />
      )}
      <label className="flex items-center gap-1">
        <input
          type="checkbox"
          checked={draft.lowered}
          onChange={(event) => change({ lowered: event.target.checked })}
        />
        <span className="text-quiet">input lowered on purpose</span>
      </label>
      <Words
        hand={hand}
        of="observed"
        label="seen and heard"
        name="Seen and heard"
        most={300}
        placeholder="fan, hum, flicker, smell"
      />
      <Words hand={hand} of="note" label="note" name="Note" most={1000} />
    </div>
  )
}

interface WordsProps {
  readonly hand: EntryHand
  readonly of: 'observed' | 'note'
  readonly label: string
  readonly name: string
  readonly most: number
  readonly placeholder?: string
}

function Words({ hand, of, label, name, most, placeholder }: WordsProps) {
  const { draft, change } = hand.state
  return (
    <span className="flex min-w-48 flex-1 items-center gap-1">
      <span className="text-quiet whitespace-nowrap">{label}</span>
      <input
        className="input"
        value={draft[of]}
        maxLength={most}
        aria-label={name}
        placeholder={placeholder}
        onChange={(event) => change({ [of]: event.target.value })}
        onKeyDown={hand.onKey(of)}
      />
    </span>
  )
}

const displayFields = [
  ['inputVoltage', 'in V'],
  ['outputVoltage', 'out V'],
  ['outputPower', 'out W'],
  ['frequency', 'Hz'],
  ['charge', 'charge %'],
  ['loadBars', 'bars of load'],
  ['chargeBars', 'bars of charge'],
] as const

function Display({ hand }: { hand: EntryHand }) {
  const { draft, change } = hand.state
  return (
    <span className="flex flex-wrap items-center gap-2">
      <span className="text-quiet">its display</span>
      {displayFields.map(([key, label]) => (
        <Short
          key={key}
          label={label}
          value={draft.display[key]}
          onChange={(text) => change({ display: { ...draft.display, [key]: text } })}
          onKeyDown={hand.onKey('display')}
        />
      ))}
    </span>
  )
}
