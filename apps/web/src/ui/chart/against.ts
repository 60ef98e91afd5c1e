import { plain, shortened } from '@even-watt/core'
import { axis, roundEnd } from './axis'
import type { ChartOption, LineSeriesOption } from './engine'
import { saidOnHover } from './hover'
import type { ChartTheme } from './theme'

interface Against {
  readonly x: { readonly name: string; readonly most: number; readonly span?: number }
  readonly y: { readonly name: string; readonly least?: number; readonly most: number }
}

/** What every plain drawing of one figure against another shares: axes with round ends, words, what is said on hover. */
export function against(theme: ChartTheme, { x, y }: Against) {
  const figures = {
    color: theme.ink,
    fontFamily: theme.figures,
    formatter: (value: number) => plain(shortened(value, 4)),
  }
  const right = roundEnd(x.most, x.span ?? x.most, 'up')
  const frame: ChartOption = {
    textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
    grid: { left: 58, right: 20, top: 16, bottom: 40 },
    tooltip: saidOnHover(theme),
    xAxis: {
      ...axis(x.name, theme, { min: 0, max: right, splitLine: { show: false } }),
      nameGap: 24,
      axisLabel: figures,
    },
    yAxis: axis(y.name, theme, {
      min: y.least === undefined ? 0 : roundEnd(y.least, y.most - y.least, 'down'),
      max: roundEnd(y.most, y.most - (y.least ?? 0), 'up'),
      nameGap: 44,
      splitLine: { lineStyle: { color: theme.rule } },
      axisLabel: figures,
    }),
  }
  /** A dashed level across the whole drawing. */
  const level = (at: number): LineSeriesOption => ({
    type: 'line',
    silent: true,
    showSymbol: false,
    data: [
      [0, at],
      [right, at],
    ],
    lineStyle: { color: theme.ink, width: 1, type: 'dashed' },
  })
  return { frame, level }
}
