import { Link } from 'react-router'
import { useTrial } from '../trials/useTrial'

/** Where a run sheet is asked for and nothing is scheduled. */
export function NeedsSchedule() {
  const { trial } = useTrial()
  return (
    <p>
      The run sheet is made from the schedule, and there is none yet.{' '}
      <Link className="plain-link" to={`/trials/${trial.id}/plan/schedule`}>
        Make one
      </Link>
      .
    </p>
  )
}
