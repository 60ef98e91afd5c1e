import { readingsOf } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

/** Sockets of direct current, of stations and of inverters that have them. */
export const ports: Stage = {
  words: 'Ports',
  suits: ({ kind, claims }) => kind !== 'inverter' || claims.some(({ quantity }) => quantity === 'port'),
  pages: [{ path: 'ports', load: async () => ({ default: (await import('./PortsPage')).PortsPage }) }],
  state: ({ analysis }) => {
    const count = readingsOf(analysis.record, 'port').length
    return { said: count ? many(count, 'test') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['Ports', 'PortsPart']]),
  works: ['ports', 'soak'],
  names: { port: ({ test }) => `test of a port (${test})` },
}
