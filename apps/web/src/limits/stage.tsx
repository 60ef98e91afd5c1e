import { readingsOf } from '@even-watt/core'
import { lazy } from 'react'
import { many, type Stage } from '../stage'

export const limits: Stage = {
  words: 'Limits',
  pages: [
    {
      path: 'limits',
      tab: 'Tests',
      load: async () => ({ default: (await import('./LimitsPage')).LimitsPage }),
    },
    {
      path: 'limits/surge',
      tab: 'Surge and time',
      load: async () => ({ default: (await import('./SurgePage')).SurgePage }),
    },
  ],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'limit').length
    return { said: count ? many(count, 'test') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: {
    place: 'rig',
    Part: lazy(async () => ({ default: (await import('./ReportPart')).ReportPart })),
  },
  works: ['limits', 'checks'],
  names: { limit: (reading) => `test of ${reading.test}` },
}
