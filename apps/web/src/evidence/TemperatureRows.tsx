import type { KeyboardEvent } from 'react'
import { useTrial } from '../trials/useTrial'
import { whereChoices, type TypedTemperature } from './temperatures'
import { writing } from '@even-watt/core'

interface Props {
  readonly typed: readonly TypedTemperature[]
  readonly onChange: (typed: readonly TypedTemperature[]) => void
  readonly onKeyDown: (event: KeyboardEvent) => void
}

/** Temperatures by place: as many as were taken, each with where. */
export function TemperatureRows({ typed, onChange, onKeyDown }: Props) {
  const { rig } = useTrial().analysis.record.revision
  const choices = whereChoices(rig)
  const free = choices.find(([value]) => !typed.some(({ where }) => where === value))
  const change = (at: number, patch: Partial<TypedTemperature>) =>
    onChange(typed.map((one, i) => (i === at ? { ...one, ...patch } : one)))
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1">
      {typed.map(({ where, text }, i) => (
        <span key={i} className="flex items-center gap-1">
          <select
            className="input w-auto max-w-40"
            aria-label={`Temperature ${i + 1}: where`}
            value={where}
            onChange={(event) => change(i, { where: event.target.value })}
          >
            {choices.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
          <input
            className="input figures w-16 text-right"
            aria-label={`Temperature ${i + 1}`}
            inputMode="decimal"
            autoComplete="off"
            placeholder={writing().temperature}
            value={text}
            onChange={(event) => change(i, { text: event.target.value })}
            onKeyDown={onKeyDown}
          />
        </span>
      ))}
      {free && typed.length < 20 && (
        <button
          type="button"
          className="plain-link"
          onClick={() => onChange([...typed, { where: free[0], text: '' }])}
        >
          Add a temperature
        </button>
      )}
    </span>
  )
}
