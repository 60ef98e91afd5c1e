import { type Comparison } from '@even-watt/core'
import { useMemo } from 'react'
import { LazyChart } from '../ui/chart/LazyChart'
import { curveChart, curveHeight, curveLines } from './curveChart'
import { linesLegend } from './lines'

interface Props extends Pick<Comparison, 'list' | 'curves'> {
  /** Names the files that a chart is saved as. */
  readonly title: string
}

/** Efficiency and losses over each other, and where one is told from the first. */
export function Curves({ list, curves, title }: Props) {
  const efficiency = useMemo(() => curveChart(list, 'efficiency'), [list])
  const losses = useMemo(() => curveChart(list, 'losses'), [list])
  const drawn = useMemo(() => curveLines(list, 'efficiency'), [list])
  const legend = useMemo(() => linesLegend(drawn), [drawn])
  return (
    <section className="mt-5">
      <h2>Curves at equal output</h2>
      {curves.map(({ one, found }) => (
        <p key={one.name} className="max-w-4xl">
          {'sentence' in found ? found.sentence : found.missing}
        </p>
      ))}
      {drawn.length > 0 && (
        <div className="mt-2 grid gap-6 lg:grid-cols-2 print:grid-cols-2">
          <LazyChart
            title="Efficiency, B to C"
            description={`Efficiency against output of ${drawn.map(({ name }) => name).join(', ')}.`}
            fileName={`${title} efficiency`}
            height={curveHeight}
            build={efficiency}
            legend={legend}
          />
          <LazyChart
            title="Lost in the unit"
            description={`Watts lost against output of ${drawn.map(({ name }) => name).join(', ')}.`}
            fileName={`${title} losses`}
            height={curveHeight}
            build={losses}
            legend={legend}
          />
        </div>
      )}
    </section>
  )
}
