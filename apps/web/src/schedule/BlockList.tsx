import type { Block, Schedule } from '@even-watt/contract'
import { placedKey, type Scheduled, type Stretch } from '@even-watt/core'
import { useEffect, useRef, useState } from 'react'
import { readNumber, typed } from '../ui/form'
import { changeBlock, moveBlock, orderOf, removeBlock, withField } from './edit'
import { momentOn, type Clock } from './days'
import { percent, sayLength, sayPart, sayStretch } from './words'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly schedule: Schedule
  readonly stands: Scheduled
  readonly late: ReadonlyMap<string, number>
  readonly clock: Clock
  readonly chosen: string | undefined
  readonly onChoose: (block: string) => void
  readonly onChange: (schedule: Schedule) => void
}

/** The schedule as a list: order, lengths and times are the tester's to fix, by keyboard as well. */
export function BlockList({ schedule, stands, late, clock, chosen, onChoose, onChange }: Props) {
  const order = orderOf(stands.placed)
  const moved = useRef<string>(undefined)
  // The hand stays on the row that it moves, wherever that is drawn next.
  useEffect(() => {
    if (moved.current !== undefined) document.getElementById(`block ${moved.current}`)?.focus()
    moved.current = undefined
  }, [stands])
  const move = (id: string, by: number) => {
    const next = moveBlock(schedule, order, id, order.indexOf(id) + by)
    if (next) onChange(next)
    moved.current = id
  }
  return (
    <FitTable>
      <thead>
        <tr>
          <th className="right">no.</th>
          <th>from, to</th>
          <th className="min-w-[11rem]">what</th>
          <th className="right">takes</th>
          <th className="right">bank, %</th>
          <th className="no-print">length, min</th>
          <th className="no-print">not before</th>
          <th className="no-print" />
        </tr>
      </thead>
      <tbody>
        {stands.placed.map((stretch, i) => {
          const block = schedule.blocks.find(({ id }) => id === stretch.block)
          if (!block) return null
          const minutesLate = late.get(placedKey(stretch))
          return (
            <tr
              key={placedKey(stretch)}
              id={stretch.part ? undefined : `block ${block.id}`}
              tabIndex={stretch.part ? undefined : 0}
              aria-label={stretch.part ? undefined : sayStretch(stretch)}
              className={block.id === chosen ? 'bg-chosen' : ''}
              onFocus={() => onChoose(block.id)}
              onKeyDown={(event) => {
                if (stretch.part || !event.altKey || stretch.state !== 'planned') return
                if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
                event.preventDefault()
                move(block.id, event.key === 'ArrowUp' ? -1 : 1)
              }}
            >
              <td className="figures right">{i + 1}</td>
              <td className="figures whitespace-nowrap">
                {clock.time(stretch.from)}–{clock.time(stretch.to)}
                {(i === 0 || clock.date(stretch.from) !== clock.date(stands.placed[i - 1]?.from ?? 0)) && (
                  <span className="text-quiet block font-sans text-[0.85rem]">
                    {clock.date(stretch.from)}
                  </span>
                )}
              </td>
              <td>
                <What stretch={stretch} fixed={block.fixed} />
                {minutesLate !== undefined && stretch.state === 'planned' && (
                  <span className="text-ochre"> ▲ {sayLength(minutesLate)} later than planned</span>
                )}
              </td>
              <td className="figures right whitespace-nowrap">{sayLength(stretch.to - stretch.from)}</td>
              <td className="figures right whitespace-nowrap">{chargeOf(stretch)}</td>
              {stretch.part || stretch.state !== 'planned' ? (
                <td colSpan={3} className="no-print" />
              ) : (
                <Fields
                  block={block}
                  schedule={schedule}
                  starts={stretch.from}
                  ends={stretch.to}
                  clock={clock}
                  onChange={onChange}
                  onMove={(by) => move(block.id, by)}
                />
              )}
            </tr>
          )
        })}
      </tbody>
    </FitTable>
  )
}

const chargeOf = ({ pieces }: Stretch): string => {
  const [from, to] = [pieces[0]?.charge[0], pieces.at(-1)?.charge[1]]
  if (from === undefined || to === undefined) return '–'
  const [a, b] = [percent(from), percent(to)]
  return a === b ? a.replace(' %', '') : `${a.replace(' %', '')} → ${b.replace(' %', '')}`
}

