import { say, type SupplyQuestion, type SupplyView, plain } from '@even-watt/core'
import { axis } from '../../ui/chart/axis'
import type { ChartOption, LineSeriesOption } from '../../ui/chart/engine'
import type { ChartTheme } from '../../ui/chart/theme'

const measuredName = 'V at B'

/** V_B against output watts, the alarm and cutoff as lines across, the claim and the reach as lines down. */
export function headroomChart(
  view: SupplyView | undefined,
  question: Pick<SupplyQuestion, 'alarm' | 'cutoff'>,
  claim: number | undefined,
  theme: ChartTheme,
): ChartOption {
  const curve = view?.curve ?? []
  const most = Math.ceil(Math.max(1, ...curve.map(([P]) => P), (claim ?? 0) * 1.05) / 100) * 100
  const volts = curve.map(([, V]) => V)
  const low = Math.min(question.cutoff, ...volts)
  const high = Math.max(question.alarm, ...volts)
  const label = (words: string, color: string) => ({
    show: true,
    formatter: words,
    color,
    fontFamily: theme.words,
    position: 'right' as const,
    distance: 4,
  })
  const across = (V: number, words: string, color: string): LineSeriesOption => ({
    type: 'line',
    showSymbol: false,
    lineStyle: { color, type: 'dashed', width: 1.5 },
    data: [[0, V], { value: [most, V], label: label(words, color), symbol: 'circle', symbolSize: 0.1 }],
    endLabel: { ...label(words, color) },
  })
  const down = (P: number, words: string, color: string): LineSeriesOption => ({
    type: 'line',
    showSymbol: false,
    lineStyle: { color, width: 1.5, type: 'dotted' },
    data: [
      [P, low],
      [P, high],
    ],
    endLabel: { ...label(words, color), position: 'top' as const },
  })
  return {
    textStyle: { fontFamily: theme.words, fontSize: 12, color: theme.ink },
    grid: { left: 48, right: 96, top: 26, bottom: 40 },
    xAxis: axis('output, W', theme, { min: 0, max: most, nameLocation: 'middle', nameGap: 24 }),
    yAxis: axis('at B, V', theme, { min: Math.floor(low - 0.3), max: Math.ceil(high + 0.3) }),
    tooltip: {
      trigger: 'axis',
      backgroundColor: theme.ground,
      borderColor: theme.ink,
      textStyle: { color: theme.ink, fontSize: 13 },
      formatter: (items) => {
        const [first] = Array.isArray(items) ? items : [items]
        const [P, V] = (first?.seriesName === measuredName ? first.data : []) as [number?, number?]
        return P === undefined || V === undefined ? '' : `${say(P, 'W')}: ${say(V, 'V', 4)} at B`
      },
    },
    series: [
      {
        type: 'line',
        name: measuredName,
        showSymbol: false,
        lineStyle: { color: theme.copper, width: 2.5 },
        data: curve.map(([P, V]) => [P, V]),
        endLabel: label('V at B', theme.copper),
      },
      across(question.alarm, `alarm ${plain(question.alarm)} V`, theme.quiet),
      across(question.cutoff, `cutoff ${plain(question.cutoff)} V`, theme.madder),
      ...(view ? [down(view.toAlarm.outputPower, 'reach', theme.ink)] : []),
      ...(claim === undefined ? [] : [down(claim, 'claim', theme.petrol)]),
    ],
  }
}
