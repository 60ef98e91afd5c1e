import { lazy, Suspense, useRef } from 'react'
import { Guarded } from '../Guarded'
import { useNear } from '../useNear'
import type { ChartProps } from './Chart'

const Chart = lazy(() => import('./Chart'))

/** The chart engine is loaded when the first chart comes near the window; its room is kept meanwhile. */
export function LazyChart({ eager = false, ...props }: ChartProps) {
  const place = useRef<HTMLDivElement>(null)
  const near = useNear(place, eager)
  const room = (
    <div className="text-quiet" data-drawing style={{ height: props.height + 22 }}>
      Drawing …
    </div>
  )
  return (
    <div ref={place} className="min-w-0">
      {near ? (
        <Guarded what={`“${props.title}”`}>
          <Suspense fallback={room}>
            <Chart {...props} eager={eager} />
          </Suspense>
        </Guarded>
      ) : (
        room
      )}
    </div>
  )
}
