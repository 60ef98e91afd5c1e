import type { Quantity, Value, Entry } from '@even-watt/contract'
import { type Assignable } from '@even-watt/contract'
import { useTrial } from '../trials/useTrial'
import { useState, type FormEvent } from 'react'
import { parseNumber, quantityData } from '@even-watt/core'
import { displays } from './displays'
import { v7 } from 'uuid'
import { capture } from '../outbox/outbox'
import { TextField, SelectField } from '../ui/form'
const asked: readonly Assignable[] = ['V_A', 'V_B', 'idle I', 'V_C', 'f', 'THD', 'P_C']
const quantityOf = (assignable: Assignable): Quantity => (assignable === 'idle I' ? 'I' : assignable)
/** What is read with nothing connected, each field on the meter that the rig hangs up for it. */
export function NoLoadForm() {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const draftKey = `draft no load ${trial.id} ${revision.number}`
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(
    () => JSON.parse(localStorage.getItem(draftKey) ?? '{}') as Record<string, string>,
  )
  const [mode, setMode] = useState<'on' | 'search'>('on')
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  // The ladder's ammeter reads idle too, when no other is hung up for it.
  const meterFor = (assignable: Assignable) =>
    revision.rig.assignments.find((assignment) => assignment.quantity === assignable)?.meter ??
    (assignable === 'idle I'
      ? revision.rig.assignments.find((assignment) => assignment.quantity === 'I')?.meter
      : undefined)
  const fields = asked.filter((assignable) => assignable !== 'P_C' || meterFor('P_C'))
  const type = (key: string, text: string) => {
    const next = { ...texts, [key]: text }
    setTexts(next)
    localStorage.setItem(draftKey, JSON.stringify(next))
  }

  const submit = (event: FormEvent) => {
    event.preventDefault()
    const found: Record<string, string> = {}
    const read = (key: string): number | undefined => {
      const text = texts[key]
      if (!text?.trim()) return undefined
      const parsed = parseNumber(text)
      if (!parsed.ok) found[key] = parsed.why
      return parsed.ok ? parsed.value : undefined
    }
    const at = new Date().toISOString()
    const values = fields.flatMap((assignable): Value[] => {
      const value = read(assignable)
      const quantity = quantityOf(assignable)
      const meter = meterFor(assignable)
      if (value === undefined) return []
      const factor = quantityData[quantity].unit === '%' ? 0.01 : 1
      return [
        {
          quantity,
          value: Number((value * factor).toPrecision(15)),
          grade: meter ? 'measured' : 'display',
          at,
          ...(meter ? { meter } : {}),
        },
      ]
    })
    const display = Object.fromEntries(
      displays.flatMap(([key]) => {
        const value = read(`display ${key}`)
        return value === undefined ? [] : [[key, value]]
      }),
    )
    if (!values.length && !Object.keys(found).length)
      found['V_A'] = 'Nothing is read yet: at least one value makes a reading.'
    setFaults(found)
    if (Object.keys(found).length) return
    const entry: Entry = {
      id: v7(),
      kind: 'no load',
      revision: revision.number,
      at,
      reading: {
        mode,
        values,
        ...(Object.keys(display).length ? { display } : {}),
        ...(texts['note']?.trim() ? { note: texts['note'].trim() } : {}),
      },
    }
    void capture(trial.id, [entry]).then(() => localStorage.removeItem(draftKey))
    setTexts({})
  }

  return (
    <form noValidate onSubmit={submit} className="no-print">
      <h2>Read it</h2>
      <div className="grid grid-cols-2 gap-2">
        {fields.map((assignable) => (
          <TextField
            key={assignable}
            label={
              assignable === 'idle I'
                ? 'I: input current'
                : `${assignable}: ${quantityData[quantityOf(assignable)].words}`
            }
            unit={quantityData[quantityOf(assignable)].unit}
            hint={
              revision.meters.find((meter) => meter.id === meterFor(assignable))?.name ??
              'no meter: kept as its display'
            }
            inputMode="decimal"
            value={texts[assignable] ?? ''}
            onChange={(event) => type(assignable, event.target.value)}
            error={faults[assignable]}
          />
        ))}
        {displays.map(([key, label, unit]) => (
          <TextField
            key={key}
            label={label}
            unit={unit}
            inputMode="decimal"
            value={texts[`display ${key}`] ?? ''}
            onChange={(event) => type(`display ${key}`, event.target.value)}
            error={faults[`display ${key}`]}
          />
        ))}
        <SelectField
          label="Mode"
          value={mode}
          onChange={(event) => setMode(event.target.value as typeof mode)}
          options={[
            ['on', 'output on'],
            ['search', 'search mode'],
          ]}
        />
        <TextField
          label="Note"
          value={texts['note'] ?? ''}
          onChange={(event) => type('note', event.target.value)}
        />
      </div>
      <button type="submit" className="action action-main mt-3">
        Capture
      </button>
    </form>
  )
}
