import { decides, derive, isFigure, say, sayFigure, type Derived, type Figure } from '../../figures'
import {
  judgeFigure,
  nearlyAll,
  notShown,
  notTested,
  promisedLoad,
  type Evidence,
  type Judge,
  type Verdict,
} from '../../findings'
import { combine } from '../../meters'
import type { NoLoadFigures } from '../../noLoad'
import type { StepFigures } from '../step'

/** A figure, and the step that it was read at; no step: at no load. */
interface Extreme {
  readonly figure: Figure
  readonly at: StepFigures | undefined
}

/**
 * The figure that is furthest out, by a measure of its value (its size, unless told otherwise), over the steps that were
 * carried, and no load; those that may decide come first.
 */
function worst(
  { analysis }: Evidence,
  of: (step: StepFigures) => Derived,
  also: readonly Derived[],
  measure: (x: number) => number = Math.abs,
): Extreme | undefined {
  const carried = analysis.ladder.steps.filter((step) => step.carried)
  const seen = [
    ...carried.map((at) => ({ figure: of(at), at })),
    ...also.map((figure) => ({ figure, at: undefined })),
  ].flatMap(({ figure, at }): Extreme[] => (isFigure(figure) ? [{ figure, at }] : []))
  const deciding = seen.filter(({ figure }) => decides(figure))
  return (deciding.length ? deciding : seen).reduce<Extreme | undefined>(
    (most, one) => (!most || measure(one.figure.x.value) > measure(most.figure.x.value) ? one : most),
    undefined,
  )
}

/** Where it was read, and how far the loads went: a promise over the loads is not shown by the lighter ones alone. */
function overLoads(
  evidence: Evidence,
  { figure, at }: Extreme,
  of: (step: StepFigures) => Derived,
  what: string,
): Verdict {
  const verdict = judgeFigure(evidence, figure, what)
  if (verdict.outcome === 'not tested') return verdict
  const where = at
    ? `at ${[at.load, isFigure(at.P_C) && sayFigure(at.P_C)].filter(Boolean).join(', ')}`
    : 'at no load'
  const sentence = `${verdict.sentence.slice(0, -1)}, ${where}.`
  const short = verdict.outcome.startsWith('met') ? shortOfAll(evidence, of) : undefined
  return short
    ? notShown(evidence, 'load', `${sentence} ${short.why}`, short.would, figure)
    : { ...verdict, sentence }
}

/** How far the loads that were read fall short of what a promise is for; undefined: they do not. */
export function shortOfAll(
  evidence: Evidence,
  of: (step: StepFigures) => Derived,
): { readonly why: string; readonly would: string } | undefined {
  const all = promisedLoad(evidence)
  const would = `Read it at ${all === undefined ? 'the largest load there is' : say(all, 'W')}.`
  const loaded = evidence.analysis.ladder.steps.filter((step) => step.carried && decides(of(step)))
  if (!loaded.length) return { why: 'It was read at no load only.', would }
  const most = Math.max(...loaded.flatMap(({ P_C }) => (isFigure(P_C) ? [P_C.x.value] : [])))
  if (all === undefined || most >= all * nearlyAll) return undefined
  const why =
    most > 0
      ? `The loads that it was read at went up to ${say(most, 'W')} of ${say(all, 'W')}.`
      : 'How many watts were on is not known.'
  return { why, would }
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
  const of = ({ regulation, read, nominal }: StepFigures) =>
    inPercent ? regulation : deviation(read.V_C, nominal, false)
  const extreme = worst(evidence, of, [])
  if (!extreme)
    return notTested('Regulation was not tested: no output voltage under a load that was carried.')
  const verdict = overLoads(evidence, extreme, of, 'The largest deviation from nominal')
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

/** The highest distortion that was read under a load that was carried, or at no load. */
export const worstDistortion = (evidence: Evidence): Figure | undefined => highest(evidence)?.figure

const highest = (evidence: Evidence) => worst(evidence, distortionOf, [evidence.analysis.noLoad.on.read.THD])

export const judgeDistortion: Judge = (evidence) => {
  const extreme = highest(evidence)
  return extreme
    ? overLoads(evidence, extreme, distortionOf, 'The highest THD read')
    : notTested('Distortion was not tested: no THD was read.')
}

/** "Within ±" is judged by the largest deviation from nominal, "at least" by the lowest value, "at most" by the highest. */
const judgeOutput =
  (
    quantity: 'V_C' | 'f',
    nominalOf: (at: StepFigures | NoLoadFigures) => number,
    what: string,
    judgeExtreme: typeof overLoads,
  ): Judge =>
  (evidence) => {
    const { claim, analysis } = evidence
    const within = claim.comparator === 'within ±'
    const of = (at: StepFigures | NoLoadFigures) =>
      within ? deviation(at.read[quantity], nominalOf(at), claim.unit === '%') : at.read[quantity]
    const measure = within ? Math.abs : (x: number) => (claim.comparator === 'at least' ? -x : x)
    const extreme = worst(evidence, of, [of(analysis.noLoad.on)], measure)
    if (!extreme) return notTested(`${what} was not tested: it was not read.`)
    const which = within ? 'the largest deviation from nominal' : 'the value furthest out'
    return judgeExtreme(evidence, extreme, of, `${what}: ${which}`)
  }

export const judgeOutputVoltage = judgeOutput('V_C', ({ nominal }) => nominal, 'Output voltage', overLoads)

/** A clock keeps its frequency, loaded or not: wherever it was read it decides. */
export const judgeFrequency: Judge = (evidence) =>
  judgeOutput(
    'f',
    () => evidence.analysis.record.revision.unit.outputFrequency,
    'Frequency',
    (asked, { figure }, _of, what) => judgeFigure(asked, figure, what),
  )(evidence)
