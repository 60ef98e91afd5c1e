import { decides, derive, isFigure, say, type Derived, type Figure } from '../../figures'
import { judgeFigure, notTested, type Evidence, type Judge } from '../../findings'
import { combine } from '../../meters'
import type { NoLoadFigures } from '../../noLoad'
import type { StepFigures } from '../step'

/**
 * The figure that is furthest out, by a measure of its value (its size, unless told otherwise), over the steps that were
 * carried, and no load; those that may decide come first.
 */
function worst(
  { analysis }: Evidence,
  of: (step: StepFigures) => Derived,
  also: readonly Derived[],
  measure: (x: number) => number = Math.abs,
): Figure | undefined {
  const carried = analysis.ladder.steps.filter((step) => step.carried)
  const figures = [...carried.map(of), ...also].filter(isFigure)
  const deciding = figures.filter(decides)
  return (deciding.length ? deciding : figures).reduce<Figure | undefined>(
    (most, figure) => (!most || measure(figure.x.value) > measure(most.x.value) ? figure : most),
    undefined,
  )
}

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
  const figure = worst(
    evidence,
    ({ regulation, read, nominal }) => (inPercent ? regulation : deviation(read.V_C, nominal, false)),
    [],
  )
  if (!figure) return notTested('Regulation was not tested: no output voltage under a load that was carried.')
  const verdict = judgeFigure(evidence, figure, 'The largest deviation from nominal')
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

/** The highest distortion that was read under a load that was carried, or at no load. */
export const worstDistortion = (evidence: Evidence): Figure | undefined =>
  worst(evidence, (step) => step.read.THD, [evidence.analysis.noLoad.on.read.THD])

export const judgeDistortion: Judge = (evidence) => {
  const figure = worstDistortion(evidence)
  return figure
    ? judgeFigure(evidence, figure, 'The highest THD read')
    : notTested('Distortion was not tested: no THD was read.')
}

/** "Within ±" is judged by the largest deviation from nominal, "at least" by the lowest value, "at most" by the highest. */
const judgeOutput =
  (quantity: 'V_C' | 'f', nominalOf: (at: StepFigures | NoLoadFigures) => number, what: string): Judge =>
  (evidence) => {
    const { claim, analysis } = evidence
    const within = claim.comparator === 'within ±'
    const of = (at: StepFigures | NoLoadFigures) =>
      within ? deviation(at.read[quantity], nominalOf(at), claim.unit === '%') : at.read[quantity]
    const measure = within ? Math.abs : (x: number) => (claim.comparator === 'at least' ? -x : x)
    const figure = worst(evidence, of, [of(analysis.noLoad.on)], measure)
    if (!figure) return notTested(`${what} was not tested: it was not read.`)
    const which = within ? 'the largest deviation from nominal' : 'the value furthest out'
    return judgeFigure(evidence, figure, `${what}: ${which}`)
  }

export const judgeOutputVoltage = judgeOutput('V_C', ({ nominal }) => nominal, 'Output voltage')

export const judgeFrequency: Judge = (evidence) =>
  judgeOutput('f', () => evidence.analysis.record.revision.unit.outputFrequency, 'Frequency')(evidence)
