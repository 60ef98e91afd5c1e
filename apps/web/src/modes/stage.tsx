import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

/** On, search, pass-through, off: what each draws, and how one goes over into another. */
export const modes: Stage = {
  words: 'Modes',
  pages: [{ path: 'modes', load: async () => ({ default: (await import('./ModesPage')).ModesPage }) }],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'mode').length
    return { said: count ? many(count, 'test') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['Modes and transfer', 'ModesPart']]),
  names: { mode: ({ test }) => `test of a mode (${test})` },
}
