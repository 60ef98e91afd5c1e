import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

export const motors: Stage = {
  words: 'Motors',
  pages: [
    {
      path: 'motors',
      tab: 'Starts',
      load: async () => ({ default: (await import('./MotorsPage')).MotorsPage }),
    },
    {
      path: 'will-it-start',
      tab: 'Will it start mine?',
      load: async () => ({ default: (await import('./WillStartPage')).WillStartPage }),
    },
  ],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'motors').length
    return { said: count ? many(count, 'attempt') : 'none yet', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['Motors', 'MotorsPart']]),
  works: ['motors', 'motors, bank low'],
  names: { motors: ({ load, number }) => `${load}, attempt ${number}` },
}