function What({ stretch, fixed }: { stretch: Stretch; fixed: boolean }) {
  if (stretch.part) {
    return (
      <span className="text-quiet">
        {sayPart(stretch.part)}: {stretch.because ?? `before ${stretch.kind}`}.
        {stretch.state !== 'planned' && ` (${stretch.state})`}
      </span>
    )
  }
  return (
    <>
      <span className="font-semibold">{sayStretch(stretch)}</span>
      {stretch.kind === 'ladder' && <span className="text-quiet">, {stretch.pieces.length} steps</span>}
      {fixed && <span className="text-quiet"> (fixed)</span>}
      {stretch.state !== 'planned' && <span className="text-moss"> ● {stretch.state}</span>}
    </>
  )
}

interface FieldsProps {
  readonly block: Block
  readonly schedule: Schedule
  readonly starts: number
  readonly ends: number
  readonly clock: Clock
  readonly onChange: (schedule: Schedule) => void
  readonly onMove: (by: number) => void
}

/** What the tester may say of a block; a field is taken when it is left, and refused in a sentence. */
function Fields({ block, schedule, starts, ends, clock, onChange, onMove }: FieldsProps) {
  const { startsAt } = block
  const shownTime = startsAt === undefined ? '' : clock.time(Date.parse(startsAt))
  const [why, setWhy] = useState<string>()
  const change = (edit: (one: Block) => Block) => {
    setWhy(undefined)
    onChange(changeBlock(schedule, block.id, edit))
  }
  const takeMinutes = (text: string) => {
    const { value, why: bad } = readNumber(text)
    if (bad !== undefined || (value !== undefined && !(value > 0 && value <= 4320))) {
      setWhy(`Length: minutes above 0 and up to 4320, not "${text.slice(0, 20)}".`)
    } else if (value !== block.minutes) change((one) => withField(one, 'minutes', value))
  }
  const takeTime = (text: string) => {
    const clean = text.trim()
    if (clean === shownTime) return
    if (!clean) change((one) => withField(one, 'startsAt', undefined))
    else if (!/^([01]?\d|2[0-3]):[0-5]\d$/.test(clean)) {
      setWhy(`Not before: a time of day like 14:30, not "${clean.slice(0, 20)}".`)
    } else {
      const moment = momentOn(starts, clean, schedule.timeZone)
      change((one) => withField(one, 'startsAt', new Date(moment).toISOString()))
    }
  }
  return (
    <>
      <td className="no-print">
        <input
          key={`minutes ${block.minutes ?? ''}`}
          className="input figures w-[4.5rem]"
          aria-label={`Length of ${block.kind}, min`}
          defaultValue={typed(block.minutes)}
          placeholder={String(Math.round((ends - starts) / 60_000))}
          inputMode="decimal"
          onBlur={(event) => takeMinutes(event.target.value)}
        />
        {why !== undefined && (
          <p role="alert" className="text-madder max-w-[14rem]">
            {why}
          </p>
        )}
      </td>
      <td className="no-print">
        <input
          key={`starts ${shownTime}`}
          className="input figures w-[4.5rem]"
          aria-label={`${block.kind}, not before`}
          defaultValue={shownTime}
          placeholder="any"
          onBlur={(event) => takeTime(event.target.value)}
        />
      </td>
      <td className="no-print whitespace-nowrap">
        <button
          type="button"
          className="plain-link mr-3"
          onClick={() => onMove(-1)}
          aria-label={`${block.kind} earlier`}
        >
          ↑
        </button>
        <button
          type="button"
          className="plain-link mr-3"
          onClick={() => onMove(1)}
          aria-label={`${block.kind} later`}
        >
          ↓
        </button>
        <button
          type="button"
          className="plain-link mr-3"
          aria-pressed={block.fixed}
          onClick={() => change((one) => ({ ...one, fixed: !one.fixed }))}
        >
          {block.fixed ? 'Free' : 'Fix'}
        </button>
        <button
          type="button"
          className="plain-link"
          aria-label={`Take ${block.kind} out`}
          onClick={() => onChange(removeBlock(schedule, block.id))}
        >
          Take out
        </button>
      </td>
    </>
  )
}
