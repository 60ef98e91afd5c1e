import { Suspense, useEffect, useRef, useState } from 'react'
import { fetched } from '../fetched'
import { Guarded } from '../Guarded'
import { useNear } from '../useNear'
import type { ChartProps } from './Chart'
import { inTurn } from './inTurn'

export const chart = fetched(async () => (await import('./Chart')).default)

/** Drawn when it comes near the window, or once the page rests; the engine is loaded for the first of them, and its room is kept meanwhile. */
export function LazyChart(props: ChartProps) {
  const place = useRef<HTMLDivElement>(null)
  const near = useNear(place)
  const [turn, setTurn] = useState(false)
  const drawn = near || turn
  useEffect(() => (drawn ? undefined : inTurn(() => setTurn(true))), [drawn])
  const room = (
    <div className="text-quiet" data-drawing style={{ height: props.height + 22 }}>
      Drawing …
    </div>
  )
  return (
    <div ref={place} className="min-w-0">
      {drawn ? (
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
