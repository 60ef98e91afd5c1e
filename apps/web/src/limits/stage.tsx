import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

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
  report: reportParts('rig', () => import('./ReportPart'), [
    ['Limits', 'LimitsPart'],
    ['Surge and time', 'SurgeAndTimePart'],
  ]),
  works: ['limits', 'checks'],
  names: { limit: (reading) => `test of ${reading.test}` },
}
