import { runDownsOf, type Log, type Prediction } from '@even-watt/core'
import { clockTime } from '../ui/dates'
import { useTrial } from '../trials/useTrial'
import { sayMinutes } from './words'

/** When a run-down will end, with what was said of it before. */
export function Predictions({ log }: { readonly log: Log }) {
  const { analysis } = useTrial()
  const run = runDownsOf(analysis).find((one) => one.log === log)
  const told = run?.predicted?.predictions ?? []
  const last = told.at(-1)
  if (!run?.predicted || !last) return null
  const at = (seconds: number) => clockTime(new Date(Date.parse(log.entry.at) + seconds * 1000).toISOString())
  const steps = spread(told)
  if (log.ended)
    return (
      <p className="text-quiet">
        Its end was said to be {steps.map(({ end }) => at(end)).join(', then ')}; it ended {at(log.ended.at)}.
      </p>
    )
  return (
    <p className="max-w-4xl">
      <strong>It should end at about {at(last.end)}</strong>, give or take {sayMinutes(last.within)}, in{' '}
      {sayMinutes(Math.max(0, last.end - last.at))}: by {run.predicted.usable.by}.
      {steps.length > 1 && (
        <span className="text-quiet">
          {' '}
          Said before:{' '}
          {steps
            .slice(0, -1)
            .map(({ end }) => at(end))
            .join(', ')}
          .
        </span>
      )}
    </p>
  )
}

const most = 4

/** A few of many, the first and the last among them. */
function spread(all: readonly Prediction[]): Prediction[] {
  if (all.length <= most) return [...all]
  return Array.from(
    { length: most },
    (_, i) => all[Math.round((i * (all.length - 1)) / (most - 1))] as Prediction,
  )
}
