import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

/** Behind the outlets, on the mains side: cords, breakers, ground-fault devices, the same load on the grid. */
export const outlets: Stage = {
  words: 'Outlets and cords',
  pages: [{ path: 'outlets', load: async () => ({ default: (await import('./OutletsPage')).OutletsPage }) }],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'outlet').length
    return { said: count ? many(count, 'test') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['Outlets, cords, breakers', 'OutletsPart']]),
  names: { outlet: ({ test }) => `test of an outlet (${test})` },
}
