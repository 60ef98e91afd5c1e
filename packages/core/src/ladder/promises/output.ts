import type { Asked, Promised } from '../../court'
import { decides, derive, isFigure, say, type Derived } from '../../figures'
import { combine } from '../../meters'
import type { NoLoadFigures } from '../../noLoad'
import type { StepFigures } from '../step'
import { overLoads, shortOfAll, type Look } from './overLoads'

/** Deviation from nominal, in % of it or in the quantity's own unit. */
function deviation(figure: Derived, nominal: number, inPercent: boolean): Derived {
  if (!isFigure(figure)) return figure
  const divisor = inPercent ? nominal : 1
  return derive(
    'deviation',
    inPercent ? '%' : figure.unit,
    inPercent ? `(${figure.symbol} − ${nominal}) / ${nominal}` : `${figure.symbol} − ${nominal}`,
    [figure],
    combine((figure.x.value - nominal) / divisor, [[figure.x, 1 / divisor]]),
  )
}

const overAllLoads = {
  at: 'ladder',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
  covers: shortOfAll,
} as const

/** ±x % or ±x V of nominal over the ladder; the input range not covered is said (docs/method/ladder.md). */
export const regulation: Promised = {
  ...overAllLoads,
  units: ['%', 'V'],
  usual: { unit: '%', comparator: 'within ±' },
  leavesOut: ['input', 'room'],
  evidence: (asked) =>
    overLoads(
      {
        what: 'the largest deviation from nominal',
        of: (step) =>
          asked.claim.unit === '%' ? step.regulation : deviation(step.read.V_C, step.nominal, false),
      },
      asked,
    ),
  absent: () => 'Regulation was not tested: no output voltage under a load that was carried.',
  beside: (_verdict, { analysis }) => {
    const inputs = analysis.ladder.steps
      .filter(({ carried, read }) => carried && decides(read.V_C))
      .flatMap(({ read: { V_B } }) => (isFigure(V_B) ? [V_B.x.value] : []))
    return inputs.length
      ? [
          `Seen with ${say(Math.min(...inputs), '', 4)} to ${say(Math.max(...inputs), 'V', 4)} at the terminals; the rest of the input range is not shown.`,
        ]
      : []
  },
}

/** The highest distortion under the loads, and at no load. */
export const distortionLook: Look = {
  what: 'the highest THD read',
  of: (step) => step.read.THD,
  atNoLoad: ({ read }) => read.THD,
}

export const distortion: Promised = {
  ...overAllLoads,
  units: ['%'],
  usual: { unit: '%', comparator: 'at most' },
  evidence: (asked) => overLoads(distortionLook, asked),
  absent: () => 'Distortion was not tested: no THD was read.',
}

/** "Within ±" looks for the largest deviation from nominal, "at least" for the lowest value, "at most" for the highest. */
function lookAt(
  { claim }: Asked,
  quantity: 'V_C' | 'f',
  what: string,
  nominalOf: (at: StepFigures | NoLoadFigures) => number,
): Look {
  const within = claim.comparator === 'within ±'
  const of = (at: StepFigures | NoLoadFigures) =>
    within ? deviation(at.read[quantity], nominalOf(at), claim.unit === '%') : at.read[quantity]
  return {
    what: `${what}: ${within ? 'the largest deviation from nominal' : 'the value furthest out'}`,
    of,
    atNoLoad: of,
  }
}

export const outputVoltage: Promised = {
  ...overAllLoads,
  units: ['V', '%'],
  usual: { unit: 'V', comparator: 'at least' },
  evidence: (asked) =>
    overLoads(
      lookAt(asked, 'V_C', 'output voltage', ({ nominal }) => nominal),
      asked,
    ),
  absent: () => 'Output voltage was not tested: it was not read.',
}

/** A clock keeps its frequency, loaded or not: wherever it was read it decides. */
export const frequency: Promised = {
  units: ['Hz', '%'],
  usual: { unit: 'Hz', comparator: 'within ±' },
  at: 'ladder',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
  evidence: (asked) => {
    const { outputFrequency } = asked.analysis.record.revision.unit
    return overLoads(
      lookAt(asked, 'f', 'frequency', () => outputFrequency),
      asked,
    )
  },
  absent: () => 'Frequency was not tested: it was not read.',
}
