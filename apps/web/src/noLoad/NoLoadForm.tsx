import { NoLoadReading, type Assignable, type Quantity } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'
import { RangeChoice } from '../evidence/RangeChoice'
import { readTemperatures } from '../evidence/temperatures'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { readNumber, SelectField, TextField } from '../ui/form'
import { storedFactor, typedDecimals } from '../ui/readValue'
import { displays } from './displays'

const asked: readonly Assignable[] = ['V_A', 'V_B', 'idle I', 'V_C', 'f', 'THD', 'P_C']
const quantityOf = (assignable: Assignable): Quantity => (assignable === 'idle I' ? 'I' : assignable)

/** What is read with nothing connected, each field on the meter that the rig hangs up for it. */
export function NoLoadForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const hung = (quantity: Assignable) =>
    rig.assignments.find((assignment) => assignment.quantity === quantity)?.meter
  // The ladder's ammeter reads idle too, when no other is hung up for it.
  const meterFor = (assignable: Assignable) =>
    hung(assignable) ?? (assignable === 'idle I' ? hung('I') : undefined)
  const fields = asked.filter((assignable) => assignable !== 'P_C' || meterFor('P_C'))
  const state = useCaptureForm({
    what: 'reading without load',
    start: { mode: 'on' },
    schema: NoLoadReading,
    read: ({ number, text, report }) => {
      const at = new Date().toISOString()
      const values = fields.flatMap((assignable) => {
        const value = number(assignable)
        if (value === undefined) return []
        const quantity = quantityOf(assignable)
        const meter = meterFor(assignable)
        return [
          {
            quantity,
            value: Number((value * storedFactor(quantity)).toPrecision(15)),
            grade: meter ? 'measured' : 'display',
            at,
            ...typedDecimals(text(assignable) ?? ''),
            ...(meter ? { meter } : {}),
            ...(meter && text(`range ${assignable}`) ? { range: text(`range ${assignable}`) } : {}),
          },
        ]
      })
      const display = displays.flatMap(([key]) => {
        const value = number(`display ${key}`)
        return value === undefined ? [] : [[key, value] as const]
      })
      const room = text('room')
      const { temperatures, fault } = readTemperatures(room ? [{ where: 'room', text: room }] : [])
      report('room', fault)
      if (!values.length) report('V_A', 'Nothing is read yet: at least one value makes a reading.')
      return {
        mode: text('mode'),
        values,
        ...(temperatures.length ? { temperatures } : {}),
        display: display.length ? Object.fromEntries(display) : undefined,
        observed: text('observed'),
        note: text('note'),
      }
    },
    entry: (reading) => ({ kind: 'no load', reading }),
  })
  const { field, errorAt, form } = state
  const typed = form.watch()
  return (
    <CaptureForm title="Read it" state={state} className="">
      <div className="grid grid-cols-2 gap-2">
        {fields.map((assignable) => {
          const { words, unit } = quantityData[quantityOf(assignable)]
          return (
            <TextField
              key={assignable}
              label={assignable === 'idle I' ? 'I: input current' : `${assignable}: ${words}`}
              unit={unit}
              hint={
                meters.find(({ id }) => id === meterFor(assignable))?.name ?? 'no meter: kept as its display'
              }
              inputMode="decimal"
              {...field(assignable)}
            />
          )
        })}
        {displays.map(([key, label, unit]) => (
          <TextField
            key={key}
            label={label}
            unit={unit}
            inputMode="decimal"
            {...field(`display ${key}`)}
            error={errorAt(`display ${key}`) ?? errorAt(`display.${key}`)}
          />
        ))}
        <SelectField
          label="Mode"
          {...field('mode')}
          options={[
            ['on', 'output on'],
            ['search', 'search mode'],
          ]}
        />
        <TextField label="Room" unit="°C" inputMode="decimal" {...field('room')} />
        <TextField label="Seen and heard" {...field('observed')} />
        <TextField label="Note" {...field('note')} />
      </div>
      {fields.map((assignable) => (
        <RangeChoice
          key={assignable}
          quantity={quantityOf(assignable)}
          meter={meterFor(assignable)}
          value={readNumber(typed[assignable]).value}
          range={typed[`range ${assignable}`] ?? ''}
          onChange={(range) => form.setValue(`range ${assignable}`, range, { shouldDirty: true })}
        />
      ))}
    </CaptureForm>
  )
}
