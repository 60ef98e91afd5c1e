import { NoLoadReading } from '@even-watt/contract'
import { quantityData, readDisplay, shortened, writing } from '@even-watt/core'
import { RangeChoice } from '../evidence/RangeChoice'
import { readTemperatures } from '../evidence/temperatures'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { readNumber, SelectField, TextField } from '../ui/form'
import { storedFactor, typedDecimals } from '../ui/readValue'
import { displays } from './displays'
import { fieldsOf } from './fields'

/** What is read with nothing connected, each field on the meter that the rig hangs up for it. */
export function NoLoadForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const fields = fieldsOf(rig)
  const counts = fields.some(({ quantity }) => quantity === 'Q_B' || quantity === 'E_B')
  const state = useCaptureForm({
    what: 'reading without load',
    start: { mode: 'on' },
    schema: NoLoadReading,
    read: ({ number, text, report }) => {
      const at = new Date().toISOString()
      const values = fields.flatMap(({ key, quantity, meter }) => {
        const value = number(key)
        if (value === undefined) return []
        return [
          {
            quantity,
            value: shortened(value * storedFactor(quantity), 15),
            grade: meter ? 'measured' : 'display',
            at,
            ...typedDecimals(text(key) ?? ''),
            ...(meter ? { meter } : {}),
            ...(meter && text(`range ${key}`) ? { range: text(`range ${key}`) } : {}),
          },
        ]
      })
      const { display, faults } = readDisplay(
        Object.fromEntries(displays.map(([key]) => [key, text(`display ${key}`)])),
      )
      for (const [key, why] of faults) report(`display ${key}`, why)
      const room = text('room')
      const { temperatures, fault } = readTemperatures(room ? [{ where: 'room', text: room }] : [])
      report('room', fault)
      if (!values.length && !display && !faults.length)
        report(fields[0]?.key ?? 'V_A', 'Nothing is read yet: at least one value makes a reading.')
      return {
        mode: text('mode'),
        values,
        held: counts ? number('held') : undefined,
        ...(temperatures.length ? { temperatures } : {}),
        display,
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
        {fields.map(({ key, quantity, meter }) => {
          const { words, unit } = quantityData[quantity]
          return (
            <TextField
              key={key}
              label={`${quantity}: ${words}`}
              unit={unit}
              hint={meters.find(({ id }) => id === meter)?.name ?? 'no meter: kept as its display'}
              inputMode="decimal"
              {...field(key)}
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
        {counts && <TextField label="Counted for" unit="s" inputMode="decimal" {...field('held')} />}
        <SelectField
          label="Mode"
          {...field('mode')}
          options={[
            ['on', 'output on'],
            ['search', 'search mode'],
          ]}
        />
        <TextField label="Room" unit={writing().temperature} inputMode="decimal" {...field('room')} />
        <TextField label="Seen and heard" {...field('observed')} />
        <TextField label="Note" {...field('note')} />
      </div>
      {fields.map(({ key, quantity, meter }) => (
        <RangeChoice
          key={key}
          quantity={quantity}
          meter={meter}
          value={readNumber(typed[key]).value}
          range={typed[`range ${key}`] ?? ''}
          onChange={(range) => form.setValue(`range ${key}`, range, { shouldDirty: true })}
        />
      ))}
    </CaptureForm>
  )
}
