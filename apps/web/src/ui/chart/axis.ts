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
  axisLabel: { color: theme.ink, fontFamily: theme.figures, formatter: (value: number) => String(value) },
  ...more,
})
