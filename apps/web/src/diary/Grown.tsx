import type { DiaryLine, StoredUnit } from '@even-watt/contract'
import { growth, say } from '@even-watt/core'
import { useMemo } from 'react'
import { LazyChart } from '../ui/chart/LazyChart'
import { shortDate } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { grownChart, grownHeight } from './grownChart'

const drawn = [
  ['cycles', 'cycles', 'cycles'],
  ['energy', 'energy at the outlet, Wh', 'Wh'],
] as const

/** What grew over the life of a unit, drawn over its days where there are two of them. */
export function Grown({ lines, unit }: { lines: readonly DiaryLine[]; unit: StoredUnit }) {
  return drawn.map(([what, name, of]) => (
    <One key={what} lines={lines} what={what} name={name} of={of} title={`${unit.name}: ${what}`} />
  ))
}

interface OneProps {
  readonly lines: readonly DiaryLine[]
  readonly what: 'cycles' | 'energy'
  readonly name: string
  readonly of: string
  readonly title: string
}

function One({ lines, what, name, of, title }: OneProps) {
  const grown = useMemo(() => growth(lines, what), [lines, what])
  const build = useMemo(() => grownChart(grown, name, of), [grown, name, of])
  const { points, shrinks, aDay } = grown
  if (points.length < 2) return null
  return (
    <div className="mb-3 max-w-3xl">
      <LazyChart
        title={title}
        description={points.map(({ value, on }) => `${say(value, of)} on ${on}`).join(', ')}
        fileName={title}
        height={grownHeight}
        build={build}
      />
      {aDay !== undefined && aDay > 0 && (
        <p className="text-quiet">
          {say(aDay, of)} a day, from {shortDate(points[0]?.on ?? '')} to {shortDate(points.at(-1)?.on ?? '')}
          .
        </p>
      )}
      {shrinks.map((on) => (
        <Notice key={on} kind="odd">
          On {shortDate(on)} stands less than before, though it only grows: is one of them misread, or was the
          counter set back?
        </Notice>
      ))}
    </div>
  )
}
