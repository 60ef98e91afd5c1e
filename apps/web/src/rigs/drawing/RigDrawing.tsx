import { formatNumber, say } from '@even-watt/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { useWidth } from '../../ui/useWidth'
import { BankBlock } from '../BankBlock'
import type { Spot } from '../editor/edit'
import type { RigForm } from '../editor/form'
import { layOut, size, spotAt, type Drawing, type PlacedElement } from './drawing'
import { cut, Ring } from './drawingParts'
import { Glyph } from './glyph'
import type { Hung } from './hung'
import { PathList } from './PathList'

/** What an element loses at the current on screen. */
export interface Loss {
  readonly watts: number
  readonly heat: 'cool' | 'warm' | 'hot'
}

export interface DrawingProps {
  readonly rig: RigForm
  readonly unit: string
  readonly meters: Hung
  readonly losses?: ReadonlyMap<string, Loss>
  /** Elements about which something must be said. */
  readonly marked?: ReadonlySet<string>
  readonly selected?: string | undefined
  readonly onSelect?: (id: string) => void
  /** Absent: the drawing only shows. */
  readonly edit?: {
    readonly move: (from: Spot, to: Spot) => void
    readonly cross: (from: Spot) => void
    readonly remove: (spot: Spot) => void
    readonly removeBattery: (id: string) => void
  }
}

const heatWords = { cool: '', warm: ' warm', hot: ' hot' } as const
const heatColour = { cool: 'var(--plum)', warm: 'var(--ochre)', hot: 'var(--madder)' } as const

/** Narrower than this, px, its parts stand below each other. */
const drawnFrom = 560

/** The power path as it stands on the bench: bank left, unit right, both conductors element by element between them. */
export function RigDrawing(props: DrawingProps) {
  const { rig, unit, meters, losses, marked, selected, onSelect, edit } = props
  const [holder, available = 700] = useWidth<HTMLDivElement>()
  const drawing = layOut(rig, available)
  const svg = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<{ from: Spot; x: number; y: number; moved: boolean }>()

  const point = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }
  const focusOn = (id: string | undefined) => {
    if (id !== undefined) svg.current?.querySelector<SVGGElement>(`[data-id="${id}"]`)?.focus()
  }
  const onKey = (event: KeyboardEvent, { id, spot }: PlacedElement) => {
    const along = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    const across = event.key === 'ArrowUp' || event.key === 'ArrowDown'
    if (event.key === 'Enter' || event.key === ' ') onSelect?.(id)
    else if (along && event.altKey) edit?.move(spot, { side: spot.side, index: spot.index + along })
    else if (across && event.altKey) edit?.cross(spot)
    else if (along || across) focusOn(neighbour(drawing, spot, along, event.key)?.id)
    else if (event.key === 'Delete' || event.key === 'Backspace') edit?.remove(spot)
    else return
    event.preventDefault()
    if (event.altKey) requestAnimationFrame(() => focusOn(id))
  }
  if (available < drawnFrom)
    return (
      <div ref={holder} data-testid="rig-drawing">
        <PathList {...props} drawing={drawing} />
      </div>
    )
  const widest = Math.max(1e-9, ...[...(losses?.values() ?? [])].map(({ watts }) => watts))

  return (
    <div ref={holder} className="overflow-x-auto" data-testid="rig-drawing">
      <svg
        ref={svg}
        width={drawing.width}
        height={size.height}
        viewBox={`0 0 ${drawing.width} ${size.height}`}
        role="group"
        aria-label="The rig, from the bank at the left to the unit at the right"
        className="block select-none print:h-auto print:max-w-full"
        onPointerMove={(event) => {
          if (!drag) return
          const { x, y } = point(event)
          setDrag({ ...drag, x, y, moved: drag.moved || Math.hypot(x - drag.x, y - drag.y) > 4 })
        }}
        onPointerUp={() => {
          if (drag?.moved) edit?.move(drag.from, spotAt(drawing, drag.x, drag.y))
          setDrag(undefined)
        }}
      >
        <BankBlock
          drawing={drawing}
          rig={rig}
          meters={meters}
          selected={selected}
          onSelect={onSelect}
          onRemove={edit?.removeBattery}
        />
        {(['positive', 'negative'] as const).map((side) => (
          <g key={side}>
            <rect
              x={drawing.from - 10}
              y={size.band[side] - size.thickness / 2}
              width={drawing.width - size.unit - 2 - drawing.from + 10}
              height={size.thickness}
              fill="var(--copper)"
              opacity={rig[side].length ? 1 : 0.35}
            />
            <text
              x={drawing.from}
              y={size.band[side] + 4}
              className="figures"
              fontSize={12}
              fill="var(--on-band)"
            >
              {side === 'positive' ? '+' : '−'}
            </text>
            {!rig[side].length && (
              <text
                x={(drawing.from + drawing.to) / 2}
                y={size.band[side] - 12}
                textAnchor="middle"
                fontSize={13}
                fill="var(--quiet)"
              >
                {rig.leads === 'not known'
                  ? 'leads as they came, not described'
                  : `nothing on the ${side} side yet`}
              </text>
            )}
          </g>
        ))}
        {drawing.elements.map((element) => {
          const loss = losses?.get(element.id)
          const ring = meters.on.get(element.id)
          const chosen = selected === element.id
          const width = Math.max(72, Math.min(150, drawing.slot[element.spot.side] - 4))
          return (
            <g
              key={element.id}
              data-id={element.id}
              role={onSelect ? 'button' : undefined}
              tabIndex={onSelect ? 0 : undefined}
              aria-pressed={onSelect ? chosen : undefined}
              aria-label={sayElement(element, rig, loss)}
              className={onSelect ? 'rig-part cursor-pointer' : 'rig-part'}
              onClick={() => onSelect?.(element.id)}
              onKeyDown={(event) => onKey(event, element)}
              onPointerDown={(event) => {
                if (!edit || event.button !== 0) return
                setDrag({ from: element.spot, ...point(event), moved: false })
              }}
            >
              <rect
                x={element.x - width / 2}
                y={element.y - 42}
                width={width}
                height={58}
                fill={chosen ? 'var(--chosen)' : 'transparent'}
                stroke={chosen ? 'var(--ink)' : 'none'}
              />
              {chosen && (
                <rect
                  x={element.x - width / 2}
                  y={element.y - 6}
                  width={width}
                  height={12}
                  fill="var(--copper)"
                />
              )}
              {loss && <Peel x={element.x} y={element.y} share={loss.watts / widest} loss={loss} />}
              <Glyph kind={element.kind} x={element.x} y={element.y} />
              <text
                x={element.x}
                y={element.y - 29}
                textAnchor="middle"
                fontSize={12.5}
                fontWeight={600}
                fill="var(--ink)"
              >
                {marked?.has(element.id) ? '▲ ' : ''}
                {cut(element.name, width / 6.6)}
              </text>
              <text x={element.x} y={element.y - 15} textAnchor="middle" fontSize={11.5} fill="var(--quiet)">
                {cut(element.words, width / 5.9)}
              </text>
              {ring !== undefined && <Ring x={element.x} y={element.y} words={ring} />}
            </g>
          )
        })}
        {drag?.moved && (
          <line
            x1={drag.x}
            x2={drag.x}
            y1={10}
            y2={size.height - 20}
            stroke="var(--petrol)"
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        )}
        <UnitBlock drawing={drawing} unit={unit} />
        <Tap x={drawing.from - 4} name="A" meters={meters.A} />
        <Tap x={drawing.to + 2} name="B" meters={meters.B} end />
      </svg>
    </div>
  )
}

