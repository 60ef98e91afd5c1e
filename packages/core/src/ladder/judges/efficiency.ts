import { decides, derive, isFigure, say, sayFigure, type Figure } from '../../figures'
import {
  judge,
  nearlyAll,
  notShown,
  notTested,
  promisedLoad,
  undecided,
  type Evidence,
  type Judge,
  type Verdict,
} from '../../findings'
import type { Analysis } from '../../trials'
import { claimValue, sayClaim } from '../../units'
import { efficiencyAt, peakOf, rangeAbove } from '../curve'
import { hasFit } from '../hasFit'
import type { LossFit } from '../lossFit'
import type { StepFigures } from '../step'

/**
 * A claim at a stated load is judged there; one that states none at the peak, answered with the range in which
 * it holds (docs/method/ladder.md). Without a peak inside the range the best measured step decides. Where the volts at
 * the terminals were not read, what comes out of the posts bounds it: the unit is no worse than it is with its leads.
 */
export const judgeEfficiency: Judge = (evidence) => {
  const { load } = evidence.claim
  return load === undefined ? atItsBest(evidence) : atLoad(evidence, load)
}

function atLoad(evidence: Evidence, load: number): Verdict {
  const where = `at ${say(load, 'W')}`
  const near = ({ P_C }: StepFigures) => isFigure(P_C) && Math.abs(P_C.x.value - load) < 0.05 * load
  const figure = onCurve(evidence.analysis, load) ?? best(evidence.analysis, 'eta_unit', near)
  return (
    decided(evidence, figure, `Efficiency ${where}`) ??
    byBound(evidence, near, where) ??
    (figure ? undecided(figure) : notTested(`Efficiency ${where} was not tested: no step near it.`))
  )
}

function atItsBest(evidence: Evidence): Verdict {
  const { claim, analysis } = evidence
  const fit = analysis.ladder.unitFit
  const peak = hasFit(fit) ? peakOf(fit) : undefined
  const figure = peak
    ? curveFigure('η_peak', analysis, peak.eta, `η at ${say(peak.P.value, 'W')} on the curve`)
    : best(analysis, 'eta_unit')
  const verdict = decided(
    evidence,
    figure,
    peak ? `The peak, near ${say(peak.P.value, 'W')},` : 'The best step',
  )
  if (!verdict)
    return (
      byBound(evidence, () => true, 'of the best step') ??
      (figure
        ? undecided(figure)
        : notTested('Efficiency was not tested: no step has both input and output power.'))
    )
  const beyond = peak || !verdict.outcome.startsWith('not met') ? undefined : bestElsewhere(evidence)
  if (beyond)
    return notShown(evidence, 'load', `${verdict.sentence} ${beyond.why}`, beyond.would, verdict.figure)
  return hasFit(fit)
    ? { ...verdict, sentence: `${verdict.sentence} ${sayRange(fit, claimValue(claim), sayClaim(claim))}` }
    : verdict
}

/** By a figure that may decide. What the best of steps that lie on no curve would show may be what was misread. */
function decided(evidence: Evidence, figure: Figure | undefined, what: string): Verdict | undefined {
  if (!figure || !decides(figure)) return undefined
  const { claim, analysis } = evidence
  const outcome = judge(figure.x, claim.comparator, claimValue(claim))
  const sentence = `${what} is ${sayFigure(figure)} against ${sayClaim(claim)}.`
  const fit = analysis.ladder.unitFit
  return outcome.startsWith('met') && !hasFit(fit) && fit.misfit
    ? notShown(evidence, 'meter', sentence, fit.missing, figure)
    : { outcome, figure, sentence }
}

/** Share of the rated watts under which no unit is at its best. */
const lightest = 0.1

/**
 * Why it may be better than at any step, where no peak was seen: a single step tells no peak, and the best at an end of the
 * ladder is one only where the ladder ends with what it is rated for.
 */
