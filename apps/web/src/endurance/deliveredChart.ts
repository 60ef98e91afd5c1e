import { plain, say } from '@even-watt/core'
import { axis, roundEnd } from '../ui/chart/axis'
import type { ChartOption } from '../ui/chart/engine'
import { saidOnHover } from '../ui/chart/hover'
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
    const figures = {
      color: theme.ink,
      fontFamily: theme.figures,
      formatter: (value: number) => plain(Number(value.toPrecision(4))),
    }
    return {
      textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
      grid: { left: 58, right: 20, top: 16, bottom: 40 },
      tooltip: saidOnHover(theme),
      xAxis: {
        ...axis('load, W', theme, { min: 0, max: roundEnd(most, most, 'up'), splitLine: { show: false } }),
        nameGap: 24,
        axisLabel: figures,
      },
      yAxis: axis('energy, Wh', theme, {
        min: 0,
        max: roundEnd(top, top, 'up'),
        nameGap: 44,
        splitLine: { lineStyle: { color: theme.rule } },
        axisLabel: figures,
      }),
      series: [
        ...(label === undefined
          ? []
          : [
              {
                type: 'line' as const,
                silent: true,
                showSymbol: false,
                data: [
                  [0, label],
                  [roundEnd(most, most, 'up'), label],
                ],
                lineStyle: { color: theme.ink, width: 1, type: 'dashed' as const },
              },
            ]),
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
