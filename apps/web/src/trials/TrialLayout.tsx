import type { Trial } from '@even-watt/contract'
import { Suspense, useMemo } from 'react'
import { Outlet, useLocation, useParams, useSearchParams } from 'react-router'
import { api } from '../api/api'
import { pageFor } from '../method/pageFor'
import type { StageGroup } from '../stage'
import { fetched } from '../ui/fetched'
import { useKey } from '../ui/keys'
import { Loaded } from '../ui/Loaded'
import { ShowWorking } from '../ui/ShowWorking'
import { CountedTwice } from './CountedTwice'
import { namesOf } from './naming'
import { TakeBackLast } from './TakeBackLast'
import { StagesContext, useStages } from './stageContext'
import { TrialContext, useTrialView, useWorked, type TrialState } from './useTrial'
import { TrialHead } from './TrialHead'
import { WorkOrder } from './WorkOrder'

/** The working of a figure that was looked for: fetched only then. */
const FoundFigure = fetched(async () => (await import('./FoundFigure')).FoundFigure)

/** What like figures of a page come to together: it stands at its foot, and is fetched after it. */
const PageFigures = fetched(async () => (await import('../catalogue/PageFigures')).PageFigures)

/** Everything inside a trial: its record, the work order beside it, and the working of any figure. */
export function TrialLayout({ groups }: { groups: readonly StageGroup[] }) {
  const stages = useMemo(() => groups.flatMap((group) => group.stages), [groups])
  const { id = '' } = useParams()
  const query = api.useTrialQuery(id)
  return (
    <StagesContext value={stages}>
      <div className="flex flex-1 flex-col">
        <Loaded query={query} what="the trial">
          {(trial) => <Inside key={trial.id} trial={trial} groups={groups} />}
        </Loaded>
      </div>
    </StagesContext>
  )
}

function Inside({ trial, groups }: { trial: Trial; groups: readonly StageGroup[] }) {
  const all = useStages()
  const { query, entries, view, unsent } = useTrialView(trial)
  const worked = useWorked(trial, view)
  const [parameters, setParameters] = useSearchParams()
  const wanted = Number(parameters.get('rig') ?? trial.revisions.length)
  const analysis =
    view.analyses.find((candidate) => candidate.record.revision.number === wanted) ?? view.analyses.at(-1)
  const names = useMemo(() => namesOf(trial, entries, all), [trial, entries, all])
  const unit = analysis?.record.revision.unit
  const stages = useMemo(() => all.filter(({ suits }) => !suits || !unit || suits(unit)), [all, unit])
  const asked = parameters.get('figure')
  const { pathname } = useLocation()
  const page = pathname.slice(`/trials/${trial.id}/`.length)
  const chooseRevision = (number: number) => setParameters({ rig: String(number) }, { replace: true })
  useKey(
    (event) =>
      /^[1-9]$/.test(event.key) &&
      !event.ctrlKey &&
      !event.altKey &&
      Number(event.key) <= trial.revisions.length,
    (event) => chooseRevision(Number(event.key)),
  )
  if (!analysis) return null
  const state: TrialState = { trial, entries, view, worked, unsent, analysis, chooseRevision }
  return (
    <ShowWorking methodFor={pageFor} nameSource={names.nameSource} nameEntry={names.nameEntry}>
      <StagesContext value={stages}>
        <TrialContext value={state}>
          <TrialHead trial={trial} />
          <div className="flex flex-1 flex-col md:flex-row">
            <WorkOrder state={state} groups={groups} />
            <div className="min-w-0 flex-1 px-5 py-4 max-sm:px-3">
              {stages.map(({ words, strip }) =>
                strip?.when(state) ? (
                  <Suspense key={words}>
                    <strip.Part />
                  </Suspense>
                ) : null,
              )}
              <Loaded query={query} what="its readings">
                {() => (
                  <>
                    {asked !== null && (
                      <Suspense>
                        <FoundFigure.Part id={asked} analysis={analysis} />
                      </Suspense>
                    )}
                    <CountedTwice />
                    <TakeBackLast />
                    <Outlet />
                    <Suspense>
                      <PageFigures.Part page={page} analysis={analysis} analyses={view.analyses} />
                    </Suspense>
                  </>
                )}
              </Loaded>
            </div>
          </div>
        </TrialContext>
      </StagesContext>
    </ShowWorking>
  )
}
