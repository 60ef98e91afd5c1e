import { alarms, ends, fanStates, grades, loadKinds } from '@even-watt/contract'
import { quantityData, type Oddity, type StepFigures } from '@even-watt/core'
import { useRef, useState, type KeyboardEvent, type RefObject } from 'react'
import { flushSync } from 'react-dom'
import { RangeChoice } from '../evidence/RangeChoice'
import { TemperatureRows } from '../evidence/TemperatureRows'
import { OddityNotices } from '../oddities/OddityNotices'
import { useTrial } from '../trials/useTrial'
import { Fig } from '../ui/Fig'
import { Notice } from '../ui/Notice'
import { columns } from './columns'
import { typedValues, type Draft, type EntryField } from './draft'
import type { DraftState } from './useDraft'
import { unitOf } from '../ui/units'

interface Props {
  readonly state: DraftState
  /** Figures of what has been typed so far. */
  readonly preview: StepFigures | undefined
  readonly oddities: readonly Oddity[]
  readonly firstField: RefObject<HTMLInputElement | null>
  readonly onCaptured: () => void
}

/** Where the table is wider than the window, what is chosen and pressed stays in sight. */
const inSight = 'sticky left-12 max-w-[calc(100vw-6rem)] md:max-w-[calc(100vw-18.5rem)]'

const cellInput = 'figures w-full min-w-0 border-b border-quiet bg-raised px-0.5 text-right focus:bg-chosen'

/**
 * The step being typed. Enter moves on in reading order, and captures in the last field; Ctrl+Enter captures from
 * anywhere. What is odd or cannot be read is said below and never stops the hand.
 */
