import type { KeyboardEvent, PointerEvent } from 'react'

interface Spot {
  readonly x: number
  readonly y: number
}

interface Props {
  readonly name: string
  readonly shape: 'corner' | 'spot'
  readonly spot: Spot
  readonly within: { readonly width: number; readonly height: number }
  readonly onMove: (to: Spot) => void
}

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** A place in a picture that is dragged, or moved by the arrow keys: a pixel at once, with Shift ten. */
export function Handle({ name, shape, spot, within: { width, height }, onMove }: Props) {
  const to = (x: number, y: number) =>
    onMove({ x: Math.max(0, Math.min(width - 1, x)), y: Math.max(0, Math.min(height - 1, y)) })
  const drag = (event: PointerEvent<HTMLButtonElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const box = event.currentTarget.parentElement?.getBoundingClientRect()
    if (box)
      to(((event.clientX - box.left) / box.width) * width, ((event.clientY - box.top) / box.height) * height)
  }
  const step = (event: KeyboardEvent) => {
    const [dx, dy] = arrows[event.key] ?? []
    if (dx === undefined || dy === undefined) return
    event.preventDefault()
    const far = event.shiftKey ? 10 : 1
    to(spot.x + dx * far, spot.y + dy * far)
  }
  return (
    <button
      type="button"
      aria-label={`${name}, at ${Math.round(spot.x)}, ${Math.round(spot.y)}`}
      title={name}
      className={`absolute h-7 w-7 -translate-x-1/2 -translate-y-1/2 cursor-move border-2 ${shape === 'spot' ? 'rounded-full border-madder' : 'border-copper'}`}
      style={{ left: `${(100 * spot.x) / width}%`, top: `${(100 * spot.y) / height}%` }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={step}
    >
      <span className="absolute top-1/2 left-1/2 h-1 w-1 -translate-x-1/2 -translate-y-1/2 bg-madder" />
    </button>
  )
}
