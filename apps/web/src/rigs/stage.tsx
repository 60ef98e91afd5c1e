import type { Unit } from '@even-watt/contract'
import { isStation } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

const hasPath = (unit: Unit) => !isStation(unit)

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
      suits: hasPath,
      load: async () => ({ default: (await import('../supply/SupplyPage')).SupplyPage }),
    },
    {
      path: 'rig/load-test',
      tab: 'Load test',
      suits: hasPath,
      load: async () => ({ default: (await import('../supply/LoadTestPage')).LoadTestPage }),
    },
    {
      path: 'rig/survey',
      tab: 'Drop survey',
      suits: hasPath,
      load: async () => ({ default: (await import('./survey/SurveyPage')).SurveyPage }),
    },
    {
      path: 'rig/what-if',
      tab: 'What if',
      suits: hasPath,
      load: async () => ({ default: (await import('./whatIf/WhatIfPage')).WhatIfPage }),
    },
  ],
  state: ({ trial }) => ({ said: many(trial.revisions.length, 'revision'), done: 'whole' }),
  report: reportParts('rig', () => import('../supply/ReportPart'), [
    ['Rig', 'RigPart'],
    ['Supply', 'SupplyPart'],
    ['Load test', 'LoadTestPart'],
    ['Drop survey', 'SurveyPart'],
    ['Predictions', 'PredictionsPart'],
  ]),
  works: ['rig'],
}
