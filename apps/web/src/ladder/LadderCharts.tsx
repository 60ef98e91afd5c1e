import { claimedValue, isFigure, toldBy, type Analysis, type JudgedLimit } from '@even-watt/core'
import { useCallback, useMemo } from 'react'
import { LazyChart } from '../ui/chart/LazyChart'
import type { ChartTheme } from '../ui/chart/theme'
import { efficiencyChart, efficiencyHeight } from './efficiencyChart'
import { efficiencyLegend, lossLegend } from './legends'
import { lossChart, lossHeight } from './lossChart'

interface Props {
  /** Names the files that a chart is saved as. */
  readonly title: string
  readonly analyses: readonly Analysis[]
  readonly analysis: Analysis
  /** Of the tester’s own. */
  readonly limits: readonly JudgedLimit[]
  readonly chosenStep?: string | undefined
  /** Drawn at once, for print. */
  readonly onChoose?: (step: string) => void
}

/** Efficiency and losses of the rig revision on screen, the other revisions drawn over. */
export function LadderCharts({ title, analyses, analysis, limits, chosenStep, onChoose }: Props) {
  const target = claimedValue(analysis.record.revision.unit, 'efficiency')
  const breaks = useMemo(
    () => limits.flatMap(({ broken: [first] }) => (first && isFigure(first.P_C) ? [first.P_C.x.value] : [])),
    [limits],
  )
  const buildEfficiency = useCallback(
    (theme: ChartTheme) =>
      efficiencyChart({ analyses, chosen: analysis, chosenStep, claim: target, breaks }, theme),
    [analyses, analysis, chosenStep, target, breaks],
  )
  const buildLoss = useCallback(
    (theme: ChartTheme) => lossChart(analysis, chosenStep, theme),
    [analysis, chosenStep],
  )
  const told = toldBy(analysis.ladder)
  const hasLoss = analysis.ladder.steps.some((step) => isFigure(step.P_C) && isFigure(told.loss(step)))
  const hasEfficiency = analyses.some(({ ladder }) =>
    ladder.steps.some((step) => isFigure(told.efficiency(step))),
  )
  if (!analysis.ladder.steps.length) return null
  if (!hasEfficiency && !hasLoss)
    return (
      <p className="text-quiet mt-3">
        No efficiency and no losses to draw yet: they need watts in and watts out, read at one step.
      </p>
    )
  const name = `${title} rig ${analysis.record.revision.number}`
  return (
    <div className="mt-3 grid gap-6 lg:grid-cols-2 print:grid-cols-2 print:[zoom:0.75]">
      <LazyChart
        title="Efficiency against output"
        description="Efficiency in per cent against output watts, with band, points and error bars, from B to C; dashed from A to C."
        fileName={`${name} efficiency`}
        height={efficiencyHeight}
        build={buildEfficiency}
        legend={(theme) => efficiencyLegend(analyses, analysis, theme, breaks)}
        onPick={onChoose}
      />
      <LazyChart
        title={`Where the watts went, rig ${analysis.record.revision.number}`}
        description="Watts lost in unit, leads and joints by step."
        fileName={`${name} losses`}
        height={lossHeight}
        build={buildLoss}
        legend={(theme) => lossLegend(analysis, theme)}
        onPick={onChoose}
      />
    </div>
  )
}
