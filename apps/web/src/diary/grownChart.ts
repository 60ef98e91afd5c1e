import { say, type Growth } from '@even-watt/core'
import { against } from '../ui/chart/against'
import type { ChartOption } from '../ui/chart/engine'
import type { ChartTheme } from '../ui/chart/theme'

export const grownHeight = 220

/** A figure of a unit's life over its days. */
export const grownChart =
  ({ points }: Growth, name: string, unit: string) =>
  (theme: ChartTheme): ChartOption => {
    const { frame } = against(theme, {
      x: { name: 'days in its diary', most: Math.max(1, ...points.map(({ days }) => days)) },
      y: { name, most: Math.max(1, ...points.map(({ value }) => value)) },
    })
    return {
      ...frame,
      series: [
        {
          type: 'line',
          symbol: 'circle',
          symbolSize: 9,
          data: points.map(({ days, value, on }) => ({
            value: [days, value],
            said: `${say(value, unit)} on ${on}`,
          })),
          itemStyle: { color: theme.petrol },
          lineStyle: { color: theme.petrol, width: 1.5 },
        },
      ],
    }
  }
