import { lazy, Suspense, type ComponentType, type ReactNode } from 'react'
import { createBrowserRouter, Link, Navigate, useRouteError, type Params } from 'react-router'
import { api } from './api/api'
import { BenchPage } from './bench/BenchPage'
import { stages } from './stages'
import { store } from './store'
import { StageContext } from './trials/stageContext'
import { drafts } from './ui/browserStore'
import { Notice } from './ui/Notice'
import { Page } from './ui/Page'
import { Shell } from './ui/Shell'

const page = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await load() }))

const BeginPage = page(async () => (await import('./begin/BeginPage')).BeginPage)
const NewTrialPage = page(async () => (await import('./trials/NewTrialPage')).NewTrialPage)
const ImportPage = page(async () => (await import('./trials/ImportPage')).ImportPage)
const UnitsPage = page(async () => (await import('./units/UnitsPage')).UnitsPage)
const UnitPage = page(async () => (await import('./units/UnitPage')).UnitPage)
const MetersPage = page(async () => (await import('./meters/MetersPage')).MetersPage)
const MeterPage = page(async () => (await import('./meters/MeterPage')).MeterPage)
const RigsPage = page(async () => (await import('./rigs/RigsPage')).RigsPage)
const RigPage = page(async () => (await import('./rigs/RigPage')).RigPage)
const LoadsPage = page(async () => (await import('./loads/LoadsPage')).LoadsPage)
const LoadPage = page(async () => (await import('./loads/LoadPage')).LoadPage)
const ComparisonsPage = page(async () => (await import('./comparisons/ComparisonsPage')).ComparisonsPage)
const ComparisonPage = page(async () => (await import('./comparisons/ComparisonPage')).ComparisonPage)
const ChecklistsPage = page(async () => (await import('./checklists/ChecklistsPage')).ChecklistsPage)
const ChecklistPage = page(async () => (await import('./checklists/ChecklistPage')).ChecklistPage)
const LifePage = page(async () => (await import('./diary/LifePage')).LifePage)
const SearchPage = page(async () => (await import('./search/SearchPage')).SearchPage)
const NeedsPage = page(async () => (await import('./needs/NeedsPage')).NeedsPage)
const UsesPage = page(async () => (await import('./suits/UsesPage')).UsesPage)
const CheckPage = page(async () => (await import('./editions/CheckPage')).CheckPage)
const CablePage = page(async () => (await import('./conductors/CablePage')).CablePage)
const MethodPage = page(async () => (await import('./method/MethodPage')).MethodPage)
const BackupPage = page(async () => (await import('./bench/BackupPage')).BackupPage)
const SettingsPage = page(async () => (await import('./bench/SettingsPage')).SettingsPage)
const PhonePage = page(async () => (await import('./bench/PhonePage')).PhonePage)
const SetAsidePage = page(async () => (await import('./setAside/SetAsidePage')).SetAsidePage)
const loadLayout = async () => ({ default: (await import('./trials/TrialLayout')).TrialLayout })
const TrialLayout = lazy(loadLayout)

/** Begins to fetch what a page needs when it is headed for, without waiting for it. */
const ahead = (fetch: (parameters: Params) => unknown) => (to: { params: Params }) => {
  void fetch(to.params)
  return null
}

/** A trial’s page needs its frame, the trial and its entries, all at once. */
const fetchTrial = ({ id = '' }: Params) =>
  Promise.all([
    loadLayout(),
    store.dispatch(api.util.prefetch('trial', id, {})),
    store.dispatch(api.util.prefetch('entries', id, {})),
  ])

const wait = (page: ReactNode) => (
  <Suspense
    fallback={
      <p className="text-quiet p-5" role="status">
        Opening …
      </p>
    }
  >
    {page}
  </Suspense>
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
    element: <Shell stages={stages} />,
    errorElement: <Failed />,
    children: [
      { path: '/', element: <BenchPage /> },
      { path: '/units', element: wait(<UnitsPage />) },
      { path: '/units/:id', element: wait(<UnitPage />) },
      { path: '/units/:id/life', element: wait(<LifePage />) },
      { path: '/checklists', element: wait(<ChecklistsPage />) },
      { path: '/checklists/:id', element: wait(<ChecklistPage />) },
      { path: '/meters', element: wait(<MetersPage />) },
      { path: '/meters/:id', element: wait(<MeterPage />) },
      { path: '/rigs', element: wait(<RigsPage />) },
      { path: '/rigs/:id', element: wait(<RigPage />) },
      { path: '/loads', element: wait(<LoadsPage />) },
      { path: '/loads/:id', element: wait(<LoadPage />) },
      { path: '/compare', element: wait(<ComparisonsPage />) },
      { path: '/compare/:id', element: wait(<ComparisonPage />) },
      { path: '/check', element: wait(<CheckPage />) },
      { path: '/needs', element: wait(<NeedsPage />) },
      { path: '/search', element: wait(<SearchPage />) },
      { path: '/cable', element: wait(<CablePage />) },
      { path: '/method/:subject?', element: wait(<MethodPage />) },
      { path: '/import', element: wait(<ImportPage />) },
      { path: '/backup', element: wait(<BackupPage />) },
      { path: '/settings', element: wait(<SettingsPage />) },
      { path: '/settings/uses', element: wait(<UsesPage />) },
      { path: '/phone', element: wait(<PhonePage />) },
      { path: '/set-aside', element: wait(<SetAsidePage />) },
      { path: '/begin', element: wait(<BeginPage />) },
      { path: '/trials/new', element: wait(<NewTrialPage />) },
      {
        path: '/trials/:id',
        loader: ahead(fetchTrial),
        shouldRevalidate: ({ currentParams, nextParams }) => currentParams['id'] !== nextParams['id'],
        element: wait(<TrialLayout stages={stages} />),
        children: [
          { index: true, element: <Navigate to="ladder" replace /> },
          ...stages.flatMap((stage) =>
            stage.pages.map(({ path, load }) => {
              const StagePage = lazy(load)
              return {
                path,
                loader: ahead(load),
                element: wait(
                  <StageContext value={stage}>
                    <StagePage />
                  </StageContext>,
                ),
              }
            }),
          ),
        ],
      },
      { path: '*', element: <NotHere /> },
    ],
  },
])
