import { size, type Drawing } from './drawing/drawing'
import { cut, Ring } from './drawing/drawingParts'
import type { Hung } from './drawing/hung'
import type { RigForm } from './editor/form'

interface BankProps {
  readonly drawing: Drawing
  readonly rig: RigForm
  readonly meters: Hung
  readonly selected: string | undefined
  readonly onSelect: ((id: string) => void) | undefined
  readonly onRemove: ((id: string) => void) | undefined
}

/** The batteries with their links, and where the leads are taken off. */
export function BankBlock({ drawing, rig, meters, selected, onSelect, onRemove }: BankProps) {
  const { batteries, takeOff, gaps, support } = drawing
  const first = batteries[0]
  const left = first ? first.x + first.width / 2 : 20
  const right = Math.max(left, ...batteries.map(({ x, width }) => x + width / 2))
  return (
    <g>
      {(['positive', 'negative'] as const).map((side) => {
        const y = size.band[side]
        return (
          <g key={side} stroke="var(--copper)" strokeWidth={3} fill="none">
            <path d={`M${left} ${y}H${right}`} />
            <path
              d={`M${takeOff[side]} ${y}${side === 'positive' ? 'v-16' : 'v16'}H${drawing.bank}v${side === 'positive' ? 16 : -16}`}
            />
            <circle cx={takeOff[side]} cy={y} r={4} fill="var(--copper)" />
          </g>
        )
      })}
      {gaps.map(({ side, x }, i) => (
        <rect key={i} x={x - 4} y={size.band[side] - 5} width={8} height={10} fill="var(--ground)" />
      ))}
      {batteries.map((battery) => (
        <line
          key={battery.id}
          x1={battery.x + battery.width / 2}
          x2={battery.x + battery.width / 2}
          y1={size.band.positive}
          y2={size.band.negative}
          stroke="var(--copper)"
          strokeWidth={2}
          strokeDasharray={battery.open ? '3 3' : undefined}
        />
      ))}
      {batteries.map((battery) => {
        const chosen = selected === battery.id
        const x = battery.x + battery.width / 2
        return (
          <g
            key={battery.id}
            data-id={battery.id}
            role={onSelect ? 'button' : undefined}
            tabIndex={onSelect ? 0 : undefined}
            aria-pressed={onSelect ? chosen : undefined}
            aria-label={`battery ${battery.name}${battery.open ? ', carries nothing' : ''}`}
            className={onSelect ? 'rig-part cursor-pointer' : 'rig-part'}
            onClick={() => onSelect?.(battery.id)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') onSelect?.(battery.id)
              else if (event.key === 'Delete' || event.key === 'Backspace') onRemove?.(battery.id)
              else return
              event.preventDefault()
            }}
          >
            <rect
              x={battery.x}
              y={battery.y}
              width={battery.width}
              height={battery.height}
              fill={chosen ? 'var(--chosen)' : 'var(--copper-soft)'}
              stroke={battery.open ? 'var(--madder)' : 'var(--ink)'}
              strokeDasharray={battery.open ? '3 3' : undefined}
            />
            <text
              x={x}
              y={battery.y + battery.height / 2 + 4}
              textAnchor="middle"
              fontSize={Math.min(11.5, battery.height - 2)}
              fill="var(--ink)"
            >
              {cut(battery.name, battery.width / 5.8)}
            </text>
            {meters.on.has(battery.id) && (
              <Ring x={x - 34} y={battery.y - 8} words={meters.on.get(battery.id) ?? ''} />
            )}
          </g>
        )
      })}
      <text x={4} y={17} fontSize={12.5} fontWeight={600} fill="var(--ink)">
        {cut(rig.bank.name || 'bank', drawing.bank / 6.5)}
      </text>
      {support !== undefined && (
        <text x={4} y={size.height - 16} fontSize={12} fill="var(--quiet)">
          + {cut(support, drawing.bank / 6)}
        </text>
      )}
    </g>
  )
}
