import {
  degrees,
  describeQuantity,
  plain,
  say,
  shortened,
  type Log,
  type LoggedSeries,
  type Point,
} from '@even-watt/core'
import { axis, roundEnd } from '../ui/chart/axis'
import type { ChartOption, LineSeriesOption } from '../ui/chart/engine'
import { escapeText, saidOnHover } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'
import { unitOf } from '../ui/units'

/** A line of the chart: its points, and where it was looked at closely the lowest and highest around them. */
export interface Line {
  readonly key: string
  readonly words: string
  readonly unit: string
  readonly points: readonly Point[]
  readonly low?: readonly Point[]
  readonly high?: readonly Point[]
  readonly dots: boolean
}

/** Groups of what shares an axis. */
const axisNames = {
  W: 'power',
  V: 'volts',
  A: 'amps',
  '°C': 'temperature',
  '%': 'charge',
  'W/m²': 'light',
  'dB(A)': 'noise',
} as const
export type Group = keyof typeof axisNames
const groups = Object.keys(axisNames) as Group[]

/** Counters only rise: their energy stands in the figures. */
const counters: ReadonlySet<string> = new Set(['E_B', 'Q_B', 'E_C', 'E_wall', 'E_in'])

/** Names of batteries and parts of a rig by their ids. */
export type NameOf = (id: string) => string | undefined

export const keyOfSeries = ({ quantity, battery, place, from, meters }: LoggedSeries): string =>
  [quantity, battery, place, from, meters[0]].join('|')

/** What the key of the series of a file’s column begins with. */
export const keyOfColumn = ({
  quantity,
  battery,
  place,
}: Pick<LoggedSeries, 'quantity' | 'battery' | 'place'>): string =>
  [quantity, battery, place, 'file'].join('|')

export const wordsOfSeries = (series: LoggedSeries, nameOf: NameOf): string => {
  const { quantity, battery, place, product } = series
  const { words } = describeQuantity(quantity)
  const of = battery ? nameOf(battery) : place && quantity === 'T' ? (nameOf(place) ?? place) : undefined
  return `${of ?? words}${product ? ' (V × A)' : ''}`
}

/** The lines of a log, and of how loud it was meanwhile. */
export const linesOf = (
  { series }: Pick<Log, 'series'>,
  nameOf: NameOf,
  noise: readonly Point[] = [],
): Line[] => [
  ...series
    .filter(({ quantity, points }) => !counters.has(quantity) && points.length > 0)
    .map((one) => {
      const { unit } = describeQuantity(one.quantity)
      const factor = unit === '%' ? 100 : 1
      return {
        key: keyOfSeries(one),
        words: wordsOfSeries(one, nameOf),
        unit,
        points:
          factor === 1 ? one.points : one.points.map(({ at, value }) => ({ at, value: value * factor })),
        dots: one.from === 'check-ins',
      }
    }),
  ...(noise.length
    ? [{ key: 'noise', words: 'without the background', unit: 'dB(A)', points: noise, dots: true }]
    : []),
]

export const groupsIn = (lines: readonly Line[]): Group[] =>
  groups.filter((group) => lines.some(({ unit }) => unit === group))

/** Time in the unit that suits the length: s, min or h. */
export function timeUnit(seconds: number): { readonly unit: 's' | 'min' | 'h'; readonly seconds: number } {
  return seconds < 300
    ? { unit: 's', seconds: 1 }
    : seconds < 4 * 3600
      ? { unit: 'min', seconds: 60 }
      : { unit: 'h', seconds: 3600 }
}

const hues = (group: Group, theme: ChartTheme): readonly string[] =>
  group === '°C'
    ? [theme.plum, theme.madder, theme.copper, theme.quiet]
    : group === '%'
      ? [theme.ink, theme.quiet]
      : group === 'W' || group === 'V' || group === 'A'
        ? [theme.petrol, theme.copper, theme.plum, theme.ink]
        : [theme.copper]
const dashes = ['solid', 'dashed', 'dotted'] as const
const looks = { solid: 'line', dashed: 'dashes', dotted: 'dots' } as const

/** A line’s look: its colour by its place on the circuit, and dashes where colours repeat. */
function lookOf(line: Line, i: number, group: Group, theme: ChartTheme) {
  const all = hues(group, theme)
  const quantity = line.key.split('|')[0] ?? ''
  const dc = /^(V_A|V_B|I$|I_bank|P_B|V_in|I_in|P_in|P_wall|V_port|I_port|V_battery|I_battery)/.test(quantity)
  const colour =
    group === 'W' || group === 'V' || group === 'A'
      ? dc
        ? theme.copper
        : theme.petrol
      : (all[i % all.length] ?? theme.ink)
  return { colour, type: dashes[i % dashes.length] ?? 'solid' }
}

export const logHeight = 260

export interface ChartedLog {
  readonly lines: readonly Line[]
  readonly group: Group
  readonly seconds: number
  readonly from: number
  readonly to: number
  readonly events: Log['events']
  readonly segments: Log['segments']
}

