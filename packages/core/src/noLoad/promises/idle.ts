import { hindrance, type Asked, type Evidence, type Promised } from '../../court'
import { isFigure, sayFigure } from '../../figures'
import type { NoLoadFigures } from '../figures'

const ofDraw = {
  units: ['W', 'A'],
  usual: { unit: 'W', comparator: 'at most' },
  at: 'no load',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
} as const

/** Amps in amps, watts in watts; the other is shown for information (docs/method/no-load.md). */
export const idleDraw: Promised = {
  ...ofDraw,
  leavesOut: ['input', 'room'],
  evidence: ({ claim, analysis }) =>
    analysis.noLoad.atVolts.flatMap((read) => evidenceOf(read, claim.unit === 'A', 'idle draw')),
  absent: (asked) => `Idle draw was not tested. ${missing(asked, asked.analysis.noLoad.on)}`,
  beside: (verdict, { claim, analysis }) => {
    const { on } = analysis.noLoad
    const other = claim.unit === 'A' ? on.P_idle : on.I_idle
    if (!verdict.evidence || verdict.outcome === 'not tested') return []
    return [
      ...(isFigure(other) && analysis.noLoad.atVolts.length === 1 ? [`That is ${sayFigure(other)}.`] : []),
      ...(on.weak ? [`A weak figure: ${on.weak}`] : []),
    ]
  },
}

export const searchDraw: Promised = {
  ...ofDraw,
  evidence: ({ claim, analysis }) =>
    evidenceOf(analysis.noLoad.search, claim.unit === 'A', 'draw in search mode'),
  absent: (asked) => `Draw in search mode was not tested. ${missing(asked, asked.analysis.noLoad.search)}`,
}

const missing = ({ claim }: Asked, read: NoLoadFigures): string => {
  const figure = claim.unit === 'A' ? read.I_idle : read.P_idle
  return isFigure(figure) ? '' : figure.missing
}

const connected = () =>
  hindrance('something connected', () => ({
    why: 'Something was connected at the outlet, and drew some of it.',
    would: 'Unplug everything, a strip with a lamp too, and read again.',
  }))

/** What was read with something connected is at least what the unit draws alone: a bound from above. */
function evidenceOf(read: NoLoadFigures, inAmps: boolean, what: string): Evidence[] {
  const figure = inAmps ? read.I_idle : read.P_idle
  if (!isFigure(figure)) return []
  const alone = (inAmps ? read.loaded?.I_idle : read.loaded?.P_idle) ?? figure
  const volts = isFigure(read.read.V_B) ? `, with ${sayFigure(read.read.V_B)} at the terminals` : ''
  return [
    {
      code: read.loaded ? 'something connected' : 'read',
      figure: alone,
      bound: read.loaded ? 'at most' : 'exact',
      hindrances: [],
      ...(read.loaded ? { open: connected() } : {}),
      found: () =>
        `${what} is ${sayFigure(alone)}${read.loaded ? ' at most, for something was connected' : ''}${volts}`,
    },
  ]
}
