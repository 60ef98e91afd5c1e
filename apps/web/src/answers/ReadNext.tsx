import { nextReadings, type Answered } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { sayCost } from './words'

interface Props {
  readonly answers: readonly Answered[]
  readonly trial: string
}

/** What to read next, what it would settle and cost; or another thing that is open. */
export function ReadNext({ answers, trial }: Props) {
  const next = useMemo(() => nextReadings(answers), [answers])
  const [others, setOthers] = useState(false)
  const [first, ...rest] = next
  if (!first) return null
  const asks = (ids: readonly string[]) =>
    answers.flatMap((one) => (ids.includes(one.id) ? [one.asks] : [])).join(' ')
  return (
    <section aria-label="Read next" className="border-t-[3px] border-b border-t-ink border-b-rule py-3">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
        <div className="min-w-0 flex-[1_1_24rem]">
          <p>
            <strong>Read next:</strong> {first.open.todo}
          </p>
          <p className="text-quiet">
            {sayCost(first.open)} It would settle: {asks(first.settles)}
          </p>
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
          <Link className="action primary" to={`/trials/${trial}/${first.open.page}`}>
            {first.open.button}
          </Link>
        </div>
      </div>
      {others && (
        <ul className="mt-2">
          {rest.map(({ open, settles }) => (
            <li key={settles.join(' ')} className="flex flex-wrap items-baseline gap-x-4 py-1">
              <span className="flex-[1_1_20rem]">
                {open.todo} <span className="text-quiet">{sayCost(open)}</span>
              </span>
              <Link className="plain-link" to={`/trials/${trial}/${open.page}`}>
                {open.button}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
