import { Link } from 'react-router'
import { api, problemOf } from '../api/api'
import { ProblemNotice } from '../ui/Notice'

/** An empty bench: what to do first, or the demo. */
export function FirstSteps() {
  const [load, { isLoading, error }] = api.useLoadDemoMutation()
  const steps = [
    [
      '/meters/new',
      'Add your meters',
      'with the accuracy printed in their manuals: every uncertainty comes from there.',
    ],
    ['/units/new', 'Add the unit', 'and what its label promises, each claim with where it was read.'],
    ['/rigs/new', 'Describe the rig', 'bank, both leads, fuse, and which meter reads what.'],
    ['/trials/new', 'Start a trial', 'from unit and rig; then read the idle draw and climb the ladder.'],
  ] as const
  return (
    <div className="max-w-2xl">
      <p className="mb-4">
        Nothing is on the bench yet.{' '}
        <Link className="action action-main" to="/begin">
          Begin in a minute
        </Link>{' '}
        with a line each for unit, rig and meters, or in full, in this order:
      </p>
      <ol className="list-decimal pl-5">
        {steps.map(([to, words, more]) => (
          <li key={to} className="py-1">
            <Link className="plain-link font-semibold" to={to}>
              {words}
            </Link>
            , {more}
          </li>
        ))}
      </ol>
      <p className="mt-4">
        Or look at a finished one first:{' '}
        <button type="button" className="action" disabled={isLoading} onClick={() => void load()}>
          {isLoading ? 'Loading the demo …' : 'Load the demo'}
        </button>
      </p>
      {error !== undefined && <ProblemNotice problem={problemOf(error)} />}
    </div>
  )
}
