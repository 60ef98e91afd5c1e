import type { Answered, Place } from '@even-watt/core'
import { Link } from 'react-router'
import { Fig } from '../ui/Fig'
import { AskLeads } from './AskLeads'
import { promptsAt } from '../trials/usePrompts'
import { MarkOf } from './MarkOf'
import { sayCost } from './words'

const hues: Readonly<Record<Place, string>> = {
  DC: 'border-copper',
  AC: 'border-petrol',
  heat: 'border-plum',
  whole: 'border-ink',
}

interface Props {
  readonly answer: Answered
  readonly trial: string
  /** Of its question: below the heading that it stands under. */
  readonly heading?: 'h2' | 'h3'
}

/** A question, its answer with its figures, what settles it, and where its readings stand. */
export function AnswerLine({ answer, trial, heading: Heading = 'h2' }: Props) {
  const { id, asks, place, page, said, why, mark, open, unknown } = answer
  return (
    <li className="break-inside-avoid border-b border-rule py-3">
      <div
        className={`grid gap-x-4 gap-y-1 border-l-[6px] pl-3 sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)_auto] ${hues[place]}`}
      >
        <Heading className="mb-0 font-bold">
          <Link to={`/trials/${trial}/${page}`} className="hover:underline">
            {asks}
          </Link>
        </Heading>
        <div>
          <p>
            {said.length
              ? said.map((part, i) =>
                  typeof part === 'string' ? (
                    part
                  ) : (
                    <strong key={i}>
                      <Fig of={part} withUnit />
                    </strong>
                  ),
                )
              : open?.todo}
          </p>
          {why.map((sentence) => (
            <p key={sentence} className="text-quiet text-[0.9rem]">
              {sentence}
            </p>
          ))}
          {open && (
            <p className="text-quiet text-[0.9rem]">
              {said.length > 0 && said[0] !== open.todo && `${open.todo} `}
              {sayCost(open)}
            </p>
          )}
          {unknown === 'leads' && <AskLeads />}
        </div>
        <div className="flex items-start gap-3 sm:flex-col sm:items-end sm:gap-1">
          {id === 'keep' ? (
            <Link className="plain-link no-print" to={`/trials/${trial}/findings`}>
              Your own word
            </Link>
          ) : (
            <MarkOf mark={mark} />
          )}
          {open && (
            <Link className="action no-print" to={`/trials/${trial}/${promptsAt(open.page, open.load)}`}>
              {open.button}
            </Link>
          )}
        </div>
      </div>
    </li>
  )
}
