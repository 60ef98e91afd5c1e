import { say, toleranceOf, type PortSweep } from '@even-watt/core'
import { against } from '../ui/chart/against'
import type { ChartOption, LineSeriesOption } from '../ui/chart/engine'
import { escapeText } from '../ui/chart/hover'
import type { LegendEntry } from '../ui/chart/Legend'
import type { ChartTheme } from '../ui/chart/theme'

export const portHeight = 240
const dashes = ['solid', 'dashed', 'dotted'] as const

/** Volts against amps of one port: at the port itself, thin at the end of the lead, its tolerance as a band. */
export const portChart =
  (sweeps: readonly PortSweep[]) =>
  (theme: ChartTheme): ChartOption => {
    const asked = sweeps[0]?.asked ?? 5
    const most = Math.max(...sweeps.flatMap(({ points }) => points.map(({ amps }) => amps)), 0.1)
    const low = asked * (1 - toleranceOf(asked))
    const least = Math.min(low, ...sweeps.flatMap(({ points }) => points.map(({ volts }) => volts)))
    const top = Math.max(asked * 1.06, ...sweeps.flatMap(({ points }) => points.map(({ atPort }) => atPort)))
    const { frame, level } = against(theme, {
      x: { name: 'load, A', most: 1.05 * most, span: most },
      y: { name: 'volts, V', least: least * 0.99, most: top },
    })
    const line = (sweep: PortSweep, i: number, of: 'atPort' | 'volts'): LineSeriesOption => ({
      type: 'line',
      symbol: 'circle',
      symbolSize: of === 'atPort' ? 7 : 4,
      data: sweep.points.map((point) => ({
        value: [point.amps, point[of]],
        said: `${escapeText(sweep.reading.port)}: ${say(point.amps, 'A')}, ${say(point[of], 'V', 4)} ${of === 'atPort' ? 'at the port' : 'at the end of the lead'}`,
      })),
      itemStyle: { color: theme.copper },
      lineStyle: {
        color: theme.copper,
        width: of === 'atPort' ? 2 : 1,
        type: of === 'volts' ? 'dotted' : (dashes[i % 2] ?? 'solid'),
      },
    })
    return {
      ...frame,
      series: [
        level(low),
        ...sweeps.flatMap((sweep, i) => [
          ...(sweep.reading.lead ? [line(sweep, i, 'volts')] : []),
          line(sweep, i, 'atPort'),
        ]),
      ],
    }
  }

export const portLegend =
  (lead: boolean) =>
  (theme: ChartTheme): LegendEntry[] => [
    { words: 'at the port', look: 'line', colour: theme.copper },
    ...(lead ? [{ words: 'at the end of the lead', look: 'dots' as const, colour: theme.copper }] : []),
    { words: 'lowest volts within tolerance', look: 'dashes', colour: theme.ink },
  ]
