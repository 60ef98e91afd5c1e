import { decides, derive, isFigure, say, type Derived, type Figure } from '../../figures'
import { judgeFigure, notTested, type Evidence, type Judge } from '../../findings'
import { combine } from '../../meters'
import type { NoLoadFigures } from '../../noLoad'
import type { StepFigures } from '../step'
import { worst, type Look } from './extreme'
import { overLoads } from './overLoads'

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

/** ±x % or ±x V of nominal over the ladder; the input range not covered is said (docs/method/ladder.md). */
export const judgeRegulation: Judge = (evidence) => {
  const inPercent = evidence.claim.unit === '%'
  const of = ({ regulation, read, nominal }: StepFigures) =>
    inPercent ? regulation : deviation(read.V_C, nominal, false)
  const verdict = overLoads(evidence, { of }, 'The largest deviation from nominal')
  if (!verdict)
    return notTested('Regulation was not tested: no output voltage under a load that was carried.')
  const inputs = evidence.analysis.ladder.steps
    .filter(({ carried, read }) => carried && decides(read.V_C))
    .map((step) => step.read.V_B)
    .filter(isFigure)
  if (!inputs.length) return verdict
  const low = Math.min(...inputs.map((input) => input.x.value))
  const high = Math.max(...inputs.map((input) => input.x.value))
  return {
    ...verdict,
    sentence: `${verdict.sentence} Seen with ${say(low, '', 4)} to ${say(high, 'V', 4)} at the terminals; the rest of the input range is not shown.`,
  }
}

export const distortionOf = (step: StepFigures) => step.read.THD

const distortion = ({ analysis }: Evidence): Look => ({
  of: distortionOf,
  atNoLoad: analysis.noLoad.on.read.THD,
})

/** The highest distortion that was read under a load that was carried, or at no load. */
export const worstDistortion = (evidence: Evidence): Figure | undefined =>
  worst(evidence, distortion(evidence))?.figure

export const judgeDistortion: Judge = (evidence) =>
  overLoads(evidence, distortion(evidence), 'The highest THD read') ??
  notTested('Distortion was not tested: no THD was read.')

/** "Within ±" looks for the largest deviation from nominal, "at least" for the lowest value, "at most" for the highest. */
function lookAt(
  { claim, analysis }: Evidence,
  quantity: 'V_C' | 'f',
  nominalOf: (at: StepFigures | NoLoadFigures) => number,
): Look & { readonly which: string } {
  const within = claim.comparator === 'within ±'
  const of = (at: StepFigures | NoLoadFigures) =>
    within ? deviation(at.read[quantity], nominalOf(at), claim.unit === '%') : at.read[quantity]
  return {
    of,
    atNoLoad: of(analysis.noLoad.on),
    measure: within ? Math.abs : (x) => (claim.comparator === 'at least' ? -x : x),
    which: within ? 'the largest deviation from nominal' : 'the value furthest out',
  }
}

export const judgeOutputVoltage: Judge = (evidence) => {
  const look = lookAt(evidence, 'V_C', ({ nominal }) => nominal)
  return (
    overLoads(evidence, look, `Output voltage: ${look.which}`) ??
    notTested('Output voltage was not tested: it was not read.')
  )
}

/** A clock keeps its frequency, loaded or not: wherever it was read it decides. */
export const judgeFrequency: Judge = (evidence) => {
  const { outputFrequency } = evidence.analysis.record.revision.unit
  const look = lookAt(evidence, 'f', () => outputFrequency)
  const extreme = worst(evidence, look)
  return extreme
    ? judgeFigure(evidence, extreme.figure, `Frequency: ${look.which}`)
    : notTested('Frequency was not tested: it was not read.')
}
