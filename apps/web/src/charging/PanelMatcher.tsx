import { ChargingReading } from '@even-watt/contract'
import {
  chargingTests,
  formatNumber,
  joinPanels,
  plain,
  say,
  sayTemperature,
  typedNumber,
} from '@even-watt/core'
import { useState } from 'react'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { number, readFields, words } from '../trials/fields'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { readNumber, TextField } from '../ui/form'
import { typedTemperature } from '../ui/units'
import { FitTable } from '../ui/FitTable'

const fields = [
  words('name', 'Panel', 'roof panel'),
  number('owned', 'How many', ''),
  number('openVolts', 'Open-circuit volts', 'V'),
  number('shortAmps', 'Short-circuit amps', 'A'),
  number('watts', 'At its best', 'W'),
  number('perKelvin', 'Change of volts', '%/K', { hint: 'below 0, as on its label' }),
  number('coldest', 'Coldest morning', '°C'),
]

const limitNames = [
  ['volts', 'It stands', 'V'],
  ['from', 'It charges from', 'V'],
  ['amps', 'It takes', 'A'],
  ['watts', 'It takes', 'W'],
] as const

/** Which of the owner’s panels may be joined how: in series, in parallel, against what the input stands when it is cold. */
export function PanelMatcher() {
  const { analysis } = useTrial()
  const panel = chargingTests(analysis.record, 'panel').at(-1)?.reading
  const [typed, setTyped] = useState<Record<string, string>>({})
  const state = useCaptureForm({
    what: 'panel',
    start: { perKelvin: typedNumber(-0.3), coldest: typedTemperature(-5) },
    schema: ChargingReading,
    read: (from) => ({ test: 'panel', ...readFields(fields, from), note: from.text('note') }),
    entry: (reading) => ({ kind: 'charging', reading }),
  })
  const limit = (name: string) => readNumber(typed[name]).value
  const limits = { volts: limit('volts'), from: limit('from'), amps: limit('amps'), watts: limit('watts') }
  const ways = panel ? joinPanels(panel, limits) : []
  return (
    <section className="mt-5">
      <h2>Your panels</h2>
      {panel && (
        <>
          <p className="text-quiet">
            {panel.owned} × {panel.name}: {say(panel.openVolts, 'V')} open, {say(panel.shortAmps, 'A')} short,{' '}
            {say(panel.watts, 'W')}, {plain(panel.perKelvin)} %/K, down to {sayTemperature(panel.coldest, 1)}.
          </p>
          <div className="no-print mt-2 grid max-w-2xl grid-cols-2 gap-3 md:grid-cols-4">
            {limitNames.map(([name, label, unit]) => (
              <TextField
                key={name}
                label={label}
                unit={unit}
                hint="of the input, by its label"
                inputMode="decimal"
                value={typed[name] ?? ''}
                error={readNumber(typed[name]).why}
                onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
              />
            ))}
          </div>
          <FitTable className="mt-2 max-w-4xl">
            <thead>
              <tr>
                <th>joined</th>
                <th className="right">cold, open V</th>
                <th className="right">short A</th>
                <th className="right">a good day, W</th>
                <th>against it</th>
              </tr>
            </thead>
            <tbody>
              {ways.map((way) => (
                <tr key={`${way.inSeries} ${way.inParallel}`} className={way.forbidden ? 'text-madder' : ''}>
                  <td>{saysJoined(way.inSeries, way.inParallel)}</td>
                  <td className="figures right">{formatNumber(way.coldVolts, 2)}</td>
                  <td className="figures right">{formatNumber(way.shortAmps, 1)}</td>
                  <td className="figures right">{way.forbidden ? '–' : formatNumber(way.watts, 0)}</td>
                  <td>
                    {way.forbidden
                      ? `Never: ${way.against.join('; ')}`
                      : way.against.join('; ') || (limits.volts === undefined ? 'not known' : 'nothing')}
                  </td>
                </tr>
              ))}
            </tbody>
          </FitTable>
          {limits.volts === undefined && (
            <p className="text-ochre mt-1">
              ▲ Type how many volts the input stands before you join any in series.
            </p>
          )}
        </>
      )}
      <CaptureForm
        title={panel ? 'Another panel' : 'Note a panel by its label'}
        state={state}
        className="mt-3"
      >
        <FieldGrid fields={fields} state={state} />
      </CaptureForm>
    </section>
  )
}

const saysJoined = (inSeries: number, inParallel: number): string =>
  inSeries === 1 && inParallel === 1
    ? 'one alone'
    : [inSeries > 1 && `${inSeries} in series`, inParallel > 1 && `${inParallel} in parallel`]
        .filter(Boolean)
        .join(', ')
