import { readingsOf } from '@even-watt/core'
import { lazy } from 'react'
import { many, reportParts, type Stage } from '../stage'

/** What will be connected, in which order and when; and how the day then goes. */
export const plan: Stage = {
  words: 'Plan',
  pages: [
    {
      path: 'plan',
      tab: 'Loads',
      load: async () => ({ default: (await import('./PlanPage')).PlanPage }),
    },
    {
      path: 'plan/schedule',
      tab: 'Schedule',
      load: async () => ({ default: (await import('../schedule/SchedulePage')).SchedulePage }),
    },
    {
      path: 'plan/run',
      tab: 'Run it',
      load: async () => ({ default: (await import('../schedule/RunPage')).RunPage }),
    },
    {
      path: 'plan/sheet',
      tab: 'Run sheet',
      load: async () => ({ default: (await import('../schedule/paper/SheetPage')).SheetPage }),
    },
    {
      path: 'plan/paper',
      tab: 'From paper',
      load: async () => ({ default: (await import('../schedule/paper/PaperPage')).PaperPage }),
    },
  ],
  state: ({ trial }) => {
    const steps = trial.plan?.steps ?? []
    const filled = steps.filter(({ uses }) => uses.length).length
    return {
      said: steps.length ? `${filled} of ${many(steps.length, 'step')}` : 'no ladder yet',
      done: !steps.length ? 'none' : filled === steps.length ? 'whole' : 'part',
    }
  },
  report: reportParts('end', () => import('../schedule/ReportPart'), [['Schedule', 'SchedulePart']]),
  strip: {
    when: ({ trial, view }) => trial.schedule !== undefined && readingsOf(view.record, 'run').length > 0,
    Part: lazy(async () => ({ default: (await import('../schedule/RunStrip')).RunStrip })),
  },
}
