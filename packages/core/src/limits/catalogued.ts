import { furthestOf, type OneOfMany, type RigFigured } from '../figured'
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

/** What the unit itself gave out at, whatever else it was that opened elsewhere. */
const whereItGaveOut = (analysis: Analysis): OneOfMany[] =>
  surgeCurveOf(analysis).sources.flatMap(({ words, endedBy, gaveUpIn }) => {
    const point = endedBy?.who === 'unit' ? gaveUpIn?.(Infinity) : undefined
    return point ? [{ of: point.W, what: words }] : []
  })

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
  furthestOf('lowest', whereItGaveOut, 'Nothing that the unit itself gave out at has its watts.', {
    page: 'limits',
    method: 'limits',
    dependsOn: ['unit', 'bank', 'path', 'load'],
    id: 'gave out',
    words: 'least watts at which it gave out',
    head: 'gave out at',
    unit: 'W',
    looked: ['trip', 'overload', 'shutdown', 'protection'],
    better: 'more',
    asTried: true,
    stated: { of: ({ record }) => ratedFigure(record.revision.unit), asShare: 'alone' },
  }),
  threshold('alarm', 'volts at which it warns'),
  threshold('cutoff', 'volts at which it stops'),
]
