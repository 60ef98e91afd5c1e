import { derive, isFigure, say, sayFigure, type Figure } from '../../figures'
import { judge, notMeasured, notTested, type Judge, type Verdict } from '../../findings'
import type { Analysis } from '../../trials'
import { claimValue, sayClaim } from '../../units'
import { efficiencyAt, peakOf, rangeAbove } from '../curve'
import { hasFit } from '../hasFit'
import type { LossFit } from '../lossFit'

/**
 * A claim at a stated load is judged there; one that states none at the peak, answered with the range in which
 * it holds (docs/method/ladder.md). Without a peak inside the range the best measured step decides.
 */
export const judgeEfficiency: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const fit = analysis.ladder.unitFit
  if (claim.load !== undefined) {
    const figure = atLoad(analysis, claim.load)
    if (!figure) return notTested(`Efficiency at ${say(claim.load, 'W')} was not tested: no step near it.`)
    return decide(figure, `Efficiency at ${say(claim.load, 'W')}`)
  }
  const peak = hasFit(fit) ? peakOf(fit) : undefined
  const figure = peak
    ? curveFigure('η_peak', analysis, peak.eta, `η at ${say(peak.P.value, 'W')} on the curve`)
    : best(analysis)
  if (!figure) return notTested('Efficiency was not tested: no step has both input and output power.')
  const verdict = decide(figure, peak ? `The peak, near ${say(peak.P.value, 'W')},` : 'The best step')
  return hasFit(fit)
    ? { ...verdict, sentence: `${verdict.sentence} ${sayRange(fit, claimValue(claim), sayClaim(claim))}` }
    : verdict

  function decide(x: Figure, what: string): Verdict {
    if (x.grade !== 'measured') return notMeasured(x)
    const outcome = judge(x.x, claim.comparator, claimValue(claim))
    return { outcome, figure: x, sentence: `${what} is ${sayFigure(x)} against ${sayClaim(claim)}.` }
  }
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

function atLoad(analysis: Analysis, load: number): Figure | undefined {
  const fit = analysis.ladder.unitFit
  if (hasFit(fit) && load >= fit.low * 0.95 && load <= fit.high * 1.05) {
    return curveFigure('η_unit', analysis, efficiencyAt(fit, load), `η(${say(load, 'W')}) on the curve`)
  }
  const near = analysis.ladder.steps.find(
    (step) =>
      isFigure(step.P_C) && Math.abs(step.P_C.x.value - load) < 0.05 * load && isFigure(step.eta_unit),
  )
  return near && isFigure(near.eta_unit) ? near.eta_unit : undefined
}

function best(analysis: Analysis): Figure | undefined {
  return analysis.ladder.steps
    .map((step) => step.eta_unit)
    .filter(isFigure)
    .reduce<Figure | undefined>(
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
  const inputs = analysis.ladder.steps.map((step) => step.eta_unit).filter(isFigure)
  const figure = derive(symbol, '%', formula, inputs, x, [
    'P_loss = p0 + p1·S + p2·S², fitted to all steps and idle.',
  ])
  return isFigure(figure) ? { ...figure, grade: 'measured' } : undefined
}
