import { efficiencyAt, hasFit, lossAt, say, type Compared } from '@even-watt/core'
import { against } from '../ui/chart/against'
import type { ChartOption } from '../ui/chart/engine'
import { escapeText } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

export const curveHeight = 280
const samples = 90

const dashes = ['solid', 'dashed', 'dotted'] as const
const looks = { solid: 'line', dashed: 'dashes', dotted: 'dots' } as const

/** Outputs are petrol; a second hue and dashes tell up to eight apart, and the legend names them. */
const lookOf = (i: number, theme: ChartTheme) => ({
  colour: [theme.petrol, theme.ink, theme.plum][i % 3] ?? theme.ink,
  type: dashes[Math.floor(i / 3) % 3] ?? 'solid',
})

const curves = {
  efficiency: {
    words: 'efficiency, %',
    at: (fit: Parameters<typeof efficiencyAt>[0], P: number) => 100 * efficiencyAt(fit, P).value,
    said: (y: number) => say(y, '%', 4),
  },
  losses: {
    words: 'lost in the unit, W',
    at: (fit: Parameters<typeof efficiencyAt>[0], P: number) => lossAt(fit, P).value,
    said: (y: number) => say(y, 'W'),
  },
} as const
export type CurveKind = keyof typeof curves

/** Curves of several units over each other at equal output, each over what was measured of it. */
export const curveChart =
  (list: readonly Compared[], kind: CurveKind) =>
  (theme: ChartTheme): ChartOption => {
    const { words, at, said } = curves[kind]
    const lines = list.flatMap((one, i) => {
      const { unitFit } = one.analysis.ladder
      if (!hasFit(unitFit)) return []
      const { low, high } = unitFit
      const points = Array.from({ length: samples + 1 }, (_, k): [number, number] => {
        const P = low + (high - low) * (k / samples) ** 2
        return [P, at(unitFit, P)]
      })
      return [{ one, points, look: lookOf(i, theme) }]
    })
    const ys = lines.flatMap(({ points }) => points.map(([, y]) => y))
    const most = Math.max(...lines.flatMap(({ points }) => points.map(([P]) => P)), 1)
    const { frame } = against(theme, {
      x: { name: 'output, W', most },
      y:
        kind === 'efficiency'
          ? { name: words, least: Math.max(0, Math.min(...ys) - 1), most: Math.min(100, Math.max(...ys) + 1) }
          : { name: words, most: Math.max(...ys, 1) },
    })
    return {
      ...frame,
      series: lines.map(({ one, points, look }) => ({
        type: 'line',
        showSymbol: false,
        symbol: 'circle',
        symbolSize: 6,
        data: points.map(([P, y]) => ({
          value: [P, y],
          said: `${escapeText(one.name)}: ${say(P, 'W')}, ${said(y)}`,
        })),
        itemStyle: { color: look.colour },
        lineStyle: { color: look.colour, width: 2, type: look.type },
      })),
    }
  }

export const curveLegend =
  (list: readonly Compared[]) =>
  (theme: ChartTheme): LegendEntry[] =>
    list.flatMap((one, i) => {
      if (!hasFit(one.analysis.ladder.unitFit)) return []
      const { colour, type } = lookOf(i, theme)
      return [{ words: one.name, look: looks[type], colour }]
    })
