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

/** Power against time on a logarithmic axis: filled where its volts stood, hollow where they sagged under 90 %. */
export const surgeChart =
  (curve: SurgeCurve, claims: readonly Claim[], inVA: boolean) =>
  (theme: ChartTheme): ChartOption => {
    const unit = inVA ? 'VA' : 'W'
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
      data: [[first, value], [last, value]],
      lineStyle: { color: theme.ink, width: 1, type },
      endLabel: { show: true, formatter: words, color: theme.ink, fontFamily: theme.words, fontSize: 12, distance: 6 },
    }) // prettier-ignore
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
        nameGap: 42,
        splitLine: { lineStyle: { color: theme.rule } },
      }),
      series,
    }
  }

export const surgeLegend =
  (promised: 'none' | 'timed' | 'untimed') =>
  (theme: ChartTheme): LegendEntry[] => [
    { words: 'carried', look: 'point', colour: theme.petrol, fill: theme.petrol },
    { words: 'given with its volts under 90 %', look: 'point', colour: theme.petrol, fill: theme.ground },
    ...(promised === 'timed'
      ? [{ words: 'promised, at its time', look: 'point' as const, colour: theme.ink, fill: theme.ground }]
      : promised === 'untimed'
        ? [{ words: 'promised, without a time', look: 'dashes' as const, colour: theme.ink }]
        : []),
  ]
