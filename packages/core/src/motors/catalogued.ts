import type { RigFigured } from '../figured'
import { derive, furthest, stated, type Derived } from '../figures'
import { exact } from '../meters'
import type { Analysis } from '../trials'
import type { AttemptFigures } from './attempt'

const here = {
  asTried: true,
  per: 'rig',
  page: 'motors',
  method: 'motors',
  dependsOn: ['unit', 'bank', 'path', 'load'],
} as const
const none = 'No machine was started with it read.'

const over = (which: 'highest' | 'lowest', of: (attempt: AttemptFigures) => Derived) => {
  return ({ motors }: Analysis): Derived => furthest(which, motors.attempts.map(of), none)
}

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
  {
    ...here,
    id: 'lowest volts in a start',
    words: 'lowest output volts in a start',
    head: 'V in a start',
    unit: 'V',
    looked: ['dip', 'sag', 'inrush', 'compressor', 'fridge', 'saw'],
    stated: { of: nominal },
    of: over('lowest', ({ lowest }) => lowest),
  },
  {
    ...here,
    id: 'lowest input in a start',
    words: 'lowest input volts in a start',
    head: 'V_B in a start',
    unit: 'V',
    looked: ['dip', 'sag', 'battery voltage'],
    of: over('lowest', ({ lowestInput }) => lowestInput),
  },
  {
    ...here,
    id: 'inrush amps',
    words: 'most amps of a start',
    head: 'inrush',
    unit: 'A',
    looked: ['inrush', 'surge', 'locked rotor', 'peak'],
    of: over('highest', ({ current }) => current),
  },
  {
    ...here,
    id: 'inrush multiple',
    words: 'amps of a start over running amps',
    head: 'inrush',
    unit: '×',
    looked: ['inrush', 'surge', 'multiple'],
    of: over('highest', ({ multiple }) => multiple),
  },
  {
    ...here,
    id: 'start watts',
    words: 'most watts of a start',
    head: 'start',
    unit: 'W',
    looked: ['inrush', 'surge', 'peak'],
    of: over('highest', ({ watts }) => watts),
  },
  {
    ...here,
    id: 'starts that ran',
    words: 'starts that succeeded',
    head: 'started',
    unit: '%',
    looked: ['success rate', 'attempts', 'marginal'],
    of: succeeded,
  },
]
