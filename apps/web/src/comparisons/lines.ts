import { against } from '../ui/chart/against'
import type { ChartOption } from '../ui/chart/engine'
import { escapeText } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

/** One of what is compared, as a line of a drawing. */
export interface Line {
  readonly name: string
  /** Its place in what is compared, so that it looks alike in every drawing. */
  readonly place: number
  readonly points: readonly { readonly x: number; readonly y: number; readonly said: string }[]
}

interface Axes {
  readonly x: { readonly name: string; readonly most: number; readonly logarithmic?: boolean }
  readonly y: { readonly name: string; readonly least?: number; readonly most: number }
  /** Single readings are marked; a computed curve is not. */
  readonly marked?: boolean
}

const dashes = ['solid', 'dashed', 'dotted'] as const
const looks = { solid: 'line', dashed: 'dashes', dotted: 'dots' } as const

/** Outputs are petrol; a second hue and dashes tell up to eight apart, and the legend names them. */
const lookOf = (place: number, theme: ChartTheme) => ({
  colour: [theme.petrol, theme.ink, theme.plum][place % 3] ?? theme.ink,
  type: dashes[Math.floor(place / 3) % 3] ?? 'solid',
})

/** Lines of several units over each other. */
export const linesChart =
  (lines: readonly Line[], { x, y, marked = false }: Axes) =>
  (theme: ChartTheme): ChartOption => {
    const { frame } = against(theme, { x, y })
    const least = Math.min(...lines.flatMap(({ points }) => points.map((point) => point.x)))
    return {
      ...frame,
      ...(x.logarithmic
        ? { xAxis: { ...frame.xAxis, type: 'log', min: 10 ** Math.floor(Math.log10(least)), max: x.most } }
        : {}),
      series: lines.map(({ name, place, points }) => {
        const { colour, type } = lookOf(place, theme)
        return {
          type: 'line',
          showSymbol: marked,
          symbol: 'circle',
          symbolSize: marked ? 7 : 6,
          data: points.map(({ x: across, y: up, said }) => ({
            value: [across, up],
            said: `${escapeText(name)}: ${said}`,
          })),
          itemStyle: { color: colour },
          lineStyle: { color: colour, width: 2, type },
        }
      }),
    } as ChartOption
  }

export const linesLegend =
  (lines: readonly Pick<Line, 'name' | 'place'>[]) =>
  (theme: ChartTheme): LegendEntry[] =>
    lines.map(({ name, place }) => {
      const { colour, type } = lookOf(place, theme)
      return { words: name, look: looks[type], colour }
    })
