import type { Mark, Place } from '@even-watt/contract'
import { useRef, useState, type PointerEvent } from 'react'
import { Marks } from './Marks'
import { Picture } from './Picture'
import type { Marking, Shape } from './useMarking'
import type { PhotographEntry } from './usePhotographs'

interface Props {
  readonly entry: PhotographEntry
  readonly alt: string
  readonly marks: readonly Mark[]
  readonly marking: Marking
  readonly shape: Shape
}

/** The photograph to draw on: a drag draws the chosen shape; keys move the chosen mark. */
export function MarkingArea({ entry, alt, marks, marking, shape }: Props) {
  const { width, height } = entry.reading
  const surface = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<{ from: Place; to: Place }>()
  const placeOf = ({ clientX, clientY }: PointerEvent): Place => {
    const box = surface.current?.getBoundingClientRect()
    if (!box?.width || !box.height) return { x: 0, y: 0 }
    const share = (at: number, from: number, size: number) => Math.min(1, Math.max(0, (at - from) / size))
    return { x: share(clientX, box.left, box.width), y: share(clientY, box.top, box.height) }
  }
  const drawing: Mark[] = drag && shape !== 'words' ? [{ shape, ...drag }] : []
  return (
    <div className="relative">
      <Picture entry={{ ...entry, reading: { ...entry.reading, marks: [] } }} alt={alt} className="w-full" />
      <svg
        ref={surface}
        className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
        viewBox={`0 0 ${width} ${height}`}
        tabIndex={0}
        role="application"
        aria-label="Marks on the photograph. Arrow keys move the chosen mark, with Shift its end; Delete removes it."
        onPointerDown={(event) => {
          if (event.button !== 0) return
          event.currentTarget.setPointerCapture(event.pointerId)
          const at = placeOf(event)
          setDrag({ from: at, to: at })
        }}
        onPointerMove={(event) => drag && setDrag({ ...drag, to: placeOf(event) })}
        onPointerUp={(event) => {
          if (drag) marking.draw(shape, drag.from, placeOf(event))
          setDrag(undefined)
        }}
        onPointerCancel={() => setDrag(undefined)}
        onKeyDown={(event) => {
          const { chosen } = marking
          if (marking.moveBy(event.key, event.shiftKey)) event.preventDefault()
          else if ((event.key === 'Delete' || event.key === 'Backspace') && chosen !== undefined)
            marking.remove(chosen)
        }}
      >
        <Marks marks={[...marks, ...drawing]} width={width} height={height} chosen={marking.chosen} />
      </svg>
    </div>
  )
}
