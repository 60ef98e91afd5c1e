import { lazy, Suspense } from 'react'
import type { ChartProps } from './Chart'

const Chart = lazy(() => import('./Chart'))

/** The chart engine is loaded when the first chart is wanted; its room is kept meanwhile. */
export function LazyChart(props: ChartProps) {
  return (
    <Suspense
      fallback={
        <div className="text-quiet" style={{ height: props.height + 22 }}>
          Drawing …
        </div>
      }
    >
      <Chart {...props} />
    </Suspense>
  )
}