/** One group of a log over time: lines, the times it stood still shaded, events as marks. */
export const logChart =
  ({ lines, group, seconds, from, to, events, segments }: ChartedLog) =>
  (theme: ChartTheme): ChartOption => {
    const time = timeUnit(seconds)
    const x = (at: number) => at / time.seconds
    const drawn = lines.filter(({ unit }) => unit === group)
    const y = (value: number) => (group === '°C' ? degrees(value) : value)
    const values = drawn.flatMap(({ points }) => points.map(({ value }) => y(value)))
    const [least, most] = [Math.min(...values), Math.max(...values)]
    const fromZero = group === 'W' || group === '%' || group === 'W/m²' || group === 'A'
    const room = 0.06 * (most - least || Math.abs(most) || 1)
    const stops = segments.slice(0, -1).map(({ to: stop }, i) => [x(stop), x(segments[i + 1]?.from ?? stop)])
    const series: LineSeriesOption[] = drawn.flatMap((line, i): LineSeriesOption[] => {
      const { colour, type } = lookOf(line, i, group, theme)
      const band = (points: readonly Point[] | undefined): LineSeriesOption[] =>
        points
          ? [
              {
                type: 'line',
                silent: true,
                showSymbol: false,
                data: points.map(({ at, value }) => [x(at), y(value)]),
                lineStyle: { color: colour, width: 0.5, opacity: 0.5 },
              },
            ]
          : []
      return [
        ...band(line.low),
        ...band(line.high),
        {
          type: 'line',
          showSymbol: line.dots,
          symbol: 'circle',
          symbolSize: 6,
          ...(line.dots ? {} : { silent: true }),
          data: line.points.map(({ at, value }) => ({
            value: [x(at), y(value)],
            said: `${escapeText(line.words)}<br>${plain(shortened(x(at), 4))} ${time.unit}: ${say(value, line.unit, 4)}`,
          })),
          itemStyle: { color: colour },
          lineStyle: { color: colour, width: 1.5, type },
        },
      ]
    })
    const marks: LineSeriesOption[] = events
      .filter(({ at }) => at >= from && at <= to)
      .map(({ at, what, note }) => ({
        type: 'line',
        symbol: 'diamond',
        symbolSize: 9,
        data: [
          {
            value: [x(at), most],
            said: `${plain(shortened(x(at), 4))} ${time.unit}: ${escapeText([what, note].filter(Boolean).join('. '))}`,
          },
        ],
        itemStyle: { color: theme.ground, borderColor: theme.madder, borderWidth: 1.5 },
      }))
    const shade: LineSeriesOption[] = stops.map(([begin = 0, end = 0]) => ({
      type: 'line',
      silent: true,
      showSymbol: false,
      data: [
        [begin, most + room],
        [end, most + room],
      ],
      lineStyle: { width: 0 },
      areaStyle: { color: theme.plumSoft, origin: 'start' },
    }))
    return {
      textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
      grid: { left: 58, right: 20, top: 14, bottom: 40 },
      tooltip: saidOnHover(theme),
      dataZoom: [{ type: 'inside', filterMode: 'none', startValue: x(from), endValue: x(to) }],
      xAxis: {
        ...axis(`time, ${time.unit}`, theme, { splitLine: { show: false } }),
        min: 0,
        max: x(seconds),
        nameGap: 24,
        axisLabel: {
          color: theme.ink,
          fontFamily: theme.figures,
          formatter: (value: number) => plain(shortened(value, 4)),
          hideOverlap: true,
          showMaxLabel: false,
          showMinLabel: from === 0,
        },
      },
      yAxis: axis(`${axisNames[group]}, ${unitOf(group)}`, theme, {
        min: fromZero ? 0 : roundEnd(least - room, most - least, 'down'),
        max: roundEnd(most + room, fromZero ? most : most - least, 'up'),
        nameGap: 44,
        splitLine: { lineStyle: { color: theme.rule } },
        axisLabel: {
          color: theme.ink,
          fontFamily: theme.figures,
          formatter: (value: number) => plain(shortened(value, 4)),
        },
      }),
      series: [...shade, ...series, ...marks],
    }
  }

export const logLegend =
  ({ lines, group, events, segments }: ChartedLog) =>
  (theme: ChartTheme): LegendEntry[] => [
    ...lines
      .filter(({ unit }) => unit === group)
      .map((line, i): LegendEntry => {
        const { colour, type } = lookOf(line, i, group, theme)
        return { words: line.words, look: looks[type], colour }
      }),
    ...(events.length
      ? [{ words: 'what happened', look: 'point' as const, colour: theme.madder, fill: theme.ground }]
      : []),
    ...(segments.length > 1
      ? [{ words: 'it stood still', look: 'point' as const, colour: theme.plumSoft, fill: theme.plumSoft }]
      : []),
  ]
