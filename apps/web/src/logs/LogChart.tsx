import { storedBy, type Log, type Point } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { LazyChart } from '../ui/chart/LazyChart'
import {
  groupsIn,
  keyOfColumn,
  linesOf,
  logChart,
  logHeight,
  logLegend,
  timeUnit,
  type Group,
  type Line,
  type NameOf,
} from './chart'
import { useCloser } from './useCloser'
import { sayMinutes } from './words'

interface Props {
  readonly log: Log
  readonly title: string
  readonly nameOf: NameOf
  /** How loud it was meanwhile. */
  readonly noise?: readonly Point[]
}

/** A log over time, one group of quantities at once; the wheel looks closer, dragging moves along. */
export function LogChart({ log, title, nameOf, noise }: Props) {
  const all = useMemo(() => linesOf(log, nameOf, noise), [log, nameOf, noise])
  const there = groupsIn(all)
  const [chosen, setChosen] = useState<Group>()
  const group = chosen && there.includes(chosen) ? chosen : there[0]
  const end = Math.max(log.seconds, 1)
  const [window, setWindow] = useState<readonly [number, number]>()
  const [from, to] = window ?? [0, end]
  const whole = window === undefined || to - from > 0.98 * end
  const [file] = log.files
  const begins = file ? (Date.parse(file.reading.from) - Date.parse(log.entry.at)) / 1000 : 0
  const shift = Math.max(0, begins)
  const closer = useCloser(file, from - shift, to - shift, whole)
  const lines = useMemo(
    () => all.map((line) => closerLine(line, log, closer.look, shift)),
    [all, log, closer.look, shift],
  )
  const charted = group && {
    lines,
    group,
    seconds: end,
    from,
    to,
    events: log.events,
    segments: log.segments,
  }
  const build = charted && logChart(charted)
  const legend = charted && logLegend(charted)
  if (!group || !build) return null
  const closerBy = (factor: number) => {
    const middle = (from + to) / 2
    const half = Math.min(end, (to - from) * factor) / 2
    const left = Math.max(0, Math.min(end - 2 * half, middle - half))
    setWindow(factor > 1 && 2 * half >= end ? undefined : [left, left + 2 * half])
  }
  const along = (share: number) => {
    const by = (to - from) * share
    const left = Math.max(0, Math.min(end - (to - from), from + by))
    setWindow([left, left + (to - from)])
  }
  const { unit, seconds } = timeUnit(end)
  return (
    <div>
      <div className="no-print flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span role="group" aria-label="What is drawn" className="flex gap-4">
          {there.map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={one === group}
              className={one === group ? 'font-bold' : 'plain-link'}
              onClick={() => setChosen(one)}
            >
              {one}
            </button>
          ))}
        </span>
        <span role="group" aria-label="How closely" className="ml-auto flex gap-3 text-[0.9rem]">
          <button
            type="button"
            className="plain-link"
            disabled={whole}
            onClick={() => along(-0.5)}
            aria-label="Earlier"
          >
            ◂
          </button>
          <button type="button" className="plain-link" onClick={() => closerBy(0.5)}>
            Closer
          </button>
          <button type="button" className="plain-link" disabled={whole} onClick={() => closerBy(2)}>
            Wider
          </button>
          <button
            type="button"
            className="plain-link"
            disabled={window === undefined}
            onClick={() => setWindow(undefined)}
          >
            Whole
          </button>
          <button
            type="button"
            className="plain-link"
            disabled={whole}
            onClick={() => along(0.5)}
            aria-label="Later"
          >
            ▸
          </button>
        </span>
      </div>
      <LazyChart
        title={`${title}, ${group}`}
        description={`${lines
          .filter((line) => line.unit === group)
          .map((line) => line.words)
          .join(', ')} over ${sayMinutes(end)}.`}
        fileName={`${title} ${group.replace('/', ' per ')}`}
        height={logHeight}
        build={build}
        legend={legend}
        onZoom={(a, b) => setWindow([Math.max(0, a * seconds), Math.min(end, b * seconds)])}
      />
      {!whole && (
        <p className="text-quiet no-print" role="status">
          From {Math.round((from / seconds) * 10) / 10} to {Math.round((to / seconds) * 10) / 10} {unit}
          {closer.look ? `, ${closer.look.times.length} points of each line` : ''}.
        </p>
      )}
      {closer.fault && <p className="text-ochre">{closer.fault}</p>}
    </div>
  )
}

/** A line of a file as the stored rows have it, where those were looked at. */
function closerLine(line: Line, log: Log, look: ReturnType<typeof useCloser>['look'], shift: number): Line {
  if (!look || line.dots) return line
  const column = log.files[0]?.reading.columns.find((one) => line.key.startsWith(keyOfColumn(one)))
  if (!column) return line
  const shown = line.unit === '%' ? 100 : 1
  const stored = storedBy(column)
  const points = (values: Float64Array | undefined) =>
    [...look.times].flatMap((at, i) => {
      const x = values?.[i]
      return x === undefined || Number.isNaN(x) ? [] : [{ at: at + shift, value: stored(x) * shown }]
    })
  const single = look.low[column.column] === look.mean[column.column]
  return {
    ...line,
    points: points(look.mean[column.column]),
    ...(single ? {} : { low: points(look.low[column.column]), high: points(look.high[column.column]) }),
  }
}
