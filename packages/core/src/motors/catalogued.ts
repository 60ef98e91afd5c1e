import { furthestOf, type RigFigured } from '../figured'
import { derive, stated, type Derived, type Furthest } from '../figures'
import { exact } from '../meters'
import type { Analysis } from '../trials'
import type { AttemptFigures } from './attempt'

const here = {
  asTried: true,
  page: 'motors',
  method: 'motors',
  dependsOn: ['unit', 'bank', 'path', 'load'],
} as const
const none = 'No machine was started with it read.'

/** A figure of every attempt, by the machine that was started. */
const over = (
  which: Furthest,
  of: (attempt: AttemptFigures) => Derived,
  named: Omit<RigFigured, 'per' | 'of' | 'each' | keyof typeof here>,
) =>
  furthestOf(
    which,
    ({ motors }) => motors.attempts.map((one) => ({ of: of(one), what: one.entry.reading.load })),
    none,
    { ...here, ...named },
  )

const nominal = ({ noLoad }: Analysis): Derived => stated('V_nom', 'V', noLoad.on.nominal, '')

/** Share of the attempts that ran, of those of which it is known. */
function succeeded({ motors }: Analysis): Derived {
  const { length } = motors.attempts
  if (!length) return { missing: 'No start was tried.' }
  const started = motors.attempts.filter(({ outcome }) => outcome === 'started').length
  return derive('started', '%', `${started} of ${length}`, [], exact(started / length))
}

/** What the starts of machines come to, over all attempts. */
export const motorFigures: readonly RigFigured[] = [
  over('lowest', ({ lowest }) => lowest, {
    id: 'lowest volts in a start',
    words: 'lowest output volts in a start',
    head: 'lowest volts',
    unit: 'V',
    looked: ['dip', 'sag', 'inrush', 'compressor', 'fridge', 'saw'],
    stated: { of: nominal },
  }),
  over('lowest', ({ lowestInput }) => lowestInput, {
    id: 'lowest input in a start',
    words: 'lowest input volts in a start',
    head: 'lowest input volts',
    unit: 'V',
    looked: ['dip', 'sag', 'battery voltage'],
  }),
  over('highest', ({ current }) => current, {
    id: 'inrush amps',
    words: 'most amps of a start',
    head: 'most amps',
    unit: 'A',
    looked: ['inrush', 'surge', 'locked rotor', 'peak'],
  }),
  over('highest', ({ multiple }) => multiple, {
    id: 'inrush multiple',
    words: 'amps of a start over running amps',
    head: 'times running',
    unit: '×',
    looked: ['inrush', 'surge', 'multiple'],
  }),
  over('highest', ({ watts }) => watts, {
    id: 'start watts',
    words: 'most watts of a start',
    head: 'most watts',
    unit: 'W',
    looked: ['inrush', 'surge', 'peak'],
  }),
  {
    ...here,
    per: 'rig',
    id: 'starts that ran',
    words: 'starts that succeeded',
    head: 'started',
    unit: '%',
    looked: ['success rate', 'attempts', 'marginal'],
    of: succeeded,
  },
]
