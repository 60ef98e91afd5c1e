import { readingsOf } from '@even-watt/core'
import { countLogs } from '../logs/words'
import { many, reportParts, type Stage } from '../stage'

/** What goes in, from the wall, a vehicle, the sun. */
export const charging: Stage = {
  words: 'Charging',
  suits: ({ kind }) => kind !== 'inverter',
  pages: [
    { path: 'charging', load: async () => ({ default: (await import('./ChargingPage')).ChargingPage }) },
  ],
  state: ({ analysis }) => {
    const count = countLogs(analysis.logs, ['charge']) + readingsOf(analysis.record, 'charging').length
    return { said: count ? many(count, 'reading') : 'not tested', done: count ? 'whole' : 'none' }
  },
  report: reportParts('rig', () => import('./ReportPart'), [
    ['Charging', 'ChargingPart'],
    ['Logs of charging', 'ChargeLogsPart'],
  ]),
  works: ['charge'],
  names: { charging: ({ test }) => (test === 'panel' ? 'panel' : 'reading of a charging input') },
}
