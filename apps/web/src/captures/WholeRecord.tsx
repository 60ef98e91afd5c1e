import type { CaptureFigures } from '@even-watt/contract'
import { say } from '@even-watt/core'
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type WheelEvent } from 'react'
import { useWidth } from '../ui/useWidth'
import type { OpenSamples } from './samples/useSamples'
import { saveView, type RecordView } from './saveView'
import { unitOfChannel } from './words'

interface Props {
  readonly figures: CaptureFigures
  readonly samples: OpenSamples
  readonly fileName: string
}

const height = 180
/** Samples that fill the width when looked at most closely. */
const closest = 40

interface View {
  readonly from: number
  readonly to: number
}

interface Cursor {
  readonly sample: number
  readonly value: number
}

/** The whole record, drawn by its lowest and highest: zoomed and moved by wheel, drag and keys, with two cursors. */
export function WholeRecord({ figures, samples, fileName }: Props) {
  const { samples: count, rate, channels } = figures
  const [channel, setChannel] = useState(0)
  const [view, setView] = useState<View>({ from: 0, to: count })
  const [cursors, setCursors] = useState<readonly [Cursor?, Cursor?]>([])
  const [holder, width] = useWidth<HTMLDivElement>()
  const canvas = useRef<HTMLCanvasElement>(null)
  const shown = useRef<RecordView>(undefined)
  const dragged = useRef<{ x: number; view: View; moved: boolean }>(undefined)
  const { ask } = samples
  const current = channels[channel]
  const unit = unitOfChannel(current?.quantity ?? 'V_C')
  const top = Math.max(1e-9, Math.abs(current?.max ?? 1), Math.abs(current?.min ?? 1)) * 1.05
  const yOf = (value: number) => height / 2 - (value / top) * (height / 2)

  useEffect(() => {
    if (!width) return undefined
    let stale = false
    const slices = Math.max(50, Math.floor(width))
    void ask((worker) => worker.look(channel, view.from, view.to, slices)).then((seen) => {
      const ink = canvas.current?.getContext('2d')
      if (stale || !seen || !ink || !canvas.current) return
      const fine = window.devicePixelRatio || 1
      canvas.current.width = width * fine
      canvas.current.height = height * fine
      ink.scale(fine, fine)
      const style = getComputedStyle(document.documentElement)
      const colour = style.getPropertyValue(unit === 'V' ? '--petrol' : '--copper')
      const paper = style.getPropertyValue('--ground')
      shown.current = {
        ...seen,
        from: view.from / rate,
        to: view.to / rate,
        top,
        width,
        height,
        colour,
        ground: paper,
      }
      ink.fillStyle = paper
      ink.fillRect(0, 0, width, height)
      ink.strokeStyle = style.getPropertyValue('--rule')
      ink.beginPath()
      ink.moveTo(0, height / 2)
      ink.lineTo(width, height / 2)
      ink.stroke()
      ink.strokeStyle = colour
      ink.lineWidth = 1.2
      ink.beginPath()
      const toY = (value: number) => height / 2 - (value / top) * (height / 2)
      for (let i = 0; i < slices; i++) {
        const x = ((i + 0.5) / slices) * width
        const [low, high] = [toY(seen.low[i] ?? 0), toY(seen.high[i] ?? 0)]
        ink.moveTo(x, low + 0.5)
        ink.lineTo(x, Math.min(high, low - 0.5))
      }
      ink.stroke()
    })
    return () => {
      stale = true
    }
  }, [ask, channel, view, width, top, unit, rate])

  const bounded = (from: number, span: number): View => {
    const wide = Math.max(Math.min(closest, count), Math.min(count, span))
    const begin = Math.max(0, Math.min(count - wide, from))
    return { from: begin, to: begin + wide }
  }
  const span = view.to - view.from
  const zoom = (factor: number, at = 0.5) =>
    setView(bounded(view.from + at * span * (1 - factor), span * factor))
  const move = (share: number) => setView(bounded(view.from + share * span, span))
  const sampleAt = (x: number) => Math.round(view.from + (x / (width ?? 1)) * span)
  const put = async (which: 0 | 1, sample: number) => {
    const at = Math.max(0, Math.min(count - 1, sample))
    const value = await ask((worker) => worker.valueAt(channel, at))
    if (value !== undefined)
      setCursors(([a, b]) => (which === 0 ? [{ sample: at, value }, b] : [a, { sample: at, value }]))
  }

  const keys = (event: KeyboardEvent) => {
    const nearest = cursors[1] ? 1 : 0
    const known: Record<string, () => void> = {
      ArrowLeft: () => move(-0.2),
      ArrowRight: () => move(0.2),
      ArrowUp: () => zoom(0.5),
      ArrowDown: () => zoom(2),
      '+': () => zoom(0.5),
      '-': () => zoom(2),
      Home: () => setView(bounded(0, span)),
      End: () => setView(bounded(count, span)),
      '0': () => setView({ from: 0, to: count }),
      a: () => void put(0, view.from + span / 3),
      b: () => void put(1, view.from + (2 * span) / 3),
      ',': () => void put(nearest, (cursors[nearest]?.sample ?? view.from) - Math.max(1, span / 200)),
      '.': () => void put(nearest, (cursors[nearest]?.sample ?? view.from) + Math.max(1, span / 200)),
    }
    const act = known[event.key]
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    act()
  }
  const placeIn = (event: { clientX: number; currentTarget: Element }) =>
    event.clientX - event.currentTarget.getBoundingClientRect().left
  const wheel = (event: WheelEvent) => {
    if (!event.ctrlKey && !event.shiftKey && Math.abs(event.deltaY) > Math.abs(event.deltaX))
      zoom(event.deltaY > 0 ? 1.25 : 0.8, placeIn(event) / (width ?? 1))
    else move((event.deltaX || event.deltaY) / 800)
  }
  const press = (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    dragged.current = { x: placeIn(event), view, moved: false }
  }
  const drag = (event: PointerEvent) => {
    const start = dragged.current
    if (!start) return
    const by = placeIn(event) - start.x
    if (Math.abs(by) < 4 && !start.moved) return
    start.moved = true
    const wide = start.view.to - start.view.from
    setView(bounded(start.view.from - (by / (width ?? 1)) * wide, wide))
  }
  const release = (event: PointerEvent) => {
    if (dragged.current && !dragged.current.moved)
      void put(
        event.shiftKey || cursors[0] ? (cursors[1] && !event.shiftKey ? 0 : 1) : 0,
        sampleAt(placeIn(event)),
      )
    dragged.current = undefined
  }
  const [a, b] = cursors
  const seconds = (samplesOf: number) => say((1000 * samplesOf) / rate, 'ms', 4)
  return (
    <figure>
      <figcaption className="flex flex-wrap items-baseline gap-x-4">
        <span className="font-semibold">The whole record</span>
        {channels.length > 1 && (
          <span className="flex gap-3" role="group" aria-label="Channel">
            {channels.map(({ quantity }, i) => (
              <button
                key={quantity}
                type="button"
                aria-pressed={i === channel}
                className={i === channel ? 'font-bold' : 'plain-link'}
                onClick={() => {
                  setChannel(i)
                  setCursors([])
                }}
              >
                {quantity}
              </button>
            ))}
          </span>
        )}
        <span className="text-quiet figures text-[0.9rem]">
          {seconds(view.from)} to {seconds(view.to)} of {say(count / rate, 's')}
        </span>
        <span className="no-print ml-auto flex gap-3 text-[0.9rem]">
          <button type="button" className="plain-link" onClick={() => zoom(0.5)}>
            Closer
          </button>
          <button type="button" className="plain-link" onClick={() => zoom(2)}>
            Wider
          </button>
          <button type="button" className="plain-link" onClick={() => setView({ from: 0, to: count })}>
            All
          </button>
          {(['svg', 'png', 'csv'] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              className="plain-link text-quiet"
              aria-label={`Save what is in view as ${kind.toUpperCase()}`}
              onClick={() => {
                if (shown.current && canvas.current) saveView(shown.current, canvas.current, fileName, kind)
              }}
            >
              {kind.toUpperCase()}
            </button>
          ))}
        </span>
      </figcaption>
      <div
        ref={holder}
        role="application"
        aria-label="The whole record: arrows move and zoom, 0 shows all, A and B set the cursors, comma and full stop move the last one"
        tabIndex={0}
        className="relative cursor-crosshair touch-pan-y overflow-hidden border-y border-rule"
        style={{ height }}
        onKeyDown={keys}
        onWheel={wheel}
        onPointerDown={press}
        onPointerMove={drag}
        onPointerUp={release}
      >
        <canvas ref={canvas} className="absolute inset-0 h-full w-full" />
        {width !== undefined &&
          cursors.map((cursor, i) =>
            cursor && cursor.sample >= view.from && cursor.sample <= view.to ? (
              <div
                key={i}
                className="pointer-events-none absolute top-0 bottom-0 border-l border-ink"
                style={{ left: ((cursor.sample - view.from) / span) * width }}
              >
                <span className="bg-ground pl-0.5 text-[0.85rem] font-bold">{'AB'[i]}</span>
                <span
                  className="absolute h-1.5 w-1.5 -translate-x-1/2 -translate-y-1/2 bg-ink"
                  style={{ top: yOf(cursor.value) }}
                />
              </div>
            ) : null,
          )}
      </div>
      <p className="text-quiet figures min-h-6 text-[0.9rem]" role="status">
        {a && `A ${seconds(a.sample)}, ${say(a.value, unit)}`}
        {b && ` · B ${seconds(b.sample)}, ${say(b.value, unit)}`}
        {a && b && a.sample !== b.sample && (
          <span className="text-ink">
            {` · B − A ${seconds(b.sample - a.sample)}, ${say(b.value - a.value, unit)}, ${say(rate / Math.abs(b.sample - a.sample), 'Hz')}`}
          </span>
        )}
        {!a && !b && (
          <span className="no-print">
            Press in it for cursor A, again for B; they read the difference. <span className="kbd">←</span>{' '}
            <span className="kbd">→</span> move, <span className="kbd">↑</span> <span className="kbd">↓</span>{' '}
            zoom.
          </span>
        )}
      </p>
    </figure>
  )
}
