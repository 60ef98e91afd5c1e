import { say } from '@even-watt/core'
import type { ReactNode } from 'react'
import type { Drawing, PlacedElement } from './drawing'
import { Glyph } from './glyph'
import type { DrawingProps, Loss } from './RigDrawing'

interface Props extends DrawingProps {
  readonly drawing: Drawing
}

const sideWords = {
  positive: 'From + of the bank to the unit',
  negative: 'From − of the bank to the unit',
} as const

/** The power path where a drawing has no room: its parts below each other, in path order, each conductor by itself. */
export function PathList({ rig, unit, meters, drawing, selected, onSelect, losses, marked, edit }: Props) {
  return (
    <div>
      <ul aria-label="Bank">
        {drawing.batteries.map(({ id, name, open }) => (
          <li key={id}>
            <PathPart id={id} {...{ selected, onSelect }}>
              {name}
              {open && <span className="text-madder"> carries nothing</span>}
              <Meter on={meters.on.get(id)} />
            </PathPart>
          </li>
        ))}
      </ul>
      <Taps name="A" meters={meters.A} />
      {(['positive', 'negative'] as const).map((side) => (
        <section key={side} className="border-l-[6px] border-copper pl-2 not-first:mt-2">
          <h3 className="text-quiet">{sideWords[side]}</h3>
          {rig[side].length === 0 && <p className="text-quiet">nothing described</p>}
          <ol>
            {drawing.elements
              .filter(({ spot }) => spot.side === side)
              .map((element) => (
                <li key={element.id} className="border-b border-rule">
                  <PathPart id={element.id} {...{ selected, onSelect }}>
                    <svg width="56" height="28" className="shrink-0" aria-hidden="true">
                      <path d="M0 14h56" stroke="var(--copper)" strokeWidth="5" />
                      <Glyph kind={element.kind} x={28} y={14} />
                    </svg>
                    <span className="min-w-0 flex-1 break-words">
                      {marked?.has(element.id) && '▲ '}
                      {element.name} <span className="text-quiet">{element.words}</span>
                      <Meter on={meters.on.get(element.id)} />
                    </span>
                    <LossOf loss={losses?.get(element.id)} />
                  </PathPart>
                  {edit && selected === element.id && <Moves element={element} edit={edit} />}
                </li>
              ))}
          </ol>
        </section>
      ))}
      <Taps name="B" meters={meters.B} />
      <p className="font-semibold">{unit}</p>
    </div>
  )
}

interface PartProps extends Pick<Props, 'selected' | 'onSelect'> {
  readonly id: string
  readonly children: ReactNode
}

function PathPart({ id, selected, onSelect, children }: PartProps) {
  const look = `flex w-full items-center gap-2 text-left ${selected === id ? 'bg-chosen' : ''}`
  return onSelect ? (
    <button
      type="button"
      data-id={id}
      className={look}
      aria-pressed={selected === id}
      onClick={() => onSelect(id)}
    >
      {children}
    </button>
  ) : (
    <div className={look}>{children}</div>
  )
}

const Meter = ({ on }: { readonly on: string | undefined }) =>
  on === undefined ? null : <span className="text-quiet block">around it: {on}</span>

const Taps = ({ name, meters }: { readonly name: string; readonly meters: readonly string[] }) => (
  <p className="text-quiet my-1">
    <strong className="text-ink">{name}</strong> {meters.join(', ') || 'no meter'}
  </p>
)

const heatColour = { cool: 'text-plum', warm: 'text-ochre', hot: 'text-madder' } as const

const LossOf = ({ loss }: { readonly loss: Loss | undefined }) =>
  loss ? (
    <span className={`figures whitespace-nowrap ${heatColour[loss.heat]}`}>
      {loss.watts < 0.05 ? '<0.1 W' : say(loss.watts, 'W', 2)}
      {loss.heat !== 'cool' && ` ${loss.heat}`}
    </span>
  ) : null

interface MovesProps {
  readonly element: PlacedElement
  readonly edit: NonNullable<Props['edit']>
}

/** A thumb moves what a mouse drags. */
const Moves = ({ element: { spot }, edit }: MovesProps) => (
  <span className="flex flex-wrap gap-x-5">
    <button
      type="button"
      className="plain-link"
      disabled={spot.index === 0}
      onClick={() => edit.move(spot, { ...spot, index: spot.index - 1 })}
    >
      Nearer the bank
    </button>
    <button
      type="button"
      className="plain-link"
      onClick={() => edit.move(spot, { ...spot, index: spot.index + 1 })}
    >
      Nearer the unit
    </button>
    <button type="button" className="plain-link" onClick={() => edit.cross(spot)}>
      Other conductor
    </button>
    <button type="button" className="plain-link" onClick={() => edit.remove(spot)}>
      Take out
    </button>
  </span>
)
