import type { OneOfMany, RigFigured } from '../figured'
import { derive, stated, whenKnown, type Derived } from '../figures'
import { divide } from '../meters'
import type { Analysis } from '../trials'
import { ratedFigure } from '../units'
import { looksOf, type NoLoadFigures } from './figures'

const here = { per: 'rig', page: 'no-load', method: 'no-load', dependsOn: ['unit'], better: 'less' } as const
const standby = ['standby', 'phantom load', 'no load', 'quiescent', 'self-consumption', 'tare']

const rated = ({ record }: Analysis): Derived => ratedFigure(record.revision.unit)

const idleShare = (analysis: Analysis): Derived =>
  whenKnown([analysis.noLoad.on.P_idle, rated(analysis)], ([idle, whole]) =>
    derive('P_idle of P_rated', '%', 'P_idle / P_rated', [idle, whole], divide(idle.x, whole.x)),
  )

/** A figure of every look with nothing connected. */
const looks =
  (of: (look: NoLoadFigures) => Derived) =>
  (analysis: Analysis): OneOfMany[] =>
    looksOf(analysis).map((look) => ({ of: of(look), what: 'looks with nothing connected' }))

/** What is read with nothing connected, and what it costs. */
export const noLoadFigures: readonly RigFigured[] = [
  {
    ...here,
    id: 'idle watts',
    words: 'idle watts',
    head: 'idle watts',
    unit: 'W',
    looked: [...standby, 'idle draw', 'per cent of rating'],
    promise: 'idle draw',
    stated: { of: rated, asShare: 'alone' },
    quietly: ['nominal or rated', 'the promise'],
    each: looks(({ P_idle }) => P_idle),
    of: ({ noLoad }) => noLoad.on.P_idle,
  },
  {
    ...here,
    id: 'idle amps',
    words: 'idle amps',
    head: 'idle amps',
    unit: 'A',
    looked: [...standby, 'idle draw'],
    promise: 'idle draw',
    each: looks(({ I_idle }) => I_idle),
    of: ({ noLoad }) => noLoad.on.I_idle,
  },
  {
    ...here,
    id: 'idle share',
    words: 'idle watts as a share of the rating',
    head: 'idle of rating',
    unit: '%',
    looked: [...standby, 'per cent', 'percent'],
    of: idleShare,
  },
  {
    ...here,
    id: 'idle Wh a day',
    words: 'idle energy a day',
    head: 'idle a day',
    unit: 'Wh',
    looked: [...standby, 'watt-hours', 'daily'],
    of: ({ noLoad }) => noLoad.on.perDay,
  },
  {
    ...here,
    id: 'idle Ah a day',
    words: 'idle charge a day',
    head: 'idle a day',
    unit: 'Ah',
    looked: [...standby, 'amp-hours', 'daily'],
    of: ({ noLoad }) => noLoad.on.chargePerDay,
  },
  {
    ...here,
    id: 'idle night',
    words: 'share of the bank that a night of idle takes',
    head: 'a night',
    unit: '%',
    looked: [...standby, 'overnight', 'bank'],
    dependsOn: ['unit', 'bank'],
    of: ({ noLoad }) => noLoad.on.perNight,
  },
  {
    ...here,
    id: 'idle days',
    words: 'days until idle empties the bank',
    head: 'until empty',
    unit: 'days',
    looked: [...standby, 'empty', 'flat', 'how long'],
    dependsOn: ['unit', 'bank'],
    better: 'more',
    of: ({ noLoad }) => noLoad.on.daysUntilFlat,
  },
  {
    ...here,
    id: 'search watts',
    words: 'watts in search mode',
    head: 'search',
    unit: 'W',
    looked: [...standby, 'power save', 'eco'],
    promise: 'search-mode draw',
    of: ({ noLoad }) => noLoad.search.P_idle,
  },
  ...(['V_C', 'f'] as const).map((quantity): RigFigured => ({
    per: 'rig',
    page: 'no-load',
    method: 'no-load',
    dependsOn: ['unit'],
    id: `${quantity} at no load`,
    words: quantity === 'V_C' ? 'output volts with nothing connected' : 'frequency with nothing connected',
    head: quantity === 'V_C' ? 'V, no load' : 'f, no load',
    unit: quantity === 'V_C' ? 'V' : 'Hz',
    looked: ['unloaded', 'baseline', quantity === 'V_C' ? 'output voltage' : 'hertz'],
    stated: {
      of: ({ noLoad, record }) =>
        quantity === 'V_C'
          ? stated('V_nom', 'V', noLoad.on.nominal, '')
          : stated('f_nom', 'Hz', record.revision.unit.outputFrequency, ''),
    },
    ofMains: quantity === 'V_C' ? 'volts' : 'hertz',
    quietly: ['nominal or rated'],
    each: looks(({ read }) => read[quantity]),
    of: ({ noLoad }) => noLoad.on.read[quantity],
  })),
]
