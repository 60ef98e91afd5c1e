import type { Claim } from '@even-watt/contract'
import {
  claimValue,
  plain,
  say,
  sayClaim,
  sayDuration,
  type SurgeCurve,
  type SurgePoint,
} from '@even-watt/core'
import { axis } from '../ui/chart/axis'
import type { ChartOption, LineSeriesOption, ScatterSeriesOption } from '../ui/chart/engine'
import { escapeText, saidOnHover } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

export const surgeHeight = 300

type Series = LineSeriesOption | ScatterSeriesOption

/** A mark with what it says when hovered. */
const told = (value: [number, number], said: string) => ({ value, said })

const power = (point: SurgePoint, inVA: boolean) => (inVA ? (point.VA ?? point.W.x.value) : point.W.x.value)

/** A machine of the shelf, and what its start asks for on a stiff supply. */
export interface Machine {
  readonly name: string
  readonly VA: number
  readonly by: string
}
/** s at which machines are drawn: about what a start takes. */
const aboutOneStart = 1

/** Power against time on a logarithmic axis: filled where its volts stood, hollow where they sagged under 90 %. */
export const surgeChart =
  (curve: SurgeCurve, claims: readonly Claim[], inVA: boolean, machines: readonly Machine[]) =>
  (theme: ChartTheme): ChartOption => {
    const unit = inVA ? 'VA' : 'W'
    const highest = Math.max(
      ...[...curve.points, ...curve.sagged].map((point) => power(point, inVA)),
      ...claims.filter(({ unit: printed }) => printed === 'W').map(claimValue),
      1,
    )
    // A machine that asks for far more stands at the upper edge, and says how much.
    const top = Math.ceil((1.3 * highest) / 100) * 100
    const first = Math.min(...[...curve.points, ...curve.sagged].map(({ seconds }) => seconds), 0.02)
    const marks = (points: readonly SurgePoint[], hollow: boolean): Series[] => [
      {
        type: 'line',
        showSymbol: false,
        silent: true,
        data: points.map((point) => [point.seconds, power(point, inVA)]),
        lineStyle: {
          color: theme.petrol,
          width: hollow ? 1 : 2,
          ...(hollow ? { type: 'dashed' as const } : {}),
        },
      },
      {
        type: 'scatter',
        symbolSize: 9,
        data: points.map((point) => ({
          value: [point.seconds, power(point, inVA)],
          said: `${escapeText(point.source.words)}<br>${sayDuration(point.seconds)}: ${say(power(point, inVA), unit)}${hollow ? ', volts under 90 %' : ''}`,
        })),
        itemStyle: {
          color: hollow ? theme.ground : theme.petrol,
          borderColor: theme.petrol,
          borderWidth: 1.5,
        },
      },
    ]
    const promised = claims.filter(({ quantity }) => quantity === 'surge power')
    const rated = claims.find(({ quantity }) => quantity === 'continuous power')
    const last = 60
    const across = (value: number, words: string, type: 'dotted' | 'dashed'): Series => ({
      type: 'line',
      showSymbol: false,
      silent: true,
      data: [
        [first, value],
        [last, value],
      ],
      lineStyle: { color: theme.ink, width: 1, type },
      endLabel: {
        show: true,
        formatter: words,
        color: theme.ink,
        fontFamily: theme.words,
        fontSize: 12,
        distance: 6,
      },
    })
    const series: Series[] = [
      ...(rated ? [across(claimValue(rated), 'rated', 'dotted')] : []),
      ...promised.flatMap((claim): Series[] =>
        claim.duration === undefined
          ? [across(claimValue(claim), 'promised', 'dashed')]
          : [
              {
                type: 'scatter',
                symbol: 'diamond',
                symbolSize: 14,
                data: [told([claim.duration, claimValue(claim)], `promised: ${escapeText(sayClaim(claim))}`)],
                itemStyle: { color: theme.ground, borderColor: theme.ink, borderWidth: 1.5 },
                label: {
                  show: true,
                  position: 'top',
                  formatter: 'promised',
                  color: theme.ink,
                  fontFamily: theme.words,
                },
              },
            ],
      ),
      ...(inVA
        ? [
            {
              type: 'scatter' as const,
              symbolSize: 10,
              data: machines.map(({ name, VA, by }) =>
                told(
                  [aboutOneStart, Math.min(VA, top)],
                  `${escapeText(name)} asks for ${say(VA, 'VA')}<br>${escapeText(by)}`,
                ),
              ),
              itemStyle: { color: theme.ground, borderColor: theme.plum, borderWidth: 1.5 },
            },
          ]
        : []),
      ...marks(curve.sagged, true),
      ...marks(curve.points, false),
    ]
    return {
      textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
      grid: { left: 56, right: 76, top: 26, bottom: 40 },
      tooltip: saidOnHover(theme),
      xAxis: {
        ...axis('time, s', theme, { splitLine: { show: false } }),
        type: 'log',
        min: first,
        max: last,
        nameGap: 24,
        axisLabel: {
          color: theme.ink,
          fontFamily: theme.figures,
          formatter: (value: number) => plain(value),
        },
      },
      yAxis: axis(`power, ${unit}`, theme, {
        min: 0,
        max: top,
        nameGap: 42,
        splitLine: { lineStyle: { color: theme.rule } },
      }),
      series,
    }
  }

export const surgeLegend =
  (promised: 'none' | 'timed' | 'untimed', machines: boolean) =>
  (theme: ChartTheme): LegendEntry[] => [
    { words: 'carried', look: 'point', colour: theme.petrol, fill: theme.petrol },
    { words: 'given with its volts under 90 %', look: 'point', colour: theme.petrol, fill: theme.ground },
    ...(machines
      ? [
          {
            words: 'what machines of the shelf ask for',
            look: 'point' as const,
            colour: theme.plum,
            fill: theme.ground,
          },
        ]
      : []),
    ...(promised === 'timed'
      ? [{ words: 'promised, at its time', look: 'point' as const, colour: theme.ink, fill: theme.ground }]
      : promised === 'untimed'
        ? [{ words: 'promised, without a time', look: 'dashes' as const, colour: theme.ink }]
        : []),
  ]
