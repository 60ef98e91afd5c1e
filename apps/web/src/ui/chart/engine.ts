import {
  BarChart,
  CustomChart,
  LineChart,
  ScatterChart,
  type BarSeriesOption,
  type CustomSeriesOption,
  type LineSeriesOption,
  type ScatterSeriesOption,
} from 'echarts/charts'
import {
  DataZoomInsideComponent,
  GridComponent,
  TooltipComponent,
  type DataZoomComponentOption,
  type GridComponentOption,
  type TooltipComponentOption,
} from 'echarts/components'
import { init, use as register, type ComposeOption, type ECharts } from 'echarts/core'
import { LabelLayout } from 'echarts/features'
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers'

// Only the parts that are used, so that the charts stay a small bundle of their own.
register([
  LineChart,
  ScatterChart,
  BarChart,
  CustomChart,
  DataZoomInsideComponent,
  GridComponent,
  TooltipComponent,
  LabelLayout,
  SVGRenderer,
  CanvasRenderer,
])

export type ChartOption = ComposeOption<
  | LineSeriesOption
  | ScatterSeriesOption
  | BarSeriesOption
  | CustomSeriesOption
  | DataZoomComponentOption
  | GridComponentOption
  | TooltipComponentOption
>
export type { CustomSeriesOption, ECharts, LineSeriesOption, ScatterSeriesOption, BarSeriesOption }
export { init }

const exportSize = { width: 960, height: 480 }

export type ExportKind = 'svg' | 'png'

/** The same chart as a picture of its own: SVG as text, PNG at twice the pixels. */
export function exportChart(option: ChartOption, kind: ExportKind, background: string): Blob | Promise<Blob> {
  const still = { ...option, animation: false, backgroundColor: background }
  if (kind === 'svg') {
    const chart = init(null, null, { renderer: 'svg', ssr: true, ...exportSize })
    chart.setOption(still)
    const text = chart.renderToSVGString()
    chart.dispose()
    return new Blob([text], { type: 'image/svg+xml' })
  }
  const canvas = document.createElement('canvas')
  const chart = init(canvas, null, { renderer: 'canvas', devicePixelRatio: 2, ...exportSize })
  chart.setOption(still)
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => {
      chart.dispose()
      if (blob) resolve(blob)
      else reject(new Error('The picture could not be made.'))
    }, 'image/png')
  })
}
