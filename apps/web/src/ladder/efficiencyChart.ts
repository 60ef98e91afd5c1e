import {
  usualCoverage,
  efficiencyAt,
  expanded,
  formatNumber,
  hasFit,
  independent,
  isFigure,
  peakOf,
  toldBy,
  type Analysis,
  type Derived,
  type LossFit,
  type Told,
  type Uncertain,
} from '@even-watt/core'
import { apart } from '../ui/chart/apart'
import { axis } from '../ui/chart/axis'
import { escapeText, saidOnHover } from '../ui/chart/hover'
import type {
  ChartOption,
  CustomSeriesOption,
  LineSeriesOption,
  ScatterSeriesOption,
} from '../ui/chart/engine'
import type { ChartTheme } from '../ui/chart/theme'

type Point = [x: number, y: number]
type Series = LineSeriesOption | ScatterSeriesOption | CustomSeriesOption

const samples = 120

/** Loads to draw a curve at, dense where it bends, with both sides of every change of the fan. */
function loadsBetween(fit: LossFit, from: number, to: number): number[] {
  const even = Array.from({ length: samples + 1 }, (_, i) => from + (to - from) * (i / samples) ** 2)
  const edges = fit.regimes.map((regime) => regime.to).filter((edge) => edge > from && edge < to)
  return [...even, ...edges.flatMap((edge) => [edge * 0.9999, edge])].sort((a, b) => a - b)
}

const percent = (x: number) => x * 100

const curve = (fit: LossFit, from: number, to: number): Point[] =>
  loadsBetween(fit, from, to).map((P) => [P, percent(efficiencyAt(fit, P).value)])

/** Height of the chart, and of what frames its plot, px. */
export const efficiencyHeight = 240
const frame = { top: 22, bottom: 40 }

/** Half the inner band: what bends a curve and tells steps apart, without the factors common to all readings. */
const innerHalf = (x: Uncertain): number => usualCoverage * independent(x)

interface Wanted {
  readonly analyses: readonly Analysis[]
  readonly chosen: Analysis
  readonly chosenStep: string | undefined
  /** A claimed efficiency, as a fraction. */
  readonly claim: number | undefined
  /** W at which limits of the tester’s own are broken first. */
  readonly breaks?: readonly number[]
}

/**
 * Efficiency against output watts: the chosen revision with its bands, points and error bars (the inner ones without
 * what the readings have in common); without a curve its points joined; where only the posts were read, from them on; the others drawn over it as plain lines; the system dashed in copper; dotted beyond the measured range.
 */
export function efficiencyChart(
  { analyses, chosen, chosenStep, claim, breaks = [] }: Wanted,
  theme: ChartTheme,
): ChartOption {
  const series: Series[] = []
  const line = (data: Point[], more: LineSeriesOption): LineSeriesOption => ({
    type: 'line',
    data,
    symbol: 'none',
    silent: true,
    ...more,
  })
  const revisionWords = (analysis: Analysis) =>
    analyses.length > 1 ? `, rig ${analysis.record.revision.number}` : ''
  const told = toldBy(chosen.ladder)
  const { fit } = told
  const hue = told.of === 'unit' ? theme.petrol : theme.copper
  const points = [chosen, ...analyses].flatMap(({ ladder }) => pointsOf(ladder, told.efficiency))
  const top = Math.max(...points.map(([P]) => P), ...(hasFit(fit) ? [fit.high] : []), 1)
  const worst = Math.min(...points.map(([, eta]) => eta), claim === undefined ? 100 : percent(claim))
  const floor = Math.max(0, Math.floor((Math.max(worst, 50) - 4) / 5) * 5)

  if (hasFit(fit)) {
    const inside = loadsBetween(fit, fit.low, fit.high).map((P) => [P, efficiencyAt(fit, P)] as const)
    const band = (stack: string, half: (eta: Uncertain) => number, opacity: number) => [
      line(
        inside.map(([P, eta]) => [P, percent(eta.value - half(eta))]),
        { stack, lineStyle: { opacity: 0 } },
      ),
      line(
        inside.map(([P, eta]) => [P, percent(2 * half(eta))]),
        {
          stack,
          lineStyle: { opacity: 0 },
          areaStyle: { color: told.of === 'unit' ? theme.petrolSoft : theme.copperSoft, opacity },
        },
      ),
    ]
    series.push(...band('all parts', expanded, 0.5), ...band('independent parts', innerHalf, 1))
  } else {
    const read = pointsOf(chosen.ladder, told.efficiency).sort(([a], [b]) => a - b)
    series.push(line(read, { lineStyle: { color: hue, width: 1, type: 'dotted' } }))
  }
  for (const analysis of analyses) {
    if (hasFit(analysis.ladder.systemFit) && !(analysis === chosen && told.of !== 'unit')) {
      series.push(
        line(
          curve(analysis.ladder.systemFit, analysis.ladder.systemFit.low, analysis.ladder.systemFit.high),
          {
            lineStyle: { color: theme.copper, width: analysis === chosen ? 2 : 1, type: 'dashed' },
            endLabel: endLabel(`A to C${revisionWords(analysis)}`, theme.copper, theme),
          },
        ),
      )
    }
  }
  for (const analysis of analyses) {
    if (analysis !== chosen && hasFit(analysis.ladder.unitFit)) {
      series.push(
        line(curve(analysis.ladder.unitFit, analysis.ladder.unitFit.low, analysis.ladder.unitFit.high), {
          lineStyle: { color: theme.petrol, width: 1 },
          endLabel: endLabel(`unit${revisionWords(analysis)}`, theme.petrol, theme),
        }),
      )
    }
  }
  if (hasFit(fit)) {
    series.push(
      line(curve(fit, fit.low, fit.high), {
        lineStyle: { color: hue, width: 2.5 },
        endLabel: endLabel(`${told.of === 'unit' ? 'unit' : 'A to C'}${revisionWords(chosen)}`, hue, theme),
      }),
      line(curve(fit, fit.low * 0.4, fit.low), {
        lineStyle: { color: hue, width: 1.5, type: 'dotted' },
      }),
    )
  }
  if (claim !== undefined) {
    series.push(
      line(
        [
          [0, percent(claim)],
          [top, percent(claim)],
        ],
        {
          lineStyle: { color: theme.ink, width: 1, type: 'dotted' },
          label: { show: false },
          endLabel: endLabel('claim', theme.ink, theme),
        },
      ),
    )
  }
  for (const watts of new Set(breaks))
    series.push(
      line(
        [
          [watts, floor],
          [watts, 100],
        ],
        { lineStyle: { color: theme.madder, width: 1, type: 'dashed' } },
      ),
    )
  keepLabelsApart(series, 100 - floor)
  series.push(errorBars(chosen, told, theme), measuredPoints(chosen, told, chosenStep, theme))
  const peak = hasFit(fit) ? peakOf(fit) : undefined
  if (peak) series.push(peakMark(peak.P.value, percent(peak.eta.value), theme))

  return {
    textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
    grid: { left: 44, right: 96, ...frame },
    tooltip: saidOnHover(theme),
    xAxis: axis('output, W', theme, {
      min: 0,
      max: Math.ceil((top * 1.02) / 50) * 50,
      splitLine: { show: false },
    }),
    yAxis: axis('efficiency, %', theme, {
      min: floor,
      max: 100,
      splitLine: { lineStyle: { color: theme.rule } },
    }),
    series,
  }
}

