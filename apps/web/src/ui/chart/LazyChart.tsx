import { Suspense, useRef } from 'react'
import { fetched } from '../fetched'
import { Guarded } from '../Guarded'
import { useNear } from '../useNear'
import type { ChartProps } from './Chart'

export const chart = fetched(async () => (await import('./Chart')).default)

/** The chart engine is loaded when the first chart comes near the window; its room is kept meanwhile. */
export function LazyChart(props: ChartProps) {
  const place = useRef<HTMLDivElement>(null)
  const near = useNear(place)
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
            <chart.Part {...props} />
          </Suspense>
        </Guarded>
      ) : (
        room
      )}
    </div>
  )
}
