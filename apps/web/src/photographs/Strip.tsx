import { Link } from 'react-router'
import { useTrial } from '../trials/useTrial'
import { Picture } from './Picture'
import { sayPhotograph } from './sayPhotograph'
import { TakePhotograph } from './TakePhotograph'
import type { Subject } from './take'
import { isOf, usePhotographs } from './usePhotographs'

interface Props {
  readonly subject: Subject
  /** Ids of more things whose photographs stand here too, such as the other readings of a step. */
  readonly alsoOf?: readonly string[]
  /** For those who only hear the link: "the claim of 1400 W". */
  readonly of: string
}

/** The photographs of one thing, small, and the way to take another. */
export function Strip({ subject, of, alsoOf = [] }: Props) {
  const state = useTrial()
  const photographs = usePhotographs(state).filter(
    (entry) => isOf(entry, subject) || alsoOf.some((about) => isOf(entry, { about })),
  )
  return (
    <span className="flex flex-wrap items-center gap-2">
      {photographs.map((entry) => (
        <Link
          key={entry.id}
          to={`/trials/${state.trial.id}/report/photographs?photograph=${entry.id}`}
          aria-label={`${sayPhotograph(entry)}, of ${of}`}
        >
          <Picture entry={entry} alt={sayPhotograph(entry)} className="h-12" lazy small />
        </Link>
      ))}
      <TakePhotograph subject={subject} className="plain-link text-[0.9rem]">
        {photographs.length ? 'Another' : 'Photograph'}
        <span className="sr-only"> of {of}</span>
      </TakePhotograph>
    </span>
  )
}
