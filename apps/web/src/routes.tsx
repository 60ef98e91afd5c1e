import type { ComponentType } from 'react'
import { createBrowserRouter, Link, Navigate, useRouteError, type Params } from 'react-router'
import { api } from './api/api'
import { BenchPage } from './bench/BenchPage'
import { groups, stages } from './stages'
import { store } from './store'
import { StageContext } from './trials/stageContext'
import { drafts } from './ui/browserStore'
import { chart } from './ui/chart/LazyChart'
import { fetched } from './ui/fetched'
import { Notice } from './ui/Notice'
import { Page } from './ui/Page'
import { Shell } from './ui/Shell'

/** A page that is fetched as it is headed for: the one before it stands until then, and none is shown half. */
const page = (load: () => Promise<ComponentType>) => ({ lazy: async () => ({ Component: await load() }) })

/** A trial and its entries are asked for as soon as it is headed for, and not waited for. */
function fetchTrial({ params: { id = '' } }: { params: Params }): null {
  store.dispatch(api.util.prefetch('trial', id, {}))
  store.dispatch(api.util.prefetch('entries', id, {}))
  return null
}

/** All that a report may show, at once rather than one after the other as each is met; what fails says so in its place. */
const fetchParts = () =>
  Promise.allSettled([
    chart.fetch(),
    ...stages.flatMap(({ report = [] }) => report.map(({ fetch }) => fetch())),
  ])

const palette = fetched(async () => (await import('./search/Palette')).Palette)

const opening = (
  <p className="text-quiet p-5" role="status">
    Opening …
  </p>
)

function NotHere() {
  return (
    <Page title="Nothing is here">
      <p>
        This address leads nowhere.{' '}
        <Link className="plain-link" to="/">
          To the bench
        </Link>
      </p>
    </Page>
  )
}

/** A screen that failed: what happened, what was kept, what to do. */
function Failed() {
  const error = useRouteError()
  return (
    <Page title="This screen failed">
      <Notice kind="problem">
        {error instanceof Error ? error.message : 'Something unexpected happened.'} What you typed and
        captured is kept. Load the page again; if it fails again, export the trial from the bench and tell us
        what you did.
      </Notice>
      <p>
        If something half typed is what makes it fail:{' '}
        <button
          type="button"
          className="action"
          onClick={() => {
            drafts.dropAll()
            location.reload()
          }}
        >
          Forget what is half typed in this tab, and load again
        </button>
      </p>
    </Page>
  )
}

export const router = createBrowserRouter([
  {
    element: <Shell stages={stages} palette={palette} />,
    errorElement: <Failed />,
    children: [
      {
        hydrateFallbackElement: opening,
        children: [
          { path: '/', element: <BenchPage /> },
          { path: '/units', ...page(async () => (await import('./units/UnitsPage')).UnitsPage) },
          {
            path: '/units/by-label',
            ...page(async () => (await import('./units/ByLabelPage')).ByLabelPage),
          },
          { path: '/units/:id', ...page(async () => (await import('./units/UnitPage')).UnitPage) },
          { path: '/units/:id/life', ...page(async () => (await import('./diary/LifePage')).LifePage) },
          {
            path: '/checklists',
            ...page(async () => (await import('./checklists/ChecklistsPage')).ChecklistsPage),
          },
          {
            path: '/checklists/:id',
            ...page(async () => (await import('./checklists/ChecklistPage')).ChecklistPage),
          },
          { path: '/meters', ...page(async () => (await import('./meters/MetersPage')).MetersPage) },
          { path: '/meters/:id', ...page(async () => (await import('./meters/MeterPage')).MeterPage) },
          { path: '/rigs', ...page(async () => (await import('./rigs/RigsPage')).RigsPage) },
          { path: '/rigs/:id', ...page(async () => (await import('./rigs/RigPage')).RigPage) },
          { path: '/loads', ...page(async () => (await import('./loads/LoadsPage')).LoadsPage) },
          { path: '/loads/:id', ...page(async () => (await import('./loads/LoadPage')).LoadPage) },
          {
            path: '/compare',
            ...page(async () => (await import('./comparisons/ComparisonsPage')).ComparisonsPage),
          },
          {
            path: '/compare/:id',
            ...page(async () => (await import('./comparisons/ComparisonPage')).ComparisonPage),
          },
          { path: '/check', ...page(async () => (await import('./editions/CheckPage')).CheckPage) },
          { path: '/needs', ...page(async () => (await import('./needs/NeedsPage')).NeedsPage) },
          { path: '/sums', ...page(async () => (await import('./sums/SumsPage')).SumsPage) },
          { path: '/search', ...page(async () => (await import('./search/SearchPage')).SearchPage) },
          { path: '/cable', ...page(async () => (await import('./conductors/CablePage')).CablePage) },
          {
            path: '/method/:subject?',
            ...page(async () => (await import('./method/MethodPage')).MethodPage),
          },
          { path: '/import', ...page(async () => (await import('./trials/ImportPage')).ImportPage) },
          { path: '/backup', ...page(async () => (await import('./bench/BackupPage')).BackupPage) },
          { path: '/settings', ...page(async () => (await import('./bench/SettingsPage')).SettingsPage) },
          { path: '/settings/uses', ...page(async () => (await import('./suits/UsesPage')).UsesPage) },
          { path: '/phone', ...page(async () => (await import('./bench/PhonePage')).PhonePage) },
          { path: '/set-aside', ...page(async () => (await import('./setAside/SetAsidePage')).SetAsidePage) },
          { path: '/begin', ...page(async () => (await import('./begin/BeginPage')).BeginPage) },
          { path: '/trials/new', ...page(async () => (await import('./begin/NewTrialPage')).NewTrialPage) },
          {
            path: '/trials/:id',
            loader: fetchTrial,
            shouldRevalidate: ({ currentParams, nextParams }) => currentParams['id'] !== nextParams['id'],
            lazy: async () => {
              const { TrialLayout } = await import('./trials/TrialLayout')
              return { element: <TrialLayout groups={groups} /> }
            },
            children: [
              { index: true, element: <Navigate to="answers" replace /> },
              ...stages.flatMap((stage) =>
                stage.pages.map(({ path, load, gathers }) => ({
                  path,
                  lazy: async () => {
                    const [{ default: StagePage }] = await Promise.all([load(), gathers && fetchParts()])
                    return {
                      element: (
                        <StageContext value={stage}>
                          <StagePage />
                        </StageContext>
                      ),
                    }
                  },
                })),
              ),
            ],
          },
          { path: '*', element: <NotHere /> },
        ],
      },
    ],
  },
])
