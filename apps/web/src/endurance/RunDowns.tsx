import {
  claimOf,
  claimValue,
  deliveredCurve,
  dutyWatts,
  hoursAt,
  runDownsOf,
  runWords,
  say,
  type Analysis,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { useTrial } from '../trials/useTrial'
import { LazyChart } from '../ui/chart/LazyChart'
import { readNumber, TextField } from '../ui/form'
import { deliveredChart, deliveredHeight, deliveredLegend } from './deliveredChart'

interface Props {
  readonly analysis: Analysis
}

/** Run-downs in sentences, what they gave against load, and how long the owner’s own load would run. */
export function RunDowns({ analysis }: Props) {
  const { trial } = useTrial()
  const runs = useMemo(() => runDownsOf(analysis), [analysis])
  const curve = useMemo(() => deliveredCurve(runs), [runs])
  const claim = claimOf(analysis.record.revision.unit, 'energy')
  const label = claim && claim.unit !== 'Ah' ? claimValue(claim) : undefined
  const build = useMemo(() => deliveredChart(curve, label), [curve, label])
  const legend = useMemo(() => deliveredLegend(label !== undefined), [label])
  const [own, setOwn] = useState('')
  if (!runs.length) return null
  const { value: watts, why } = readNumber(own)
  const hours = watts === undefined ? undefined : hoursAt(curve, watts)
  const beyond =
    watts !== undefined &&
    curve.length > 0 &&
    (watts < (curve[0]?.watts ?? 0) || watts > (curve.at(-1)?.watts ?? 0))
  const mean = dutyWatts(trial.duty)
  const ofDuty = mean === undefined ? undefined : hoursAt(curve, mean)
  return (
    <section className="mt-3">
      <h2>Run-downs</h2>
      {runs.map(({ log, sentence }) => (
        <div key={log.entry.id} className="mb-1 max-w-4xl">
          <p>{sentence}</p>
          <p className="text-quiet">{runWords(log, analysis).join(' ')}</p>
        </div>
      ))}
      {curve.length > 1 && (
        <div className="mt-2 max-w-3xl">
          <LazyChart
            title="Delivered energy against load"
            description={curve
              .map((point) => `${say(point.Wh, 'Wh')} at ${say(point.watts, 'W')}`)
              .join(', ')}
            fileName={`${trial.title} delivered`}
            height={deliveredHeight}
            build={build}
            legend={legend}
          />
        </div>
      )}
      {ofDuty !== undefined && mean !== undefined && (
        <p className="mt-1">
          The owner’s day, {say(mean, 'W', 2)} in the mean, runs for about {say(ofDuty, 'h', 2)} on one charge
          {mean < (curve[0]?.watts ?? 0) ? ', if its idle draw is no more than in the lightest run-down' : ''}
          .
        </p>
      )}
      {curve.length > 0 && (
        <div className="no-print mt-1 flex flex-wrap items-end gap-3">
          <TextField
            label="Your own load"
            unit="W"
            inputMode="decimal"
            value={own}
            error={why}
            onChange={(event) => setOwn(event.target.value)}
            className="w-40"
          />
          <p role="status">
            {hours !== undefined &&
              `runs for about ${say(hours, 'h', 2)}${beyond ? ', beyond the loads that were run down' : ''}.`}
          </p>
        </div>
      )}
    </section>
  )
}
