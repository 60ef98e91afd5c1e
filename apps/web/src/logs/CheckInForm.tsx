import { alarms, CheckIn, fanStates, logEnds, logEvents } from '@even-watt/contract'
import { askedOf, describeBattery, quantityData, writing, type Log } from '@even-watt/core'
import { useState } from 'react'
import { readTemperatures, whereChoices } from '../evidence/temperatures'
import { CaptureForm } from '../trials/CaptureForm'
import { MeterFields, readByMeters } from '../trials/metersRead'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'

const notNoted = [['', 'not noted']] as const

/** One look at a log: what the meters say first, then its gauge, heat, and what was seen. Only one of them must be there. */
export function CheckInForm({ log }: { readonly log: Log }) {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const { meters, rig, unit } = revision
  const station = unit.kind === 'power station'
  const asked = askedOf(log.entry.reading.what, revision)
  const batteries = station ? [] : rig.bank.strings.flat()
  const [each, setEach] = useState(
    log.series.some(({ quantity }) => quantity === 'V_battery' || quantity === 'I_battery'),
  )
  const places = whereChoices(station ? undefined : rig)
  const state = useCaptureForm({
    what: 'check-in',
    start: { place: places.find(([place]) => place === 'case')?.[0] ?? '' },
    schema: CheckIn,
    readings: asked.map(({ quantity }) => ({ name: quantity, quantity })),
    read: (from) => {
      const { number, text, report } = from
      const at = new Date().toISOString()
      const values = readByMeters(asked, from).map((value) => ({ ...value, at }))
      for (const { quantity, value } of values)
        if (value < 0 && quantityData[quantity].unit === 'Wh')
          report(quantity, 'Watt-hours counted are not below 0: is the meter the other way round?')
      const temperatures = readTemperatures([
        ...(text('celsius') ? [{ where: text('place') ?? 'case', text: text('celsius') ?? '' }] : []),
        ...(text('room') ? [{ where: 'room', text: text('room') ?? '' }] : []),
      ])
      report('celsius', temperatures.fault)
      const charge = number('charge')
      const read = batteries.flatMap(({ id }) => {
        const one = { volts: number(`V ${id}`), amps: number(`A ${id}`), percent: number(`C ${id}`) }
        if (one.volts === undefined && one.amps === undefined && one.percent === undefined) return []
        return [
          {
            battery: id,
            volts: one.volts,
            amps: one.amps,
            charge: one.percent === undefined ? undefined : one.percent / 100,
          },
        ]
      })
      const seen = ['fan', 'alarm', 'event', 'ended', 'observed'].some((name) => text(name))
      if (
        !values.length &&
        charge === undefined &&
        !read.length &&
        !temperatures.temperatures.length &&
        !seen
      )
        report(asked[0]?.quantity ?? 'charge', 'Nothing is read yet: one value makes a check-in.')
      const readAt = text('readAt')
      if (readAt !== undefined && Date.parse(readAt) < Date.parse(log.entry.at) - 120_000)
        report('readAt', 'That is before this log began: look at the time, or begin another log.')
      return {
        log: log.entry.id,
        values,
        ...(readAt ? { readAt: new Date(readAt).toISOString() } : {}),
        ...(charge === undefined ? {} : { charge: charge / 100 }),
        ...(read.length ? { batteries: read } : {}),
        ...(temperatures.temperatures.length ? { temperatures: temperatures.temperatures } : {}),
        irradiance: number('irradiance'),
        fan: text('fan'),
        alarm: text('alarm'),
        event: text('event'),
        ended: text('ended'),
        observed: text('observed'),
      }
    },
    entry: (reading) => ({ kind: 'check-in', reading }),
  })
  const { field, errorAt } = state
  return (
    <CaptureForm title="Check in" state={state} className="mt-4">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <MeterFields asked={asked} meters={meters} state={state} />
        <TextField
          label="Its gauge says"
          unit="%"
          inputMode="decimal"
          {...field('charge')}
          error={errorAt('charge') && 'Its gauge: a share from 0 to 100 %.'}
        />
        {log.entry.reading.source === 'solar' && (
          <TextField label="Irradiance" unit="W/m²" inputMode="decimal" {...field('irradiance')} />
        )}
        <SelectField label="Felt at" {...field('place')} options={places} />
        <TextField
          label="Temperature there"
          unit={writing().temperature}
          inputMode="decimal"
          {...field('celsius')}
        />
        <TextField label="Room" unit={writing().temperature} inputMode="decimal" {...field('room')} />
        <SelectField label="Fan" {...field('fan')} options={[...notNoted, ...same(fanStates)]} />
        <SelectField label="Alarm" {...field('alarm')} options={[...notNoted, ...same(alarms)]} />
        <SelectField
          label="What happened"
          {...field('event')}
          options={[['', 'nothing'], ...same(logEvents)]}
        />
        <SelectField label="It ended" {...field('ended')} options={[['', 'it goes on'], ...same(logEnds)]} />
        <TextField label="Read at" type="datetime-local" hint="empty: now" {...field('readAt')} />
        <TextField label="Seen and heard" {...field('observed')} className="col-span-2" />
      </div>
      {batteries.length > 1 &&
        (each ? (
          <fieldset className="mt-2">
            <legend className="text-quiet text-[0.85rem] font-semibold">Each battery</legend>
            <div className="grid gap-2">
              {batteries.map((battery) => (
                <div key={battery.id} className="grid grid-cols-3 gap-3 md:grid-cols-4">
                  <TextField
                    label={`${battery.name}, volts`}
                    unit="V"
                    inputMode="decimal"
                    {...field(`V ${battery.id}`)}
                  />
                  <TextField
                    label={`${battery.name}, amps`}
                    unit="A"
                    inputMode="decimal"
                    {...field(`A ${battery.id}`)}
                  />
                  <TextField
                    label={`${battery.name}, its app`}
                    unit="%"
                    inputMode="decimal"
                    {...field(`C ${battery.id}`)}
                  />
                  <span className="text-quiet hidden self-end pb-1 md:block">{describeBattery(battery)}</span>
                </div>
              ))}
            </div>
          </fieldset>
        ) : (
          <button type="button" className="plain-link mt-2 mr-4" onClick={() => setEach(true)}>
            Each battery by itself
          </button>
        ))}
    </CaptureForm>
  )
}
