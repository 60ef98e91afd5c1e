import type { Question } from '@even-watt/contract'
import type { Answered, NextReading, ReadingOrder } from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { promptsAt } from '../trials/usePrompts'
import { sayBeyond, sayCost, sayWhy } from './words'

interface Props {
  readonly answers: readonly Answered[]
  /** Undefined while it is first weighed. */
  readonly order: ReadingOrder | undefined
  readonly busy: boolean
  readonly trial: string
}

/** What to read next, why, what it would settle and cost; or another thing that is open. */
export function ReadNext({ answers, order, busy, trial }: Props) {
  const [others, setOthers] = useState(false)
  if (!answers.some(({ open }) => open)) return null
  const asks = (ids: readonly Question[]) =>
    answers.flatMap((one) => (ids.includes(one.id) ? [one.asks] : [])).join(' ')
  const [first, ...rest] = order?.order ?? []
  return (
    <section
      aria-label="Read next"
      aria-busy={busy}
      className="min-h-20 border-t-[3px] border-b border-t-ink border-b-rule py-3"
    >
      {!order && <p className="text-quiet">Weighing what to read next …</p>}
      {first && (
        <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
          <div className="min-w-0 flex-[1_1_24rem]">
            <p>
              <strong>Read next:</strong> {first.open.todo}
            </p>
            <p className="text-quiet">
              {sayCost(first.open)} It would settle: {asks(first.settles)}
            </p>
            {sayWhy(first, rest, asks).map((sentence) => (
              <p key={sentence} className="text-quiet text-[0.9rem]">
                {sentence}
              </p>
            ))}
          </div>
          <div className="no-print flex items-center gap-4">
            {rest.length > 0 && (
              <button
                type="button"
                className="plain-link"
                aria-expanded={others}
                onClick={() => setOthers(!others)}
              >
                Something else
              </button>
            )}
            <Begin of={first} trial={trial} className="action action-main" />
          </div>
        </div>
      )}
      {order &&
        sayBeyond(order, asks).map((sentence) => (
          <p key={sentence} className="text-ochre mt-1">
            ▲ {sentence}
          </p>
        ))}
      {others && (
        <ul className="mt-2">
          {rest.map((one) => (
            <li key={one.settles.join(' ')} className="flex flex-wrap items-baseline gap-x-4 py-1">
              <span className="flex-[1_1_20rem]">
                {one.open.todo} <span className="text-quiet">{sayCost(one.open)}</span>
              </span>
              <Begin of={one} trial={trial} className="plain-link" />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

interface BeginProps {
  readonly of: NextReading
  readonly trial: string
  readonly className: string
}

const Begin = ({ of: { open }, trial, className }: BeginProps) => (
  <Link className={className} to={`/trials/${trial}/${promptsAt(open.page, open.load)}`}>
    {open.button}
  </Link>
)