export function EntryRows({ state, preview, oddities, firstField, onCaptured }: Props) {
  const { draft, fields, change, type, captureStep, faults, insisted } = state
  const { analysis } = useTrial()
  const start = useRef<HTMLButtonElement>(null)
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [more, setMore] = useState(false)
  const meterName = (id: string | undefined) =>
    analysis.record.revision.meters.find((meter) => meter.id === id)?.name
  const order = ['load', ...fields.filter((field) => field.meter).map((field) => field.key)]

  const read = typedValues(draft, fields)

  const tryCapture = () => {
    if (captureStep()) {
      setLeft(new Set())
      onCaptured()
      start.current?.focus()
    }
  }
  const onKey = (key: string) => (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    if (event.ctrlKey || event.metaKey) {
      tryCapture()
      return
    }
    const next = order[order.indexOf(key) + 1]
    if (order.includes(key) && next !== undefined) {
      if (extra.some((field) => field.key === next)) flushSync(() => setMore(true))
      document.getElementById(`entry ${next}`)?.focus()
    } else tryCapture()
  }
  // Where the next step starts, keys of the ladder work (R, P, F); any other character begins the load's name.
  const begin = ({ key, ctrlKey, altKey, metaKey }: KeyboardEvent) => {
    if (key.length === 1 && key !== ' ' && !ctrlKey && !altKey && !metaKey && !/^[rpf?1-9]$/i.test(key))
      firstField.current?.focus()
  }
  const leave = (key: string) => setLeft((before) => new Set(before).add(key))
  const shown = Object.entries(faults).filter(
    ([key]) =>
      (insisted || left.has(key)) && !(key === 'values' && !insisted) && !(key === 'load' && !insisted),
  )

  const input = (field: EntryField, compact: boolean) => (
    <input
      id={`entry ${field.key}`}
      className={compact ? cellInput : 'input figures w-20 text-right'}
      inputMode="decimal"
      autoComplete="off"
      value={draft.texts[field.key] ?? ''}
      onChange={(event) => type(field.key, event.target.value)}
      onKeyDown={onKey(field.key)}
      onBlur={() => leave(field.key)}
      aria-label={`${field.quantity}, ${quantityData[field.quantity].words}${field.meter ? `, ${meterName(field.meter) ?? 'meter'}` : ', no meter'}`}
      aria-invalid={faults[field.key] !== undefined && (insisted || left.has(field.key))}
      placeholder={field.meter ? '·' : ''}
      title={field.meter ? meterName(field.meter) : 'no meter is hung here'}
    />
  )
  const main = new Map(
    columns.flatMap((column) =>
      column.input ? [[column.input, fields.find((field) => field.quantity === column.input)] as const] : [],
    ),
  )
  const extra = fields.filter((field) => main.get(field.quantity) !== field)

  return (
    <>
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
            onKeyDown={onKey('load')}
          />
        </td>
        {columns.map((column) => {
          const field = column.input && main.get(column.input)
          return (
            <td key={column.key} className="px-1 py-1 text-right whitespace-nowrap">
              {field ? (
                input(field, true)
              ) : preview ? (
                <Fig of={column.figure(preview)} bare={column.bare ?? true} marked className="text-quiet" />
              ) : (
                <span className="text-quiet">–</span>
              )}
            </td>
          )
        })}
      </tr>
      <tr className="no-print border-b border-rule bg-raised">
        <td />
        <td colSpan={columns.length + 1} className="px-1 pb-2">
          <div className={`flex flex-wrap items-center gap-x-4 gap-y-2 ${inSight}`}>
            <Choice
              label="kind"
              value={draft.kind}
              options={loadKinds}
              onChange={(kind) => change({ kind })}
            />
            <Choice
              label="fan"
              value={draft.fan}
              options={['', ...fanStates]}
              onChange={(fan) => change({ fan })}
            />
            <Choice
              label="alarm"
              value={draft.alarm}
              options={alarms}
              onChange={(alarm) => change({ alarm })}
            />
            <Choice label="ended" value={draft.end} options={ends} onChange={(end) => change({ end })} />
            <Short
              label="held, s"
              value={draft.held}
              onChange={(held) => change({ held })}
              onKeyDown={onKey('held')}
            />
            <button type="button" className="plain-link" aria-expanded={more} onClick={() => setMore(!more)}>
              {more ? 'Less' : 'More'}
            </button>
            <button type="button" className="action action-main" onClick={tryCapture}>
              Capture
            </button>
            {(draft.step ?? draft.load) && (
              <button type="button" className="plain-link" onClick={state.clear}>
                Clear
              </button>
            )}
          </div>
          {more && (
            <div className={`mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 ${inSight}`}>
              {extra.map((field) => (
                <span key={field.key} className="flex items-center gap-1">
                  <span className="text-quiet">
                    {field.quantity} {meterName(field.meter) ?? unitOf(quantityData[field.quantity].unit)}
                  </span>
                  {input(field, false)}
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
                onKeyDown={onKey('temperatures')}
              />
              <Display
                draft={draft}
                onChange={(display) => change({ display })}
                onKeyDown={onKey('display')}
              />
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
              <span className="flex min-w-48 flex-1 items-center gap-1">
                <span className="text-quiet whitespace-nowrap">seen and heard</span>
                <input
                  className="input"
                  value={draft.observed}
                  maxLength={300}
                  aria-label="Seen and heard"
                  placeholder="fan, hum, flicker, smell"
                  onChange={(event) => change({ observed: event.target.value })}
                  onKeyDown={onKey('observed')}
                />
              </span>
              <span className="flex min-w-48 flex-1 items-center gap-1">
                <span className="text-quiet">note</span>
                <input
                  className="input"
                  value={draft.note}
                  maxLength={1000}
                  aria-label="Note"
                  onChange={(event) => change({ note: event.target.value })}
                  onKeyDown={onKey('note')}
                />
              </span>
            </div>
          )}
          {shown.map(([key, sentence]) => (
            <Notice key={key} kind="problem" word="At the field">
              {sentence}
            </Notice>
          ))}
          <OddityNotices oddities={oddities} />
        </td>
      </tr>
    </>
  )
}

interface ChoiceProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly options: readonly T[]
  readonly onChange: (value: T) => void
}

function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
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

function Short({ label, value, onChange, onKeyDown }: ShortProps) {
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

const displayFields = [
  ['inputVoltage', 'in V'],
  ['outputVoltage', 'out V'],
  ['outputPower', 'out W'],
  ['frequency', 'Hz'],
  ['loadBars', 'bars of load'],
  ['chargeBars', 'bars of charge'],
] as const

function Display({
  draft,
  onChange,
  onKeyDown,
}: {
  draft: Draft
  onChange: (display: Draft['display']) => void
  onKeyDown: (event: KeyboardEvent) => void
}) {
  return (
    <span className="flex flex-wrap items-center gap-2">
      <span className="text-quiet">its display</span>
      {displayFields.map(([key, label]) => (
        <Short
          key={key}
          label={label}
          value={draft.display[key]}
          onChange={(text) => onChange({ ...draft.display, [key]: text })}
          onKeyDown={onKeyDown}
        />
      ))}
    </span>
  )
}
