import { sayWarmth, warmthOf, type Analysis } from '@even-watt/core'
import { shortTime } from '../ui/dates'
import { circumstances } from './circumstances'

/** What went with each reading of the ladder, for paper: fan, alarms, holds, temperatures, displays, words. */
export function Circumstances({ analysis }: { readonly analysis: Analysis }) {
  const { rig } = analysis.record.revision
  const lines = analysis.ladder.steps.flatMap((step) =>
    step.step.readings.flatMap(({ id, at, reading }) => {
      const warm = warmthOf(reading.temperatures ?? [], rig).map(sayWarmth)
      const said = [circumstances(reading), ...warm].filter(Boolean).join(' · ')
      return said ? [{ id, at, load: step.load, said }] : []
    }),
  )
  if (!lines.length) return null
  return (
    <ul className="mt-2 text-[0.9rem]">
      {lines.map(({ id, at, load, said }) => (
        <li key={id}>
          <span className="text-quiet figures">{shortTime(at)}</span> {load}: {said}
        </li>
      ))}
    </ul>
  )
}
