import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../../court'
import { nearlyAll, promisedLoad } from '../../facts'
import { decides, derive, isFigure, say, sayFigure, type Figure } from '../../figures'
import type { Analysis } from '../../trials'
import { claimValue, sayClaim } from '../../units'
import { efficiencyAt, peakOf, rangeAbove } from '../curve'
import { hasFit } from '../hasFit'
import type { LossFit } from '../lossFit'
import type { StepFigures } from '../step'

/**
 * A claim at a stated load is judged there; one that states none at the peak, answered with the range in which
 * it holds (docs/method/ladder.md). Without a peak inside the range the best measured step decides. Where the volts at
 * the terminals were not read, what comes out of the posts is a bound from below: the unit is no worse than with its leads.
 */
export const efficiency: Promised = {
  units: ['%'],
  usual: { unit: '%', comparator: 'at least' },
  at: 'ladder',
  several: 'best',
  room: 'stated',
  leavesOut: ['input', 'room'],
  voltsOf: 'steady',
  evidence: (asked) => {
    const { load } = asked.claim
    return load === undefined ? atItsBest(asked) : atLoad(asked, load)
  },
  absent: ({ claim: { load } }) =>
    load === undefined
      ? 'Efficiency was not tested: no step has both input and output power.'
      : `Efficiency at ${say(load, 'W')} was not tested: no step near it.`,
  beside: ({ code }, { claim, analysis: { ladder } }) =>
    (code === 'at its best' || code === 'better elsewhere') && hasFit(ladder.unitFit)
      ? [sayRange(ladder.unitFit, claimValue(claim), sayClaim(claim))]
      : [],
}

function atLoad(asked: Asked, load: number): Evidence[] {
  const where = `at ${say(load, 'W')}`
  const near = ({ P_C }: StepFigures) => isFigure(P_C) && Math.abs(P_C.x.value - load) < 0.05 * load
  const figure = onCurve(asked.analysis, load) ?? best(asked.analysis, 'eta_unit', near)
  const own = figure ? [evidenceOf('at its load', figure, `efficiency ${where}`, noCurve(asked))] : []
  return figure && decides(figure) ? own : [...own, ...byPosts(asked, near, where)]
}

function atItsBest(asked: Asked): Evidence[] {
  const { analysis } = asked
  const fit = analysis.ladder.unitFit
  const peak = hasFit(fit) ? peakOf(fit) : undefined
  const figure = peak
    ? curveFigure('η_peak', analysis, peak.eta, `η at ${say(peak.P.value, 'W')} on the curve`)
    : best(analysis, 'eta_unit')
  if (!figure) return byPosts(asked, () => true, 'of the best step')
  const what = peak ? `the peak, near ${say(peak.P.value, 'W')},` : 'the best step'
  const own = evidenceOf('at its best', figure, what, [
    ...noCurve(asked),
    ...(peak ? [] : betterElsewhere(asked)),
  ])
  return decides(figure) ? [own] : [own, ...byPosts(asked, () => true, 'of the best step')]
}

const evidenceOf = (
  code: string,
  figure: Figure,
  what: string,
  hindrances: readonly Hindrance[],
): Evidence => ({ code, figure, bound: 'exact', hindrances, found: () => `${what} is ${sayFigure(figure)}` })

/** What the best of steps that lie on no curve would show may be what was misread. */
function noCurve({ analysis }: Asked): Hindrance[] {
  const fit = analysis.ladder.unitFit
  return !hasFit(fit) && fit.misfit ? [hindrance('no curve', () => ({ why: '', would: fit.missing }))] : []
}

/** Share of the rated watts under which no unit is at its best. */
const lightest = 0.1

/**
 * Why it may be better than at any step, where no peak was seen: a single step tells no peak, and the best at an end of the
 * ladder is one only where the ladder ends with what it is rated for.
 */
function betterElsewhere({ claim, analysis }: Asked): Hindrance[] {
  const byWatts = analysis.ladder.steps
    .flatMap(({ carried, P_C, eta_unit: eta }) =>
      carried && isFigure(P_C) && decides(eta) ? [{ watts: P_C.x.value, eta: eta.x.value }] : [],
    )
    .sort((a, b) => a.watts - b.watts)
  const [first, last] = [byWatts[0], byWatts.at(-1)]
  const top = byWatts.reduce((most, one) => (most && most.eta >= one.eta ? most : one), first)
  if (!first || !last || !top) return []
  const rated = promisedLoad(claim, analysis)
  const why =
    byWatts.length < 3
      ? 'So few steps do not tell where it is at its best.'
      : top === last && last.watts < (rated ?? Infinity) * nearlyAll
        ? 'That was the heaviest step, and with more it may be better.'
        : top === first && first.watts > (rated ?? 0) * lightest
          ? 'That was the lightest step, and with less it may be better.'
          : undefined
  const would = `Steps from a tenth to all of ${rated === undefined ? 'its rated load' : say(rated, 'W')} would show it.`
  return why === undefined ? [] : [hindrance('better elsewhere', () => ({ why, would }))]
}

/** η_unit ≥ η_system: with its leads it may show a promise, but a miss needs to know what the leads take. */
function byPosts(asked: Asked, which: (step: StepFigures) => boolean, where: string): Evidence[] {
  const figure = best(asked.analysis, 'eta_system', which)
  if (!figure) return []
  return [
    {
      code: 'from the posts',
      figure,
      bound: 'at least',
      hindrances: [],
      open: hindrance('leads included', () => ({
        why: 'What the leads take of it is not known.',
        would: 'Read V_B at the terminals.',
      })),
      found: () =>
        `efficiency ${where} is ${sayFigure(figure)} from the posts on, leads and all, and the unit alone is no worse`,
    },
  ]
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
