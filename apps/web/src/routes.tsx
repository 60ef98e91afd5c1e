import { lazy, Suspense, type ReactNode } from 'react'
import { createBrowserRouter, Link, Navigate, useRouteError } from 'react-router'
import { BenchPage } from './bench/BenchPage'
import { Notice } from './ui/Notice'
import { Page, Shell } from './ui/Shell'

const TrialLayout = lazy(async () => ({ default: (await import('./trials/TrialLayout')).TrialLayout }))
const LadderPage = lazy(async () => ({ default: (await import('./ladder/LadderPage')).LadderPage }))
const LookOverPage = lazy(async () => ({ default: (await import('./units/LookOverPage')).LookOverPage }))
const RigStagePage = lazy(async () => ({ default: (await import('./rigs/RigStagePage')).RigStagePage }))
const NoLoadPage = lazy(async () => ({ default: (await import('./noLoad/NoLoadPage')).NoLoadPage }))
const MotorsPage = lazy(async () => ({ default: (await import('./motors/MotorsPage')).MotorsPage }))
const FindingsPage = lazy(async () => ({ default: (await import('./findings/FindingsPage')).FindingsPage }))
const ReportPage = lazy(async () => ({ default: (await import('./report/ReportPage')).ReportPage }))
const ImportReadingsPage = lazy(async () => ({
  default: (await import('./readings/ImportReadingsPage')).ImportReadingsPage,
}))
const NewTrialPage = lazy(async () => ({ default: (await import('./trials/NewTrialPage')).NewTrialPage }))
const ImportPage = lazy(async () => ({ default: (await import('./trials/ImportPage')).ImportPage }))
const UnitsPage = lazy(async () => ({ default: (await import('./units/UnitsPage')).UnitsPage }))
const UnitPage = lazy(async () => ({ default: (await import('./units/UnitPage')).UnitPage }))
const MetersPage = lazy(async () => ({ default: (await import('./meters/MetersPage')).MetersPage }))
const MeterPage = lazy(async () => ({ default: (await import('./meters/MeterPage')).MeterPage }))
const RigsPage = lazy(async () => ({ default: (await import('./rigs/RigsPage')).RigsPage }))
const SupplyPage = lazy(async () => ({ default: (await import('./supply/SupplyPage')).SupplyPage }))
const LoadTestPage = lazy(async () => ({ default: (await import('./supply/LoadTestPage')).LoadTestPage }))
const SurveyPage = lazy(async () => ({ default: (await import('./rigs/SurveyPage')).SurveyPage }))
const WhatIfPage = lazy(async () => ({ default: (await import('./rigs/WhatIfPage')).WhatIfPage }))
const LoadsPage = lazy(async () => ({ default: (await import('./loads/LoadsPage')).LoadsPage }))
const LoadPage = lazy(async () => ({ default: (await import('./loads/LoadPage')).LoadPage }))
const PlanPage = lazy(async () => ({ default: (await import('./plan/PlanPage')).PlanPage }))
const SchedulePage = lazy(async () => ({ default: (await import('./schedule/SchedulePage')).SchedulePage }))
const RunPage = lazy(async () => ({ default: (await import('./schedule/RunPage')).RunPage }))
const SheetPage = lazy(async () => ({ default: (await import('./schedule/SheetPage')).SheetPage }))
const PaperPage = lazy(async () => ({ default: (await import('./schedule/PaperPage')).PaperPage }))
const MakeSafePage = lazy(async () => ({ default: (await import('./safety/MakeSafePage')).MakeSafePage }))
const CablePage = lazy(async () => ({ default: (await import('./conductors/CablePage')).CablePage }))
const RigPage = lazy(async () => ({ default: (await import('./rigs/RigPage')).RigPage }))

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
    </Page>
  )
}

export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Failed />,
    children: [
      { path: '/', element: <BenchPage /> },
      { path: '/units', element: wait(<UnitsPage />) },
      { path: '/units/:id', element: wait(<UnitPage />) },
      { path: '/meters', element: wait(<MetersPage />) },
      { path: '/meters/:id', element: wait(<MeterPage />) },
      { path: '/rigs', element: wait(<RigsPage />) },
      { path: '/rigs/:id', element: wait(<RigPage />) },
      { path: '/loads', element: wait(<LoadsPage />) },
      { path: '/loads/:id', element: wait(<LoadPage />) },
      { path: '/cable', element: wait(<CablePage />) },
      { path: '/import', element: wait(<ImportPage />) },
      { path: '/trials/new', element: wait(<NewTrialPage />) },
      {
        path: '/trials/:id',
        element: wait(<TrialLayout />),
        children: [
          { index: true, element: <Navigate to="ladder" replace /> },
          { path: 'look-over', element: wait(<LookOverPage />) },
          { path: 'rig', element: wait(<RigStagePage />) },
          { path: 'rig/supply', element: wait(<SupplyPage />) },
          { path: 'rig/load-test', element: wait(<LoadTestPage />) },
          { path: 'rig/survey', element: wait(<SurveyPage />) },
          { path: 'rig/what-if', element: wait(<WhatIfPage />) },
          { path: 'plan', element: wait(<PlanPage />) },
          { path: 'plan/schedule', element: wait(<SchedulePage />) },
          { path: 'plan/run', element: wait(<RunPage />) },
          { path: 'plan/sheet', element: wait(<SheetPage />) },
          { path: 'plan/paper', element: wait(<PaperPage />) },
          { path: 'make-safe', element: wait(<MakeSafePage />) },
          { path: 'no-load', element: wait(<NoLoadPage />) },
          { path: 'ladder', element: wait(<LadderPage />) },
          { path: 'readings', element: wait(<ImportReadingsPage />) },
          { path: 'motors', element: wait(<MotorsPage />) },
          { path: 'findings', element: wait(<FindingsPage />) },
          { path: 'report', element: wait(<ReportPage />) },
        ],
      },
      { path: '*', element: <NotHere /> },
    ],
  },
])
