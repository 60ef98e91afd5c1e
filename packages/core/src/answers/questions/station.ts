import { chargesOf } from '../../charging'
import { sweepsOf } from '../../ports'
import { readingsOf } from '../../trials'
import { isStation } from '../../units'
import { notRead, type Asked, type Asking } from '../answer'

const stationOr =
  (kind: 'port' | 'charging', quantity: string) =>
  ({ on: { analysis } }: Asked) =>
    isStation(analysis.record.revision.unit) ||
    analysis.record.revision.unit.claims.some((claim) => claim.quantity === quantity) ||
    readingsOf(analysis.record, kind).length > 0

/** What do its ports give? */
export const ports: Asking = {
  id: 'ports',
  place: 'DC',
  page: 'ports',
  dependsOn: ['unit'],
  asks: 'What do its ports give?',
  judgedBy: ['port'],
  suits: stationOr('port', 'port'),
  know: ({ on: { analysis } }) => {
    const sweeps = sweepsOf(analysis.record)
    if (!sweeps.length)
      return notRead({
        todo: 'Load a port step by step, and note amps and volts.',
        button: 'Test a port',
        page: 'ports',
        readings: 3,
        minutes: 5,
        wattHours: 3,
      })
    const found = [...new Set(sweeps.map(({ sentence }) => sentence))]
    const short = sweeps.some(({ foldsAt, cableLimits }) => foldsAt !== undefined || cableLimits)
    return { said: [found.slice(0, 2).join(' ')], why: found.slice(2, 4), mark: short ? 'roughly' : 'yes' }
  },
}

/** How does it charge? */
export const charges: Asking = {
  id: 'charges',
  place: 'DC',
  page: 'charging',
  dependsOn: ['unit'],
  asks: 'How does it charge?',
  judgedBy: ['charge power', 'charge time'],
  suits: stationOr('charging', 'charge time'),
  know: ({ on: { analysis } }) => {
    const all = chargesOf(analysis)
    const last = all.at(-1)
    if (!last)
      return notRead({
        todo: 'Charge it from empty, and look at it now and then.',
        button: 'Begin a charge',
        page: 'charging',
        readings: 5,
        minutes: 120,
        wattHours: 0,
      })
    return {
      said: [last.sentence],
      why: all.slice(0, -1).map(({ sentence }) => sentence),
      mark: last.full === undefined ? 'roughly' : 'yes',
    }
  },
}
