import { NoLoadReading } from '@even-watt/contract'
import { capital, neededOf, quantityData, readDisplay, shortened, writing } from '@even-watt/core'
import { useState } from 'react'
import { RangeChoice } from '../evidence/RangeChoice'
import { readTemperatures } from '../evidence/temperatures'
import { CautionsFirst } from '../safety/CautionsFirst'
import { ArmsLengthButton } from '../trials/ArmsLengthButton'
import { CaptureForm } from '../trials/CaptureForm'
import { FormAtArmsLength } from '../trials/FormAtArmsLength'
import { useCaptureForm } from '../trials/useCaptureForm'
import { usePrompts } from '../trials/usePrompts'
import { useTrial } from '../trials/useTrial'
import { readNumber, SelectField, TextField } from '../ui/form'
import { storedFactor, typedDecimals } from '../ui/readValue'
import { unitOf } from '../ui/units'
import { displays } from './displays'
import { fieldsOf, type NoLoadField } from './fields'

/** What is read with nothing connected, each field on the meter that the rig hangs up for it. */
export function NoLoadForm({ onTaken }: { onTaken?: () => void }) {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const fields = fieldsOf(rig)
  const counts = fields.some(({ quantity }) => quantity === 'Q_B' || quantity === 'E_B')
  const state = useCaptureForm({
    what: 'reading without load',
    start: { mode: 'on' },
    readings: fields.map(({ key, quantity }) => ({ name: key, quantity })),
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
    ...(onTaken ? { onTaken } : {}),
  })
  const { field, errorAt, form } = state
  const prompts = usePrompts()
  const [large, setLarge] = useState(prompts.asked)
  const close = () => {
    setLarge(false)
    prompts.done()
  }
  const meterName = (id: string | undefined) => meters.find((meter) => meter.id === id)?.name
  const read = fields.filter(({ meter }) => meter !== undefined)
  // A question asks for no more than answers it.
  const needed = new Set(neededOf(read.map(({ quantity }) => quantity)))
  const prompted = prompts.asked ? read.filter(({ quantity }) => needed.has(quantity)) : read
  const unread = fields.filter(({ meter }) => meter === undefined)
  const typed = form.watch()
  // What is half typed is not folded away.
  const [isShown, setShown] = useState(() => isShownTyped(typed, unread))
  return (
    <CaptureForm title="Read it" state={state} className="">
      <ArmsLengthButton onOpen={() => setLarge(true)} />
      {large && read.length > 0 && (
        <CautionsFirst>
          <FormAtArmsLength
            title="Nothing connected"
            under="Every load unplugged, power strips too; clamp zeroed; start-up finished."
            prompts={prompted.map(({ key, quantity, meter }) => ({
              name: key,
              label: capital(quantityData[quantity].words),
              unit: unitOf(quantityData[quantity].unit),
              under: meterName(meter),
            }))}
            state={state}
            onClose={close}
          />
        </CautionsFirst>
      )}
      <div className="grid grid-cols-2 gap-2">
        {read.map(({ key, quantity, meter }) => {
          const { words, unit } = quantityData[quantity]
          return (
            <TextField
              key={key}
              label={`${quantity}: ${words}`}
              unit={unit}
              hint={meterName(meter) ?? ''}
              inputMode="decimal"
              {...field(key)}
            />
          )
        })}
        <details
          className="col-span-full"
          open={isShown}
          onToggle={(event) => setShown(event.currentTarget.open)}
        >
          <summary>What the unit shows itself</summary>
          <div className="grid grid-cols-2 gap-2">
            {unread.map(({ key, quantity }) => (
              <TextField
                key={key}
                label={`${quantity}: ${quantityData[quantity].words}`}
                unit={quantityData[quantity].unit}
                hint="no meter there: noted as what the unit shows"
                inputMode="decimal"
                {...field(key)}
              />
            ))}
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
          </div>
        </details>
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

const isShownTyped = (typed: Readonly<Record<string, string>>, unread: readonly NoLoadField[]): boolean =>
  Object.entries(typed).some(
    ([name, text]) =>
      text.trim() !== '' && (name.startsWith('display ') || unread.some(({ key }) => key === name)),
  )
