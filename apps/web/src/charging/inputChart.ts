import { plain, say, type InputPoint } from '@even-watt/core'
import { axis, roundEnd } from '../ui/chart/axis'
import type { ChartOption } from '../ui/chart/engine'
import { saidOnHover } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

export const inputHeight = 240

/** Watts that an input takes against its volts. */
export const inputChart =
  (points: readonly InputPoint[], promised: number | undefined) =>
  (theme: ChartTheme): ChartOption => {
    const read = points.flatMap(({ volts, watts }) => (volts === undefined ? [] : [{ volts, watts }]))
    const top = Math.max(promised ?? 0, ...read.map(({ watts }) => watts)) * 1.15
    const right = Math.max(...read.map(({ volts }) => volts), 1) * 1.1
    const figures = {
      color: theme.ink,
      fontFamily: theme.figures,
      formatter: (value: number) => plain(Number(value.toPrecision(4))),
    }
    return {
      textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
      grid: { left: 52, right: 20, top: 14, bottom: 40 },
      tooltip: saidOnHover(theme),
      xAxis: {
        ...axis('input, V', theme, { min: 0, max: roundEnd(right, right, 'up'), splitLine: { show: false } }),
        nameGap: 24,
        axisLabel: figures,
      },
      yAxis: axis('power, W', theme, {
        min: 0,
        max: roundEnd(top, top, 'up'),
        nameGap: 40,
        splitLine: { lineStyle: { color: theme.rule } },
        axisLabel: figures,
      }),
      series: [
        ...(promised === undefined
          ? []
          : [
              {
                type: 'line' as const,
                silent: true,
                showSymbol: false,
                data: [
                  [0, promised],
                  [roundEnd(right, right, 'up'), promised],
                ],
                lineStyle: { color: theme.ink, width: 1, type: 'dashed' as const },
              },
            ]),
        {
          type: 'line',
          symbol: 'circle',
          symbolSize: 8,
          data: read.map(({ volts, watts }) => ({
            value: [volts, watts],
            said: `${say(watts, 'W')} at ${say(volts, 'V')}`,
          })),
          itemStyle: { color: theme.copper },
          lineStyle: { color: theme.copper, width: 1.5 },
        },
      ],
    }
  }

export const inputLegend =
  (promised: boolean) =>
  (theme: ChartTheme): LegendEntry[] => [
    { words: 'taken', look: 'point', colour: theme.copper, fill: theme.copper },
    ...(promised ? [{ words: 'on the label', look: 'dashes' as const, colour: theme.ink }] : []),
  ]
