import { plain, shortened } from '@even-watt/core'
import type { ChartTheme } from './theme'

/** An axis of figures, with its quantity and unit. */
export const axis = (name: string, theme: ChartTheme, more: object) => ({
  type: 'value' as const,
  name,
  nameLocation: 'middle' as const,
  nameGap: name.includes('output') ? 24 : 34,
  nameTextStyle: { color: theme.quiet },
  axisLine: { show: true, lineStyle: { color: theme.ink } },
  axisTick: { show: true, lineStyle: { color: theme.ink } },
  axisLabel: { color: theme.ink, fontFamily: theme.figures, formatter: plain },
  ...more,
})

/** The next round figure at or beyond a value, away from 0 or towards it: an axis ends there without a figure of its own. */
export function roundEnd(value: number, span: number, way: 'up' | 'down'): number {
  const step = 10 ** Math.floor(Math.log10(span || Math.abs(value) || 1)) / 2
  const steps = value / step
  const whole = way === 'up' ? Math.ceil(steps - 1e-9) : Math.floor(steps + 1e-9)
  return shortened(whole * step, 12)
}