/** Moves the labels at the ends of lines so that none covers another; the plot spans so many per cent. */
function keepLabelsApart(series: readonly Series[], span: number): void {
  const labelled = series.flatMap((one) => {
    const last = one.type === 'line' && one.endLabel ? (one.data as Point[]).at(-1) : undefined
    return one.type === 'line' && last ? [{ one, y: last[1] }] : []
  })
  const plot = efficiencyHeight - frame.top - frame.bottom
  const moved = apart(labelled.map(({ y }) => ((100 - y) / span) * plot))
  labelled.forEach(({ one }, i) => (one.endLabel = { ...one.endLabel, offset: [0, moved[i] ?? 0] }))
}

const endLabel = (words: string, color: string, theme: ChartTheme) => ({
  show: true,
  formatter: words,
  color,
  fontFamily: theme.words,
  fontSize: 12,
  distance: 10,
})

const pointsOf = ({ steps }: Analysis['ladder'], efficiency: Told['efficiency']): Point[] =>
  steps.flatMap((step): Point[] => {
    const eta = efficiency(step)
    return isFigure(step.P_C) && isFigure(eta) ? [[step.P_C.x.value, percent(eta.x.value)]] : []
  })

function measuredPoints(
  analysis: Analysis,
  { efficiency }: Told,
  chosenStep: string | undefined,
  theme: ChartTheme,
): ScatterSeriesOption {
  return {
    type: 'scatter',
    symbolSize: 8,
    z: 10,
    data: analysis.ladder.steps.flatMap((step) => {
      const figure = efficiency(step)
      if (!isFigure(step.P_C) || !isFigure(figure)) return []
      const [P, eta] = [step.P_C.x.value, percent(figure.x.value)]
      const chosen = step.step.id === chosenStep
      return [
        {
          value: [P, eta],
          key: step.step.id,
          said: `${escapeText(step.load)}<br>${formatNumber(P, 0)} W, ${formatNumber(eta, 1)} ± ${formatNumber(percent(expanded(figure.x)), 1)} %`,
          symbolSize: chosen ? 13 : 8,
          itemStyle: { color: chosen ? theme.ink : theme.ground, borderColor: theme.ink, borderWidth: 1.5 },
        },
      ]
    }),
  }
}

function errorBars(analysis: Analysis, { efficiency }: Told, theme: ChartTheme): CustomSeriesOption {
  const bar = (P: Derived, eta: Derived) =>
    isFigure(P) && isFigure(eta)
      ? [expanded(eta.x), innerHalf(eta.x)].map((half, inner) => [
          P.x.value,
          percent(eta.x.value - half),
          percent(eta.x.value + half),
          inner,
        ])
      : []
  return {
    type: 'custom',
    silent: true,
    z: 9,
    clip: true,
    data: analysis.ladder.steps.flatMap((step) => bar(step.P_C, efficiency(step))),
    encode: { x: 0, y: [1, 2] },
    renderItem: (_parameters, tools) => {
      const low = tools.coord([tools.value(0), tools.value(1)])
      const high = tools.coord([tools.value(0), tools.value(2)])
      const [x = 0, y1 = 0] = low
      const [, y2 = 0] = high
      return {
        type: 'line',
        shape: { x1: x, y1, x2: x, y2 },
        style: { stroke: theme.ink, lineWidth: tools.value(3) ? 3 : 1.2 },
      }
    },
  }
}

function peakMark(P: number, eta: number, theme: ChartTheme): ScatterSeriesOption {
  return {
    type: 'scatter',
    silent: true,
    symbol: 'triangle',
    symbolRotate: 180,
    z: 12,
    symbolSize: 9,
    symbolOffset: [0, -9],
    itemStyle: { color: theme.petrol },
    label: {
      show: true,
      position: 'top',
      formatter: `peak ${formatNumber(eta, 1)} % at ${formatNumber(P, 0)} W`,
      color: theme.ink,
      fontWeight: 'bold',
      fontFamily: theme.words,
    },
    data: [[P, eta]],
  }
}
