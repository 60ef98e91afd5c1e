import {
  batteriesIn,
  chargesOf,
  deratesFrom,
  fanOf,
  firstEmpty,
  gaugeChecks,
  heatOf,
  runDownsOf,
  say,
  sayGauge,
  seriesFor,
  solarDay,
  worstOf,
  type Analysis,
  type Log,
} from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { clockTime, shortDate } from '../ui/dates'
import { CheckInForm } from './CheckInForm'
import { ImportLog } from './ImportLog'
import { LogAtArmsLength } from './LogAtArmsLength'
import { LogChart } from './LogChart'
import { LogFigures } from './LogFigures'
import { LogTable } from './LogTable'
import { namesOf } from './nameOf'
import { Predictions } from './Predictions'
import { useLog } from './useLog'
import { nameOfLog } from './words'

/** One log: its answer, what it came to, its course, and what is read next. */
export function LogPage() {
  const { trial, analysis } = useTrial()
  const log = useLog()
  const [large, setLarge] = useState(false)
  const oddities = useOddities().filter(({ at }) => at.entry === log?.entry.id)
  if (!log)
    return (
      <>
        <StageHead title="Log" />
        <p>
          This log is not on this rig.{' '}
          <Link className="plain-link" to={`/trials/${trial.id}/endurance`}>
            All logs
          </Link>
        </p>
      </>
    )
  const nameOf = namesOf(analysis.record.revision)
  const { note } = log.entry.reading
  return (
    <>
      <StageHead title={nameOfLog(log)}>
        {!log.ended && (
          <button type="button" className="action action-main" onClick={() => setLarge(true)}>
            At arm’s length
          </button>
        )}
      </StageHead>
      <p className="text-quiet">
        Begun {shortDate(log.entry.at)} {clockTime(log.entry.at)}
        {note && ` · ${note}`}
      </p>
      <div className="mt-2 grid gap-x-8 gap-y-3 lg:grid-cols-[3fr_2fr]">
        <div className="min-w-0">
          {answersOf(log, analysis).map((sentence) => (
            <p key={sentence} className="mb-1 max-w-4xl">
              {sentence}
            </p>
          ))}
          <Predictions log={log} />
        </div>
        <LogFigures log={log} />
      </div>
      <OddityNotices oddities={oddities} />
      {log.series.length > 0 && (
        <div className="mt-3">
          <LogChart log={log} title={nameOfLog(log)} nameOf={nameOf} />
        </div>
      )}
      {!log.ended && <CheckInForm key={log.entry.id} log={log} />}
      <LogTable log={log} nameOf={nameOf} editable />
      <ImportLog log={log} />
      {large && <LogAtArmsLength log={log} onClose={() => setLarge(false)} />}
    </>
  )
}

/** What a log says, the most telling first. */
export function answersOf(log: Log, analysis: Analysis): string[] {
  const run = runDownsOf(analysis).find((one) => one.log === log)
  const sun = log.entry.reading.what === 'charge' ? solarDay(log) : undefined
  const gauge = worstOf(gaugeChecks(log))
  const fan = fanOf(log)
  const derates = deratesFrom(log)
  const minutes = (s: number) => say(s / 60, 'min', 2)
  return [
    ...(run ? [run.sentence] : []),
    ...chargesOf(analysis).flatMap((charge) => (charge.log === log ? [charge.sentence] : [])),
    ...(sun ? [sun.sentence] : []),
    ...heatOf(log, analysis).flatMap((place) => [
      place.sentence,
      ...(place.atSwitchOff === undefined ? [] : [`Carried back to the moment of switching off, the ${place.place} was at ${say(place.atSwitchOff, '°C', 3)}.`]),
    ]),
    ...batterySentences(log, analysis),
    ...(gauge && Math.abs(gauge.shown - gauge.left) > 0.03 ? [`Its gauge: ${sayGauge(gauge)}.`] : []),
    ...(derates ? [`It derates: from ${say(derates.from, 'W')} to ${say(derates.to, 'W')} from ${minutes(derates.at)} on, while the load’s resistance did not change.`] : []),
    ...(fan
      ? [
          `${fan.seenToStart ? `The fan started after ${minutes(fan.starts)}` : `The fan ran when it was first looked at, after ${minutes(fan.starts)},`}${fan.watts === undefined ? '' : ` at ${say(fan.watts, 'W')}`}${fan.celsius === undefined ? '' : `, with ${say(fan.celsius, '°C', 2)} at the case`}${fan.runsOn === undefined ? '' : `, and ran on for ${minutes(fan.runsOn)}`}${fan.cycle === undefined ? '' : `; it starts every ${minutes(fan.cycle)}`}.`,
        ]
      : []),
  ]
} // prettier-ignore

/** How batteries share it: what each gave beside what the network has, which ended first, or will. */
function batterySentences(log: Log, analysis: Analysis): string[] {
  const shares = batteriesIn(log, analysis)
  const amps = seriesFor(log, 'I') ?? seriesFor(log, 'I_bank')
  const mean = amps && amps.integral.hours > 0 ? amps.integral.value / amps.integral.hours : amps?.points[0]?.value
  const ahead = mean ? firstEmpty(analysis, mean) : undefined
  const percent = (share: number) => say(100 * share, '%', 2)
  return [
    ...(shares?.strings.some(({ read }) => read !== undefined)
      ? [
          `${shares.strings
            .map(({ name, read, predicted }) => `${name} gave ${read === undefined ? 'an unknown share' : percent(read)}${predicted === undefined ? '' : ` (its share by resistance is ${percent(predicted)})`}`)
            .join(', ')}.`,
        ]
      : []),
    ...(shares?.first && !log.ended ? [`First to end: ${shares.first.sentence}`] : []),
    ...(!log.ended && !shares?.first && ahead
      ? [`By its share and its Ah ${ahead.name} empties first, after about ${say(ahead.hours, 'h', 2)} from full; the next one after ${say(ahead.others, 'h', 2)}.`]
      : []),
    ...(shares?.spread && shares.spread.to > 0.05 ? [`They stand ${say(shares.spread.to, 'V', 2)} apart, per 12 V; at the beginning ${say(shares.spread.from, 'V', 2)}.`] : []),
  ]
} // prettier-ignore
