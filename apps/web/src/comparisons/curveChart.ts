import { efficiencyAt, hasFit, lossAt, say, type Compared } from '@even-watt/core'
import type { ChartOption } from '../ui/chart/engine'
import type { ChartTheme } from '../ui/chart/theme'
import { linesChart, type Line } from './lines'

export const curveHeight = 280
const samples = 90

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

/** The curves of all that have one, each over what was measured of it. */
export const curveLines = (list: readonly Compared[], kind: CurveKind): Line[] => {
  const { at, said } = curves[kind]
  return list.flatMap(({ name, analysis }, place) => {
    const { unitFit } = analysis.ladder
    if (!hasFit(unitFit)) return []
    const { low, high } = unitFit
    const points = Array.from({ length: samples + 1 }, (_, k) => {
      const x = low + (high - low) * (k / samples) ** 2
      const y = at(unitFit, x)
      return { x, y, said: `${say(x, 'W')}, ${said(y)}` }
    })
    return [{ name, place, points }]
  })
}

/** Curves of several units over each other at equal output. */
export const curveChart = (
  list: readonly Compared[],
  kind: CurveKind,
): ((theme: ChartTheme) => ChartOption) => {
  const { words } = curves[kind]
  const lines = curveLines(list, kind)
  const ys = lines.flatMap(({ points }) => points.map(({ y }) => y))
  return linesChart(lines, {
    x: { name: 'output, W', most: Math.max(...lines.flatMap(({ points }) => points.map(({ x }) => x)), 1) },
    y:
      kind === 'efficiency'
        ? { name: words, least: Math.max(0, Math.min(...ys) - 1), most: Math.min(100, Math.max(...ys) + 1) }
        : { name: words, most: Math.max(...ys, 1) },
  })
}
