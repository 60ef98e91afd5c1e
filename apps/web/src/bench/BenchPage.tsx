import { lazy, Suspense } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { Loaded } from '../ui/Loaded'
import { Page } from '../ui/Page'
import { FirstSteps } from './FirstSteps'
import { RunningNow } from './RunningNow'
import { TrialList } from './TrialList'

// Working out how far a trial is takes the whole core: it is loaded after the list stands.
const LatestTrial = lazy(async () => ({ default: (await import('./LatestTrial')).LatestTrial }))

/** What is on the bench now, and what is next. */
export function BenchPage() {
  const query = api.useTrialsQuery({ by: 'lastAt', limit: 1 })
  return (
    <Page
      title="Bench"
      actions={
        <>
          <Link className="action" to="/begin">
            Begin in a minute
          </Link>
          <Link className="action action-main" to="/trials/new">
            Start a trial
          </Link>
        </>
      }
    >
      <Loaded query={query} what="the trials">
        {({ trials: [latest], total }) =>
          latest ? (
            <>
              <RunningNow />
              <Suspense
                fallback={<p className="text-quiet mb-6 min-h-28">Reading the trial on the bench …</p>}
              >
                <LatestTrial line={latest} />
              </Suspense>
              <TrialList all={total} />
              <Besides />
            </>
          ) : (
            <>
              <FirstSteps />
              <Besides />
            </>
          )
        }
      </Loaded>
    </Page>
  )
}

const besides = [
  ['/search', 'Search everything'],
  ['/import', 'Import a trial'],
  ['/settings', 'Settings'],
  ['/phone', 'Phone'],
  ['/backup', 'Back up'],
] as const

/** What is wanted of a bench now and then. */
const Besides = () => (
  <nav
    className="no-print mt-6 flex flex-wrap gap-x-5 border-t border-rule pt-2"
    aria-label="What is wanted now and then"
  >
    {besides.map(([to, words]) => (
      <Link key={to} className="plain-link" to={to}>
        {words}
      </Link>
    ))}
  </nav>
)
