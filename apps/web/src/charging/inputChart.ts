import { say, type InputPoint } from '@even-watt/core'
import { against } from '../ui/chart/against'
import type { ChartOption } from '../ui/chart/engine'
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
    const { frame, level } = against(theme, {
      x: { name: 'input, V', most: right },
      y: { name: 'power, W', most: top },
    })
    return {
      ...frame,
      series: [
        ...(promised === undefined ? [] : [level(promised)]),
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
