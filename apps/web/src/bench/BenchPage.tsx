import type { TrialLine } from '@even-watt/contract'
import { lazy, Suspense } from 'react'
import { Link } from 'react-router'
import { api, problemOf } from '../api/api'
import { shortDate } from '../ui/dates'
import { Loaded } from '../ui/Loaded'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'

// Working out how far a trial is takes the whole core: it is loaded after the list stands.
const LatestTrial = lazy(async () => ({ default: (await import('./LatestTrial')).LatestTrial }))

/** What is on the bench now, and what is next. */
export function BenchPage() {
  const query = api.useTrialsQuery()
  return (
    <Page
      title="Bench"
      actions={
        <>
          <Link className="action" to="/import">
            Import a trial
          </Link>
          <Link className="action action-main" to="/trials/new">
            Start a trial
          </Link>
        </>
      }
    >
      <Loaded query={query} what="the trials">
        {(trials) => (trials.length ? <Trials trials={trials} /> : <FirstSteps />)}
      </Loaded>
    </Page>
  )
}

function Trials({ trials }: { trials: readonly TrialLine[] }) {
  const latest = [...trials].sort((a, b) =>
    (b.lastAt ?? b.startedAt).localeCompare(a.lastAt ?? a.startedAt),
  )[0]
  return (
    <>
      {latest && (
        <Suspense fallback={<p className="text-quiet mb-6 min-h-28">Reading the trial on the bench …</p>}>
          <LatestTrial line={latest} />
        </Suspense>
      )}
      <h2>All trials</h2>
      <div className="overflow-x-auto">
        <table className="list-table">
          <thead>
            <tr>
              <th>trial</th>
              <th>unit</th>
              <th>rig</th>
              <th>by</th>
              <th>started</th>
              <th className="right">rig revisions</th>
              <th className="right">entries</th>
            </tr>
          </thead>
          <tbody>
            {trials.map((trial) => (
              <tr key={trial.id}>
                <td className="max-w-80 font-semibold break-words">
                  <Link className="plain-link" to={`/trials/${trial.id}/ladder`}>
                    {trial.title}
                  </Link>
                </td>
                <td className="max-w-52 break-words">{trial.unit}</td>
                <td className="max-w-52 break-words">{trial.rig}</td>
                <td>{trial.by}</td>
                <td className="whitespace-nowrap">{shortDate(trial.startedAt)}</td>
                <td className="figures right">{trial.revisions}</td>
                <td className="figures right">{trial.entries}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}

function FirstSteps() {
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
      <p className="mb-3">Nothing is on the bench yet. In this order:</p>
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
