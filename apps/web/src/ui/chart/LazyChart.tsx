import { lazy, Suspense, useRef } from 'react'
import { useNear } from '../useNear'
import type { ChartProps } from './Chart'

const Chart = lazy(() => import('./Chart'))

interface Props extends ChartProps {
  /** Drawn at once, wherever it stands: on a page made to be printed. */
  readonly eager?: boolean
}

/** The chart engine is loaded when the first chart comes near the window; its room is kept meanwhile. */
export function LazyChart({ eager = false, ...props }: Props) {
  const place = useRef<HTMLDivElement>(null)
  const near = useNear(place, eager)
  const room = (
    <div className="text-quiet" style={{ height: props.height + 22 }}>
      Drawing …
    </div>
  )
  return (
    <div ref={place} className="min-w-0">
      {near ? (
        <Suspense fallback={room}>
          <Chart {...props} />
        </Suspense>
      ) : (
        room
      )}
    </div>
  )
}
