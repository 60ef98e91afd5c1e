import type { Stretch } from '@even-watt/core'
import { formatNumber, say } from '@even-watt/core'
import { useMemo, useState, type PointerEvent } from 'react'
import { useWidth } from '../ui/useWidth'
import type { Clock } from './days'
import { pictureOf, placeAt, rows, type DrawnStretch, type Picture } from './picture'
import { percent, sayStretch } from './words'

interface Props {
  readonly placed: readonly Stretch[]
  readonly clock: Clock
  /** A moment to mark; undefined: none. */
  readonly now?: number | undefined
  readonly chosen?: string | undefined
  readonly onChoose?: (block: string) => void
  /** A block was dragged to a place among the blocks. */
  readonly onMove?: (block: string, to: number) => void
}

/** Width of a letter, about, px. */
const letter = 7

/** Where on the picture a pointer is, px of its own: it may be drawn smaller. */
function placeOf({ clientX, currentTarget }: PointerEvent<SVGElement>): number {
  const svg = currentTarget.ownerSVGElement ?? currentTarget
  const { left, width } = svg.getBoundingClientRect()
  const own = Number(svg.getAttribute('width'))
  return ((clientX - left) * own) / (width || own)
}

/** The schedule in one picture: blocks in time, the state of charge and the watts at the outlet under them. */
export function SchedulePicture({ placed, clock, now, chosen, onChoose, onMove }: Props) {
  const [holder, width = 900] = useWidth<HTMLDivElement>()
  const picture = useMemo(() => pictureOf(placed, width), [placed, width])
  const [drag, setDrag] = useState<{ block: string; from: number; x: number }>()
  const moved = drag !== undefined && Math.abs(drag.x - drag.from) > 5
  const first = placed[0]
  const last = placed.at(-1)
  if (!first || !last) return null
  return (
    <div ref={holder}>
      <svg
        width={picture.width}
        viewBox={`0 0 ${picture.width} ${rows.height}`}
        role="img"
        aria-label={`Schedule from ${clock.both(first.from)} to ${clock.both(last.to)}: ${placed.length} stretches; the bank ends at ${percent(last.pieces.at(-1)?.charge[1] ?? 0)}.`}
        className="block h-auto max-w-full select-none"
        onPointerMove={(event) => {
          if (drag) setDrag({ ...drag, x: placeOf(event) })
        }}
        onPointerUp={() => {
          if (drag && moved) onMove?.(drag.block, placeAt(picture, drag.x))
          setDrag(undefined)
        }}
        onPointerLeave={() => setDrag(undefined)}
      >
        <Frame picture={picture} clock={clock} />
        <path d={picture.watts.map(({ path }) => path).join('')} fill="var(--petrol)" opacity={0.85} />
        <polyline points={picture.charge} fill="none" stroke="var(--copper)" strokeWidth={2} />
        {picture.stretches.map((drawn) => (
          <Box
            key={drawn.index}
            drawn={drawn}
            chosen={drawn.stretch.block === chosen}
            onDown={(x) => {
              const { block, part } = drawn.stretch
              onChoose?.(block)
              if (!part && onMove && drawn.stretch.state === 'planned') setDrag({ block, from: x, x })
            }}
          />
        ))}
        {now !== undefined && now >= first.from && now <= last.to && (
          <Mark x={picture.x(now)} colour="var(--madder)" words="now" />
        )}
        {drag && moved && <Mark x={drag.x} colour="var(--ink)" words="here" />}
      </svg>
    </div>
  )
}

function Mark({ x, colour, words }: { x: number; colour: string; words: string }) {
  return (
    <g pointerEvents="none">
      <line x1={x} x2={x} y1={rows.blocks.top - 4} y2={rows.axis - 10} stroke={colour} strokeWidth={2} />
      <text
        x={x + 4}
        y={rows.blocks.top + rows.blocks.height + 14}
        fill={colour}
        fontSize={12}
        fontWeight={600}
      >
        {words}
      </text>
    </g>
  )
}

