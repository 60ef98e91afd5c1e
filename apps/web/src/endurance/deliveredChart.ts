import { say } from '@even-watt/core'
import { against } from '../ui/chart/against'
import type { ChartOption } from '../ui/chart/engine'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

export interface Delivered {
  readonly watts: number
  readonly Wh: number
  /** It was ended before it was empty. */
  readonly stopped: boolean
}

export const deliveredHeight = 240

/** Delivered watt-hours against load; what was ended early is hollow. */
export const deliveredChart =
  (points: readonly Delivered[], label: number | undefined) =>
  (theme: ChartTheme): ChartOption => {
    const most = Math.max(...points.map(({ watts }) => watts)) * 1.25
    const top = Math.max(label ?? 0, ...points.map(({ Wh }) => Wh)) * 1.12
    const { frame, level } = against(theme, {
      x: { name: 'load, W', most },
      y: { name: 'energy, Wh', most: top },
    })
    return {
      ...frame,
      series: [
        ...(label === undefined ? [] : [level(label)]),
        {
          type: 'line',
          symbol: 'circle',
          symbolSize: 10,
          data: points.map(({ watts, Wh, stopped }) => ({
            value: [watts, Wh],
            said: `${say(Wh, 'Wh')} at ${say(watts, 'W')}${stopped ? ', ended early' : ''}`,
            itemStyle: {
              color: stopped ? theme.ground : theme.petrol,
              borderColor: theme.petrol,
              borderWidth: 1.5,
            },
          })),
          lineStyle: { color: theme.petrol, width: 1.5 },
        },
      ],
    }
  }

export const deliveredLegend =
  (label: boolean) =>
  (theme: ChartTheme): LegendEntry[] => [
    {
      words: 'given at the outlet until it was empty',
      look: 'point',
      colour: theme.petrol,
      fill: theme.petrol,
    },
    { words: 'ended early', look: 'point', colour: theme.petrol, fill: theme.ground },
    ...(label ? [{ words: 'on the label', look: 'dashes' as const, colour: theme.ink }] : []),
  ]
