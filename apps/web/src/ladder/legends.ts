import { hasFit, isFigure, toldBy, type Analysis } from '@even-watt/core'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

/** What the efficiency chart draws, each mark once; empty where there is nothing to draw. */
export function efficiencyLegend(
  analyses: readonly Analysis[],
  chosen: Analysis,
  theme: ChartTheme,
  breaks: readonly number[] = [],
): LegendEntry[] {
  const { of, fit, efficiency } = toldBy(chosen.ladder)
  const unit = of === 'unit'
  const read = [chosen, ...analyses].some(({ ladder }) =>
    ladder.steps.some((step) => isFigure(efficiency(step))),
  )
  if (!read) return []
  const others = analyses.filter((analysis) => analysis !== chosen)
  return [
    { words: 'a step as read, with its U', look: 'point', colour: theme.ink, fill: theme.ground },
    ...(hasFit(fit)
      ? ([
          {
            words: unit ? 'the unit, B to C' : 'unit and leads, A to C',
            look: 'line',
            colour: unit ? theme.petrol : theme.copper,
          },
          {
            words: 'how far it may be off; darker: apart from what all readings share',
            look: 'band',
            colour: theme.petrol,
            fill: unit ? theme.petrolSoft : theme.copperSoft,
          },
          {
            words: 'carried on past the readings: a guess',
            look: 'dots',
            colour: unit ? theme.petrol : theme.copper,
          },
        ] as const)
      : ([
          {
            words: 'steps joined: not yet a curve',
            look: 'dots',
            colour: unit ? theme.petrol : theme.copper,
          },
        ] as const)),
    ...(unit && analyses.some(({ ladder }) => hasFit(ladder.systemFit))
      ? ([{ words: 'with its leads, A to C', look: 'dashes', colour: theme.copper }] as const)
      : []),
    ...(others.some(({ ladder }) => hasFit(ladder.unitFit))
      ? ([{ words: 'the unit on another rig', look: 'thin line', colour: theme.petrol }] as const)
      : []),
    ...(breaks.length
      ? ([
          { words: 'from here on a limit of your own is broken', look: 'dashes', colour: theme.madder },
        ] as const)
      : []),
  ]
}

/** What the bars of the loss chart are made of; empty where no loss is known. */
export function lossLegend(chosen: Analysis, theme: ChartTheme): LegendEntry[] {
  const told = toldBy(chosen.ladder)
  if (!chosen.ladder.steps.some((step) => isFigure(step.P_C) && isFigure(told.loss(step)))) return []
  const unit = { look: 'bar', colour: theme.plum, fill: theme.plumSoft } as const
  return told.of === 'unit'
    ? [
        { words: 'unit', ...unit },
        { words: 'leads', look: 'bar', colour: theme.copper, fill: theme.copperSoft },
        { words: 'joints', look: 'bar', colour: theme.madder, fill: theme.madder },
      ]
    : [{ words: 'unit and leads', ...unit }]
}