function Box({
  drawn: { stretch, index, x, width },
  chosen,
  onDown,
}: {
  drawn: DrawnStretch
  chosen: boolean
  onDown: (x: number) => void
}) {
  const { top, height } = rows.blocks
  const words = sayStretch(stretch)
  const label = width > words.length * letter + 10 ? words : width > 16 ? String(index + 1) : ''
  const fill =
    stretch.state === 'running'
      ? 'var(--chosen)'
      : stretch.part
        ? stretch.part === 'cool-down'
          ? 'var(--plum-soft)'
          : 'var(--copper-soft)'
        : stretch.state === 'done'
          ? 'var(--rule)'
          : 'var(--raised)'
  return (
    <g
      onPointerDown={(event) => onDown(placeOf(event))}
      style={{ cursor: stretch.part ? 'default' : 'grab', touchAction: 'none' }}
    >
      <title>{`${index + 1}. ${words}${stretch.because ? `: ${stretch.because}` : ''}`}</title>
      <rect
        x={x + 0.5}
        y={top}
        width={Math.max(1, width - 1)}
        height={height}
        fill={fill}
        stroke="var(--ink)"
        strokeWidth={chosen ? 2.5 : 0.75}
      />
      {label && (
        <text
          x={x + width / 2}
          y={top + height / 2 + 4}
          textAnchor="middle"
          fontSize={12.5}
          fill="var(--ink)"
        >
          {label}
        </text>
      )}
    </g>
  )
}

/** Axes, thresholds, nights and the names of days. */
function Frame({ picture, clock }: { picture: Picture; clock: Clock }) {
  const { charge, watts } = rows
  const { left, right } = picture
  const level = (share: number) => charge.top + (1 - share) * charge.height
  const days = picture.ticks.filter(
    (tick, i) => i === 0 || clock.date(tick) !== clock.date(picture.ticks[i - 1] ?? 0),
  )
  return (
    <g fontSize={12} fill="var(--quiet)">
      {picture.gaps.map((gap) => (
        <rect
          key={gap.x}
          x={gap.x}
          y={rows.blocks.top}
          width={gap.width}
          height={rows.axis - rows.blocks.top - 10}
          fill="var(--rule)"
          opacity={0.45}
        />
      ))}
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line x1={left} x2={right} y1={level(share)} y2={level(share)} stroke="var(--rule)" />
          <text x={left - 6} y={level(share) + 4} textAnchor="end">
            {formatNumber(share * 100, 0)}
          </text>
        </g>
      ))}
      <line
        x1={left}
        x2={right}
        y1={level(0.8)}
        y2={level(0.8)}
        stroke="var(--copper)"
        strokeDasharray="4 4"
      />
      <text x={left + 4} y={charge.top - 5} fill="var(--copper)">
        state of charge, % (dashed: surge tests start above 80 %)
      </text>
      {[0, 1].map((share) => (
        <g key={share}>
          <line
            x1={left}
            x2={right}
            y1={watts.top + (1 - share) * watts.height}
            y2={watts.top + (1 - share) * watts.height}
            stroke="var(--rule)"
          />
          <text x={left - 6} y={watts.top + (1 - share) * watts.height + 4} textAnchor="end">
            {share ? say(picture.mostWatts, '') : 0}
          </text>
        </g>
      ))}
      <text x={left + 4} y={watts.top - 6} fill="var(--petrol)">
        output, W
      </text>
      {picture.ticks.map((tick) => (
        <g key={tick}>
          <line
            x1={picture.x(tick)}
            x2={picture.x(tick)}
            y1={rows.axis - 14}
            y2={rows.axis - 9}
            stroke="var(--quiet)"
          />
          <text x={picture.x(tick)} y={rows.axis + 6} textAnchor="middle" className="figures">
            {clock.time(tick)}
          </text>
        </g>
      ))}
      {days.map((tick) => (
        <text key={tick} x={picture.x(tick)} y={rows.days} fontWeight={600} fill="var(--ink)">
          {clock.date(tick)}
        </text>
      ))}
    </g>
  )
}
