import { useRef, type ReactNode } from 'react'

/** How close, and which place of the picture stands in the middle, as shares of its sides. */
export interface Zoom {
  readonly factor: number
  readonly x: number
  readonly y: number
}

interface Props {
  readonly zoom: Zoom
  readonly onZoom: (zoom: Zoom) => void
  readonly label: string
  readonly children: ReactNode
}

const most = 8
const step = 0.08

/** The middle can go only so far that the picture still fills its frame. */
const held = (factor: number, x: number, y: number): Zoom => {
  const edge = 0.5 / factor
  const within = (share: number) => Math.min(1 - edge, Math.max(edge, share))
  return { factor, x: within(x), y: within(y) }
}

const moves: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** A picture looked at through a frame: drag or arrow keys move it, + and − go closer and back. */
export function Zoomed({ zoom, onZoom, label, children }: Props) {
  const from = useRef<{ x: number; y: number; zoom: Zoom }>(undefined)
  const { factor, x, y } = zoom
  return (
    <div
      className={`overflow-hidden ${factor > 1 ? 'cursor-grab touch-none' : ''}`}
      tabIndex={0}
      role="group"
      aria-label={`${label}: + and − go closer and back, arrows move`}
      onKeyDown={(event) => {
        const [dx, dy] = moves[event.key] ?? []
        if (dx !== undefined && dy !== undefined && factor > 1)
          onZoom(held(factor, x + (dx * step) / factor, y + (dy * step) / factor))
        else if (event.key === '+' || event.key === '=') onZoom(held(Math.min(most, factor * 1.25), x, y))
        else if (event.key === '-') onZoom(held(Math.max(1, factor / 1.25), x, y))
        else return
        event.preventDefault()
      }}
      onPointerDown={(event) => {
        if (factor === 1) return
        event.currentTarget.setPointerCapture(event.pointerId)
        from.current = { x: event.clientX, y: event.clientY, zoom }
      }}
      onPointerMove={(event) => {
        const begun = from.current
        if (!begun) return
        const { width, height } = event.currentTarget.getBoundingClientRect()
        onZoom(
          held(
            factor,
            begun.zoom.x - (event.clientX - begun.x) / width / factor,
            begun.zoom.y - (event.clientY - begun.y) / height / factor,
          ),
        )
      }}
      onPointerUp={() => (from.current = undefined)}
      onPointerCancel={() => (from.current = undefined)}
    >
      <div
        style={{
          transform: `scale(${factor}) translate(${100 * (0.5 - x)}%, ${100 * (0.5 - y)}%)`,
        }}
      >
        {children}
      </div>
    </div>
  )
}
