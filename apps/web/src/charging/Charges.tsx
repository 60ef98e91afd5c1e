import {
  chargesOf,
  claimOf,
  claimValue,
  inputCourse,
  inputPoints,
  inputSentences,
  recordedOf,
  say,
  sayStartsAt,
  solarDay,
  type Analysis,
} from '@even-watt/core'
import { useMemo } from 'react'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'
import { useTrial } from '../trials/useTrial'
import { LazyChart } from '../ui/chart/LazyChart'
import { inputChart, inputHeight, inputLegend } from './inputChart'

interface Props {
  readonly analysis: Analysis
  readonly editable?: boolean
}

/** Charges in sentences, what the sun gave, and what the input takes against its volts. */
export function Charges({ analysis, editable = false }: Props) {
  const { trial, view } = useTrial()
  const points = useMemo(() => inputPoints(analysis.record), [analysis])
  const claim = claimOf(analysis.record.revision.unit, 'charge power')
  const promised = claim?.unit === 'W' ? claimValue(claim) : undefined
  const build = useMemo(() => inputChart(points, promised), [points, promised])
  const legend = useMemo(() => inputLegend(promised !== undefined), [promised])
  const course = inputCourse(points)
  const begins = sayStartsAt(points)
  const said = useMemo(() => inputSentences(analysis), [analysis])
  const days = analysis.logs.flatMap((log) => {
    const day = log.entry.reading.what === 'charge' ? solarDay(log) : undefined
    return day ? [{ log, day }] : []
  })
  const inputs = recordedOf(analysis.record, 'charging').filter(({ reading }) => reading.test === 'input')
  return (
    <>
      {chargesOf(analysis).map(({ log, sentence }) => (
        <p key={log.entry.id} className="mb-1 max-w-4xl">
          {sentence}
        </p>
      ))}
      {days.map(({ log, day }) => (
        <p key={log.entry.id} className="mb-1 max-w-4xl">
          {day.sentence}
          {day.perLight !== undefined &&
            ` In full sun it would take about ${say(1000 * day.perLight, 'W', 2)}, if its input does not stop before.`}
        </p>
      ))}
      {begins !== undefined && <p className="mb-1 max-w-4xl">{begins}</p>}
      {course && <p className="mb-1 max-w-4xl">{course.sentence}</p>}
      {points.some(({ volts }) => volts !== undefined) && (
        <div className="mt-2 max-w-3xl">
          <LazyChart
            title="What its input takes"
            description={course?.sentence ?? `${points.length} readings`}
            fileName={`${trial.title} charging`}
            height={inputHeight}
            build={build}
            legend={legend}
          />
        </div>
      )}
      {inputs.length > 0 && editable && (
        <section className="mt-3">
          <h2>Readings</h2>
          <SentenceList
            what="this reading"
            editable
            beside={(entry) => <Strip subject={{ about: entry }} of="this reading" />}
            lines={inputs.map(({ id, reading }) => ({
              entry: id,
              sentence: said.get(id)?.join(' ') ?? 'Read.',
              note: reading.note,
              why: view.record.struckWhy.get(id),
            }))}
          />
        </section>
      )}
    </>
  )
}
