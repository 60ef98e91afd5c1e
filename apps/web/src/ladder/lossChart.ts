import {
  isFigure,
  pathLosses,
  say,
  toldBy,
  type Analysis,
  type Derived,
  type StepFigures,
} from '@even-watt/core'
import { apart as spread } from '../ui/chart/apart'
import { axis } from '../ui/chart/axis'
import { escapeText, saidOnHover } from '../ui/chart/hover'
import type { BarSeriesOption, ChartOption } from '../ui/chart/engine'
import type { ChartTheme } from '../ui/chart/theme'

const watts = (derived: Derived): number => (isFigure(derived) ? Math.max(0, derived.x.value) : 0)

interface Lost {
  readonly step: StepFigures
  readonly path: ReturnType<typeof pathLosses>
}

interface Part {
  readonly words: string
  readonly of: (lost: Lost) => number
  readonly fill: (theme: ChartTheme) => string
  readonly stroke: (theme: ChartTheme) => string
}

/** Lost in the unit, in the leads and what is fused or switched in them, and in the joints between. */
const apart: readonly Part[] = [
  {
    words: 'unit',
    of: ({ step }) => watts(step.P_loss),
    fill: (theme) => theme.plumSoft,
    stroke: (theme) => theme.plum,
  },
  {
    words: 'leads',
    of: ({ step, path }) => Math.min(watts(path.leads.watts), watts(step.P_path)),
    fill: (theme) => theme.copperSoft,
    stroke: (theme) => theme.copper,
  },
  {
    words: 'joints',
    of: ({ path }) => watts(path.joints.watts),
    fill: (theme) => theme.madder,
    stroke: (theme) => theme.madder,
  },
]

/** Where only the posts were read, unit and leads together. */
const whole = {
  words: 'unit and leads',
  fill: (theme: ChartTheme) => theme.plumSoft,
  stroke: (theme: ChartTheme) => theme.plum,
}

/** Height of the chart, and of what frames its plot, px. */
export const lossHeight = 240
const frame = { top: 22, bottom: 40 }

/** "oven low, 626 W: unit 46.2 W, leads 3.11 W" */
const saidOf = (lost: Lost, parts: readonly Part[]): string =>
  `${escapeText(lost.step.load)}, ${say(watts(lost.step.P_C), 'W')}<br>${parts
    .map((part) => `${part.words} ${say(part.of(lost), 'W')}`)
    .join('<br>')}`

/** How far the labels beside the last bar move so that none covers another, px; in the order of the parts. */
function labelsMoved(parts: readonly Part[], last: Lost, steps: readonly Lost[]): number[] {
  const total = (lost: Lost) => parts.reduce((sum, part) => sum + part.of(lost), 0)
  const most = Math.max(...steps.map(total), 1e-9)
  const plot = lossHeight - frame.top - frame.bottom
  let below = 0
  const middles = parts.map((part) => {
    const middle = below + part.of(last) / 2
    below += part.of(last)
    return plot * (1 - middle / most)
  })
  const labelled = parts.flatMap((part, i) => (part.of(last) > 0 ? [i] : []))
  const moves = spread(labelled.map((i) => middles[i] ?? 0))
  return parts.map((_, i) => moves[labelled.indexOf(i)] ?? 0)
}

/** Input power lost in unit, leads and joints against load, by step; bars start at zero, for their length is the size. */
export function lossChart(
  analysis: Analysis,
  chosenStep: string | undefined,
  theme: ChartTheme,
): ChartOption {
  const { supply, record } = analysis
  const told = toldBy(analysis.ladder)
  const parts = told.of === 'unit' ? apart : [{ ...whole, of: ({ step }: Lost) => watts(told.loss(step)) }]
  const steps = analysis.ladder.steps
    .filter((step) => isFigure(step.P_C) && isFigure(told.loss(step)))
    .map((step): Lost => ({ step, path: pathLosses(step, supply, record.revision.rig) }))
  const last = steps.at(-1)
  const moved = last ? labelsMoved(parts, last, steps) : []
  return {
    textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
    grid: { left: 48, right: 92, ...frame },
    xAxis: {
      type: 'category',
      data: steps.map(({ step }) => String(Math.round(watts(step.P_C)))),
      name: 'output, W, by step',
      nameLocation: 'middle',
      nameGap: 24,
      nameTextStyle: { color: theme.quiet },
      axisLine: { lineStyle: { color: theme.ink } },
      axisTick: { show: false },
      axisLabel: { color: theme.ink, fontFamily: theme.figures },
    },
    yAxis: axis('lost, W', theme, { min: 0, splitLine: { lineStyle: { color: theme.rule } } }),
    tooltip: saidOnHover(theme),
    series: parts.map((part, i): BarSeriesOption => ({
      type: 'bar',
      stack: 'lost',
      barMaxWidth: 44,
      data: steps.map((lost) => ({
        value: part.of(lost),
        key: lost.step.step.id,
        said: saidOf(lost, parts),
        itemStyle: {
          color: part.fill(theme),
          borderColor: lost.step.step.id === chosenStep ? theme.ink : part.stroke(theme),
          borderWidth: lost.step.step.id === chosenStep ? 2 : 1,
        },
        label:
          lost === last && part.of(lost) > 0
            ? {
                show: true,
                position: 'right',
                distance: 6,
                offset: [0, moved[i] ?? 0],
                color: part.stroke(theme),
                backgroundColor: theme.ground,
                padding: [0, 2],
                fontFamily: theme.words,
                formatter: `${part.words} ${say(part.of(lost), 'W')}`,
              }
            : { show: false },
      })),
    })),
  }
}
