import {
  nameOf,
  quantityOf,
  sayAssumed,
  saySum,
  type QuantityId,
  type Sheet,
  type SumRow,
} from '@even-watt/core'
import type { ReactNode } from 'react'
import type { Line } from './lines'

const hues = { dc: 'border-copper', ac: 'border-petrol', heat: 'border-plum', none: 'border-rule' } as const

function Row({ id, value, note }: { id: QuantityId; value: ReactNode; note: ReactNode }) {
  return (
    <div className="grid grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1 md:grid-cols-[17rem_15rem_1fr]">
      <div className={`border-l-4 pl-2 ${hues[quantityOf(id).side]}`}>{nameOf(id)}</div>
      <div>{value}</div>
      <div className="text-quiet col-span-2 pl-3 md:col-span-1 md:pl-0">{note}</div>
    </div>
  )
}

interface TypedProps {
  readonly lines: readonly Line[]
  readonly faults: ReadonlyMap<QuantityId, string>
  readonly focused: QuantityId | undefined
  readonly onChange: (id: QuantityId, text: string) => void
  readonly onRemove: (id: QuantityId) => void
}

/** What was typed: each in its field, to be changed or emptied. */
export function TypedRows({ lines, faults, focused, onChange, onRemove }: TypedProps) {
  return (
    // A form, so that Enter goes from field to field; it has nothing to send.
    <form aria-label="What you know" onSubmit={(event) => event.preventDefault()}>
      {lines.map(({ id, text }) => {
        const fault = faults.get(id)
        return (
          <Row
            key={id}
            id={id}
            value={
              <span className="flex items-center gap-1">
                <input
                  className="input figures w-36 font-bold md:w-full"
                  aria-label={nameOf(id)}
                  aria-invalid={fault !== undefined}
                  aria-describedby={fault === undefined ? undefined : `${id} fault`}
                  autoFocus={focused === id}
                  value={text}
                  maxLength={80}
                  autoComplete="off"
                  placeholder={placeholderOf(id)}
                  onChange={({ target }) => onChange(id, target.value)}
                />
                <button
                  type="button"
                  className="no-print px-2 py-1 max-md:min-h-10 max-md:min-w-10"
                  aria-label={`Remove ${quantityOf(id).name}`}
                  onClick={() => onRemove(id)}
                >
                  ×
                </button>
              </span>
            }
            note={
              fault === undefined ? (
                <span className="max-md:hidden">{text.trim() ? 'typed' : 'not typed yet'}</span>
              ) : (
                <span id={`${id} fault`} role="alert" className="text-madder">
                  {fault}
                </span>
              )
            }
          />
        )
      })}
    </form>
  )
}

const placeholderOf = (id: QuantityId) => {
  const { kind } = quantityOf(id)
  return kind === '×' ? 'a number' : kind === 'mm²' ? 'mm² or AWG' : kind === 'money' ? 'an amount' : kind
}

/** What follows: its value, by what relation, and what had to be assumed. */
export function FollowingRows({
  follows,
  onType,
}: Pick<Sheet, 'follows'> & { onType: (id: QuantityId) => void }) {
  return (
    <section aria-label="What follows" className="mt-4 border-t-2 border-plum">
      {follows.map((row) => (
        <Row key={row.id} id={row.id} value={<Value of={row} />} note={<How of={row} onType={onType} />} />
      ))}
    </section>
  )
}

const Value = ({ of }: { of: SumRow }) => (
  <output className="figures text-[1.1rem] font-bold whitespace-nowrap">{saySum(of)}</output>
)

/** An assumption is said where it enters; what follows from there is marked. */
const sayRests = ({ by, rests }: SumRow) => {
  const entering = rests.filter((id) => by?.of.includes(id))
  return entering.length > 0 ? entering.map((id) => sayAssumed(id)).join(', ') : 'with what was assumed'
}

const How = ({ of, onType }: { of: SumRow; onType: (id: QuantityId) => void }) => (
  <span className="flex flex-wrap items-center justify-between gap-2">
    <span>
      {of.by?.equation}
      {of.rests.length > 0 && <span className="text-ochre"> · {sayRests(of)}</span>}
    </span>
    <button
      type="button"
      className="plain-link no-print"
      aria-label={`Type ${quantityOf(of.id).name}`}
      onClick={() => onType(of.id)}
    >
      type it
    </button>
  </span>
)