function sayElement(element: PlacedElement, rig: RigForm, loss: Loss | undefined): string {
  const { side, index } = element.spot
  const place = `${index + 1} of ${rig[side].length} on the ${side} side`
  return `${element.name}, ${element.words}, ${place}${loss ? `, ${formatNumber(loss.watts, 1)} W${heatWords[loss.heat]}` : ''}`
}

function neighbour(drawing: Drawing, { side, index }: Spot, along: number, key: string) {
  const wanted = along ? side : key === 'ArrowUp' ? 'positive' : 'negative'
  const here = drawing.elements.filter(({ spot }) => spot.side === wanted)
  return here[Math.max(0, Math.min(here.length - 1, index + along))]
}

/** The heat an element gives off: as wide as its watts, with the figure. */
function Peel({ x, y, share, loss }: { x: number; y: number; share: number; loss: Loss }) {
  const width = Math.max(1.5, 30 * share)
  const top = y + size.thickness / 2
  return (
    <g>
      <path
        d={`M${x - width / 2} ${top}h${width}v24l${-width / 2} 7l${-width / 2} -7z`}
        fill="var(--plum)"
        opacity={0.85}
      />
      <text
        x={x}
        y={top + 46}
        textAnchor="middle"
        fontSize={12}
        className="figures"
        fill={heatColour[loss.heat]}
      >
        {loss.watts < 0.05 ? '<0.1 W' : say(loss.watts, 'W', 2)}
        {loss.heat !== 'cool' && ` ${loss.heat}`}
      </text>
    </g>
  )
}

function Tap({
  x,
  name,
  meters,
  end = false,
}: {
  x: number
  name: string
  meters: readonly string[]
  end?: boolean
}) {
  return (
    <g>
      <line x1={x} x2={x} y1={22} y2={size.band.negative} stroke="var(--ink)" strokeDasharray="2 3" />
      <circle cx={x} cy={13} r={10} fill="var(--ground)" stroke="var(--ink)" />
      <text x={x} y={17} textAnchor="middle" fontSize={12} fontWeight={700} fill="var(--ink)">
        {name}
      </text>
      <text
        x={end ? x - 14 : x + 14}
        y={17}
        textAnchor={end ? 'end' : 'start'}
        fontSize={12}
        fill="var(--quiet)"
      >
        {meters.join(', ')}
      </text>
    </g>
  )
}

function UnitBlock({ drawing, unit }: { drawing: Drawing; unit: string }) {
  const left = drawing.width - size.unit - 2
  const words = unit.split(' ')
  return (
    <g>
      <rect
        x={left}
        y={size.band.positive - 20}
        width={size.unit}
        height={size.band.negative - size.band.positive + 40}
        fill="var(--raised)"
        stroke="var(--ink)"
      />
      {words.slice(0, 4).map((word, i) => (
        <text
          key={i}
          x={left + size.unit / 2}
          y={112 + 16 * i}
          textAnchor="middle"
          fontSize={13}
          fontWeight={600}
          fill="var(--ink)"
        >
          {cut(word, 13)}
        </text>
      ))}
    </g>
  )
}
