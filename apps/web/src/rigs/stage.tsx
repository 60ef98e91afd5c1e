import { lazy } from 'react'
import { many, type Stage } from '../stage'

/** The rig: its drawing, its supply, and what was measured of both. */
export const rig: Stage = {
  words: 'Rig',
  pages: [
    {
      path: 'rig',
      tab: 'Drawing',
      load: async () => ({ default: (await import('./RigStagePage')).RigStagePage }),
    },
    {
      path: 'rig/supply',
      tab: 'Supply',
      load: async () => ({ default: (await import('../supply/SupplyPage')).SupplyPage }),
    },
    {
      path: 'rig/load-test',
      tab: 'Load test',
      load: async () => ({ default: (await import('../supply/LoadTestPage')).LoadTestPage }),
    },
    {
      path: 'rig/survey',
      tab: 'Drop survey',
      load: async () => ({ default: (await import('./survey/SurveyPage')).SurveyPage }),
    },
    {
      path: 'rig/what-if',
      tab: 'What if',
      load: async () => ({ default: (await import('./whatIf/WhatIfPage')).WhatIfPage }),
    },
  ],
  state: ({ trial }) => ({ said: many(trial.revisions.length, 'revision'), done: 'whole' }),
  report: {
    place: 'rig',
    Part: lazy(async () => ({ default: (await import('../supply/ReportPart')).ReportPart })),
  },
  works: ['rig'],
}
