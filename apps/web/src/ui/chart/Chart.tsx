import { useEffect, useMemo, useRef, useState } from 'react'
import { saveFile } from '../saveFile'
import { useTheme } from '../theme'
import { isWantedNow, whenWanted } from '../useNear'
import { exportChart, init, type ChartOption, type ECharts, type ExportKind } from './engine'
import { followsAfter, whenHandRests } from './handRests'
import { Legend, type LegendEntry } from './Legend'
import { chartTheme, type ChartTheme } from './theme'

export interface ChartProps {
  readonly title: string
  /** What the axes say, in words, for those who do not see the picture. */
  readonly description: string
  readonly fileName: string
  readonly height: number
  readonly build: (theme: ChartTheme) => ChartOption
  /** What its marks stand for. */
  readonly legend?: ((theme: ChartTheme) => readonly LegendEntry[]) | undefined
  readonly onPick?: ((key: string) => void) | undefined
  /** Where its horizontal axis was zoomed to by wheel or hand, in its own unit. */
  readonly onZoom?: ((from: number, to: number) => void) | undefined
}

/** One chart: drawn in both themes, followed in width, exportable as SVG and PNG. */
export default function Chart({
  title,
  description,
  fileName,
  height,
  build,
  legend,
  onPick,
  onZoom,
}: ChartProps) {
  const theme = useTheme()
  const holder = useRef<HTMLDivElement>(null)
  const chart = useRef<ECharts | undefined>(undefined)
  const colours = useMemo(() => chartTheme(theme), [theme])
  const [, fail] = useState<never>()
  const pick = useRef(onPick)
  const zoom = useRef(onZoom)

  useEffect(() => {
    pick.current = onPick
    zoom.current = onZoom
  })
  useEffect(() => {
    const element = holder.current
    if (!element) return
    const made = init(element, null, { renderer: 'svg' })
    chart.current = made
    made.on('click', (event) => {
      const key = (event.data as { key?: string } | undefined)?.key
      if (key !== undefined) pick.current?.(key)
    })
    made.on('datazoom', () => {
      const [window] = (made.getOption()['dataZoom'] ?? []) as { startValue?: number; endValue?: number }[]
      if (window?.startValue !== undefined && window.endValue !== undefined)
        zoom.current?.(window.startValue, window.endValue)
    })
    const observer = new ResizeObserver(() => made.resize())
    observer.observe(element)
    return () => {
      observer.disconnect()
      made.dispose()
      chart.current = undefined
    }
  }, [])
  const drawn = useRef(false)
  useEffect(() => {
    let stands = false
    const draw = () => {
      if (stands) return
      stands = true
      try {
        chart.current?.setOption({ animation: false, ...build(colours) }, { notMerge: true })
        drawn.current = true
      } catch (error) {
        // Whoever guards this chart says so in its place.
        fail(() => {
          throw error
        })
      }
    }
    if (isWantedNow() && !drawn.current) {
      draw()
      return undefined
    }
    // Drawing a long ladder takes a while, and so does what is drawn: the row that was captured stands before.
    const letRest = whenHandRests(draw, drawn.current ? followsAfter : 0)
    const letWant = whenWanted(draw)
    return () => {
      letRest()
      letWant()
    }
  }, [build, colours])

  const save = async (kind: ExportKind) => {
    saveFile(await exportChart(build(colours), kind, colours.ground), `${fileName}.${kind}`)
  }
  return (
    <figure className="min-w-0">
      <figcaption className="flex items-baseline gap-3">
        <span className="font-semibold">{title}</span>
        <span className="no-print ml-auto flex gap-3 text-[0.85rem]">
          {(['svg', 'png'] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              className="plain-link text-quiet"
              aria-label={`Save “${title}” as ${kind.toUpperCase()}`}
              onClick={() => void save(kind)}
            >
              {kind.toUpperCase()}
            </button>
          ))}
        </span>
      </figcaption>
      <div ref={holder} style={{ height }} role="img" aria-label={description} />
      {legend && <Legend entries={legend(colours)} />}
    </figure>
  )
}
