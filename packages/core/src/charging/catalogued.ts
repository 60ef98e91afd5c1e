import { furthestOf, type RigFigured } from '../figured'
import { derive, isFigure, type Derived } from '../figures'
import { exact, scale } from '../meters'
import type { Analysis } from '../trials'
import { chargesOf, type Charge } from './charge'

const here = { page: 'charging', method: 'charging', dependsOn: ['unit'] } as const

/** A figure of every charge, by what fed it. */
const ofCharges = (of: (charge: Charge) => Derived) => (analysis: Analysis) =>
  chargesOf(analysis).map((charge) => ({
    of: of(charge),
    what: `charged by ${charge.log.entry.reading.source ?? 'what is not noted'}`,
  }))

const secondsAnHour = 3600
const notFull = { missing: 'It was not full.' }

const fullAfter = ({ full }: Charge): Derived =>
  full === undefined
    ? notFull
    : derive('full after', 'h', 'from its beginning until it was full', [], exact(full / secondsAnHour))

/** Over all that it charged; until it was full, where it was. */
const meanWatts = ({ taken, full, log }: Charge): Derived => {
  const hours = (full ?? log.seconds) / secondsAnHour
  if (!isFigure(taken)) return taken
  return hours > 0
    ? derive('P in the mean', 'W', 'Wh taken / h', [taken], scale(taken.x, 1 / hours))
    : { missing: 'It took no time.' }
}

const none = 'No charge was logged.'

/** What goes in, over all charges. */
export const chargingFigures: readonly RigFigured[] = [
  furthestOf(
    'highest',
    ofCharges(({ taken }) => taken),
    none,
    {
      ...here,
      id: 'charge taken',
      words: 'most energy that a charge took',
      head: 'taken',
      unit: 'Wh',
      looked: ['charging', 'watt-hours', 'refill'],
    },
  ),
  furthestOf('highest', ofCharges(meanWatts), none, {
    ...here,
    id: 'charge mean watts',
    words: 'mean watts of a charge',
    head: 'mean watts',
    unit: 'W',
    looked: ['charging', 'average', 'input'],
    better: 'more',
  }),
  furthestOf('highest', ofCharges(fullAfter), 'No charge went on until it was full.', {
    ...here,
    id: 'charge hours',
    words: 'hours until it was full',
    head: 'full after',
    unit: 'h',
    looked: ['charging', 'charge time', 'how long'],
    better: 'less',
    promise: 'charge time',
  }),
  furthestOf(
    'lowest',
    ofCharges(({ roundTrip }) => roundTrip),
    'No charge from empty has a run-down beside it.',
    {
      ...here,
      id: 'round trip',
      words: 'energy out over energy in',
      head: 'round trip',
      unit: '%',
      looked: ['charging', 'efficiency', 'losses'],
      better: 'more',
    },
  ),
]