function bestElsewhere(evidence: Evidence): { readonly why: string; readonly would: string } | undefined {
  const steps = evidence.analysis.ladder.steps.flatMap(({ carried, P_C, eta_unit: eta }) =>
    carried && isFigure(P_C) && decides(eta) ? [{ watts: P_C.x.value, eta: eta.x.value }] : [],
  )
  const byWatts = steps.sort((a, b) => a.watts - b.watts)
  const [first, last] = [byWatts[0], byWatts.at(-1)]
  const top = byWatts.reduce((most, one) => (most && most.eta >= one.eta ? most : one), first)
  if (!first || !last || !top) return undefined
  const rated = promisedLoad(evidence)
  const would = `Steps from a tenth to all of ${rated === undefined ? 'its rated load' : say(rated, 'W')} would show it.`
  if (byWatts.length < 3) return { why: 'So few steps do not tell where it is at its best.', would }
  if (top === last && last.watts < (rated ?? Infinity) * nearlyAll)
    return { why: 'That was the heaviest step, and with more it may be better.', would }
  if (top === first && first.watts > (rated ?? 0) * lightest)
    return { why: 'That was the lightest step, and with less it may be better.', would }
  return undefined
}

/** η_unit ≥ η_system: with its leads it may show a promise, but a miss needs to know what the leads take. */
function byBound(
  evidence: Evidence,
  which: (step: StepFigures) => boolean,
  where: string,
): Verdict | undefined {
  const { claim, analysis } = evidence
  const figure = best(analysis, 'eta_system', which)
  if (!figure || !decides(figure) || claim.comparator !== 'at least') return undefined
  const outcome = judge(figure.x, 'at least', claimValue(claim))
  const seen = `Efficiency ${where} is ${sayFigure(figure)} from the posts on, leads and all`
  return outcome.startsWith('met')
    ? { outcome, figure, sentence: `${seen}, against ${sayClaim(claim)}; the unit alone is no worse.` }
    : notShown(
        evidence,
        'meter',
        `${seen}; what the leads take of it is not known.`,
        'Read V_B at the terminals.',
        figure,
      )
}

/** "92 % holds from 190 W to 1250 W; not below": ends of the measured range are not called limits. */
export function sayRange(fit: LossFit, target: number, words: string): string {
  const ranges = rangeAbove(fit, target)
  if (!ranges.length) return `${words} holds nowhere in the measured range.`
  const outside = {
    below: (ranges[0]?.from ?? 0) > fit.low * 1.001,
    above: (ranges.at(-1)?.to ?? 0) < fit.high * 0.999,
  }
  const where = ranges.map((range) => `from ${say(range.from, 'W')} to ${say(range.to, 'W')}`).join(' and ')
  const not = [outside.below && 'below', outside.above && 'above'].filter(Boolean).join(' or ')
  return `${words} holds ${where}${not ? `; not ${not}` : ', the whole measured range'}.`
}

/** Efficiency on the curve, where the curve reaches. */
function onCurve(analysis: Analysis, load: number): Figure | undefined {
  const fit = analysis.ladder.unitFit
  if (!hasFit(fit) || load < fit.low * 0.95 || load > fit.high * 1.05) return undefined
  return curveFigure('η_unit', analysis, efficiencyAt(fit, load), `η(${say(load, 'W')}) on the curve`)
}

/** The highest figure of the steps that were carried; those that may decide come first. */
function best(
  analysis: Analysis,
  which: 'eta_unit' | 'eta_system',
  wanted: (step: StepFigures) => boolean = () => true,
): Figure | undefined {
  const figures = analysis.ladder.steps
    .filter((step) => step.carried && wanted(step))
    .map((step) => step[which])
    .filter(isFigure)
  const deciding = figures.filter(decides)
  return (deciding.length ? deciding : figures).reduce<Figure | undefined>(
    (most, figure) => (!most || figure.x.value > most.x.value ? figure : most),
    undefined,
  )
}

function curveFigure(
  symbol: string,
  analysis: Analysis,
  x: Figure['x'],
  formula: string,
): Figure | undefined {
  const inputs = analysis.ladder.steps.filter(({ carried }) => carried).map((step) => step.eta_unit)
  const figure = derive(symbol, '%', formula, inputs.filter(decides), x, [
    'P_loss = p0 + p1·S + p2·S², fitted to all steps that were carried, and idle.',
  ])
  return isFigure(figure) ? figure : undefined
}
