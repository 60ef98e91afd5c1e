import type { Mark } from '@even-watt/contract'

interface Props {
  readonly marks: readonly Mark[]
  /** Pixels of the photograph. */
  readonly width: number
  readonly height: number
  readonly chosen?: number | undefined
}

/** Rings, arrows and words over a photograph: in one colour with a light edge, so that they stand out on any ground. */
export function Marks({ marks, width, height, chosen }: Props) {
  const unit = Math.max(width, height) / 250
  return marks.map((mark, i) => (
    <g key={i} strokeLinecap="round" strokeLinejoin="round" fill="none">
      <Shape mark={mark} width={width} height={height} unit={unit} chosen={i === chosen} />
    </g>
  ))
}

const edge = '#fffdf7'
const line = '#9d2235'
const lineChosen = '#0b5a6b'

function Shape({
  mark: { shape, from, to, words },
  width,
  height,
  unit,
  chosen,
}: { mark: Mark; unit: number; chosen: boolean } & Pick<Props, 'width' | 'height'>) {
  const [x1, y1, x2, y2] = [from.x * width, from.y * height, to.x * width, to.y * height]
  const path =
    shape === 'ring' ? ringPath(x1, y1, x2, y2) : shape === 'arrow' ? arrowPath(x1, y1, x2, y2, unit) : ''
  const size = unit * 10.5
  // Words stand beside a ring, behind an arrow, or where they were put; never beyond the right edge.
  const [x, y] = shape === 'ring' ? [Math.min(x1, x2), Math.max(y1, y2) + size * 1.1] : [x1, y1 - unit * 2]
  const room = (words ?? '').length * size * 0.52
  const at = {
    x: Math.max(unit, Math.min(x, width - room - unit)),
    y: Math.max(size, Math.min(y, height - unit * 2)),
  }
  const colour = chosen ? lineChosen : line
  return (
    <>
      {path && <path d={path} stroke={edge} strokeWidth={unit * 2.8} />}
      {path && <path d={path} stroke={colour} strokeWidth={unit * 1.4} />}
      {words && (
        <text
          {...at}
          fontSize={size}
          fontWeight={700}
          fill={colour}
          stroke={edge}
          strokeWidth={unit * 1.8}
          paintOrder="stroke"
          fontFamily="Atkinson Hyperlegible Next, sans-serif"
        >
          {words}
        </text>
      )}
    </>
  )
}

/** A frame with round ends, so that a line of print stands whole inside it. */
function ringPath(x1: number, y1: number, x2: number, y2: number): string {
  const [left, top, width, height] = [
    Math.min(x1, x2),
    Math.min(y1, y2),
    Math.abs(x2 - x1),
    Math.abs(y2 - y1),
  ]
  const r = Math.min(width, height) / 2
  const [across, down] = [width - 2 * r, height - 2 * r]
  return `M${left + r} ${top} h${across} a${r} ${r} 0 0 1 ${r} ${r} v${down} a${r} ${r} 0 0 1 ${-r} ${r} h${-across} a${r} ${r} 0 0 1 ${-r} ${-r} v${-down} a${r} ${r} 0 0 1 ${r} ${-r} z`
}

function arrowPath(x1: number, y1: number, x2: number, y2: number, unit: number): string {
  const angle = Math.atan2(y2 - y1, x2 - x1)
  const head = unit * 8
  const barb = (turn: number) => `${x2 - head * Math.cos(angle + turn)} ${y2 - head * Math.sin(angle + turn)}`
  return `M${x1} ${y1} L${x2} ${y2} M${barb(0.5)} L${x2} ${y2} L${barb(-0.5)}`
}
