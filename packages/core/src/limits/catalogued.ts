import type { RigFigured } from '../figured'
import type { Derived } from '../figures'
import type { Analysis } from '../trials'
import { ratedFigure } from '../units'
import { surgeCurveOf } from './surgeCurve'
import { lastSeen, type Which } from './threshold'

/** s over which a surge is named where one figure must do. */
const surgeTime = 1

function surge(analysis: Analysis): Derived {
  const point = surgeCurveOf(analysis).points.find(({ seconds }) => seconds === surgeTime)
  return point?.W ?? { missing: 'Nothing was carried for a second with its watts known.' }
}

const threshold = (which: Which, words: string): RigFigured => ({
  per: 'rig',
  page: 'limits',
  method: 'limits',
  dependsOn: ['unit'],
  id: `${which} volts`,
  words,
  head: which,
  unit: 'V',
  looked: ['threshold', 'low battery', 'undervoltage', which === 'alarm' ? 'beep' : 'shutdown'],
  promise: `${which} voltage`,
  of: (analysis) => lastSeen(which, analysis),
})

/** How far it goes. */
export const limitFigures: readonly RigFigured[] = [
  {
    per: 'rig',
    page: 'limits/surge',
    method: 'surge',
    dependsOn: ['unit', 'bank', 'path', 'load'],
    id: 'surge',
    words: 'most watts for a second',
    head: 'surge',
    unit: 'W',
    looked: ['surge', 'peak', 'overload', 'inrush', 'per cent of rating'],
    asTried: true,
    promise: 'surge power',
    stated: {
      of: ({ record }) => ratedFigure(record.revision.unit),
      asShare: 'with what is left',
    },
    of: surge,
  },
  threshold('alarm', 'volts at which it warns'),
  threshold('cutoff', 'volts at which it stops'),
]
