import type { TooltipComponentOption } from 'echarts/components'
import type { ChartTheme } from './theme'

/** Chart tooltips are HTML: text from people is escaped. */
export const escapeText = (text: string) =>
  text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`)

/** What a mark says when it is hovered, written with it as `said`. */
export const saidOnHover = (theme: ChartTheme): TooltipComponentOption => ({
  trigger: 'item',
  backgroundColor: theme.ground,
  borderColor: theme.ink,
  textStyle: { color: theme.ink, fontSize: 13 },
  formatter: (item) => {
    const one = Array.isArray(item) ? item[0] : item
    return (one?.data as { said?: string } | undefined)?.said ?? ''
  },
})
