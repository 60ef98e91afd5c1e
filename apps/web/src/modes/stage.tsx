import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

/** Promises of modes: an inverter that makes one has them. */
const ofModes: ReadonlySet<string> = new Set(['mode draw', 'search-mode draw', 'transfer time'])

/** On, search, pass-through, off: what each draws, and how one goes over into another. */
export const modes: Stage = {
  words: 'Modes',
  suits: ({ kind, claims }) => kind !== 'inverter' || claims.some(({ quantity }) => ofModes.has(quantity)),
  pages: [{ path: 'modes', load: async () => ({ default: (await import('./ModesPage')).ModesPage }) }],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'mode').length
    return { said: count ? many(count, 'test') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['Modes and transfer', 'ModesPart']]),
  names: { mode: ({ test }) => `test of a mode (${test})` },
}
