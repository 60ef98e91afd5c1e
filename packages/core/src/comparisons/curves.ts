import { say, sayFigure } from '../figures'
import { efficiencyAt, hasFit, type LossFit } from '../ladder'
import { expanded, type Uncertain } from '../meters'
import type { Compared } from './compared'
import { differenceOf } from './difference'

/** A stretch of loads over which one curve is better, worse, or not told from the other. */
interface CurveStretch {
  /** W at the outlet. */
  readonly from: number
  readonly to: number
  readonly is: 'better' | 'worse' | 'alike'
  /** The load in the middle by ratio, W, and the difference there, as a share of 1. */
  readonly at: number
  readonly x: Uncertain
}

export interface CurveDifference {
  readonly stretches: readonly CurveStretch[]
  readonly sentence: string
}

/** Loads at which two curves are held against each other, evenly by ratio. */
const loads = 60

/** How the errors of meters are named in common: as `commonErrors` has them. */
type Common = (of: Compared, x: Uncertain) => Uncertain

/**
 * One curve against another where both were measured, load by load, with what their meters have in common taken out:
 * better or worse only by more than the expanded uncertainty of the difference (docs/method/comparisons.md). Neither is
 * carried beyond its own steps; without an overlap, or a curve, the reason.
 */
export function curveDifference(
  one: Compared,
  base: Compared,
  common: Common,
): CurveDifference | { readonly missing: string } {
  const [fit, against] = [one.analysis.ladder.unitFit, base.analysis.ladder.unitFit]
  if (!hasFit(fit)) return { missing: `${one.name} has no curve.` }
  if (!hasFit(against)) return { missing: `${base.name} has no curve.` }
  const [from, to] = [Math.max(fit.low, against.low), Math.min(fit.high, against.high)]
  if (!(to > from)) return { missing: `${one.name} and ${base.name} were not measured at the same loads.` }
  const points = Array.from({ length: loads }, (_, i) => {
    const P = from * (to / from) ** (i / (loads - 1))
    return { P, x: at(P, one, fit, base, against, common) }
  })
  const stretches: CurveStretch[] = []
  let first = 0
  points.forEach((point, i) => {
    const next = points[i + 1]
    if (next && standing(next.x) === standing(point.x)) return
    const [a, b] = [points[first]?.P ?? from, point.P]
    const middle = Math.sqrt(a * b)
    stretches.push({
      from: a,
      to: next ? next.P : b,
      is: standing(point.x),
      at: middle,
      x: at(middle, one, fit, base, against, common),
    })
    first = i + 1
  })
  return { stretches, sentence: sentenceOf(one.name, base.name, stretches) }
}

const at = (P: number, one: Compared, fit: LossFit, base: Compared, against: LossFit, common: Common) =>
  differenceOf(common(one, efficiencyAt(fit, P)), common(base, efficiencyAt(against, P))).x

const standing = (x: Uncertain): CurveStretch['is'] =>
  Math.abs(x.value) <= expanded(x) ? 'alike' : x.value > 0 ? 'better' : 'worse'

/** "better than the other by 0.6 ± 0.2 points at 750 W, and so above 400 W; no difference is shown below 400 W". */
function sentenceOf(one: string, base: string, stretches: readonly CurveStretch[]): string {
  const last = stretches.length - 1
  const span = ({ from, to }: CurveStretch) => {
    const i = stretches.findIndex((stretch) => stretch.from === from)
    if (last === 0) return `from ${say(from, '')} to ${say(to, 'W')}, all that both were measured at`
    if (i === 0) return `below ${say(to, 'W', 2)}`
    return i === last ? `above ${say(from, 'W', 2)}` : `from ${say(from, '', 2)} to ${say(to, 'W', 2)}`
  }
  const told = stretches.filter(({ is }) => is !== 'alike')
  const alike = stretches.filter(({ is }) => is === 'alike')
  const said = [
    ...told.map(
      (stretch, i) =>
        `${i === 0 ? `${one} is ` : ''}${stretch.is}${i === 0 ? ` than ${base}` : ''} by ${points(stretch.x)} points at ${say(stretch.at, 'W', 2)}, and so ${span(stretch)}`,
    ),
    ...alike.map(
      (stretch) =>
        `no difference is shown ${told.length ? '' : `between ${one} and ${base} `}${span(stretch)}`,
    ),
  ]
  return `Efficiency: ${said.join('; ')}.`
}

const points = (x: Uncertain): string =>
  sayFigure({ unit: '%', x: { ...x, value: Math.abs(x.value) } }).replace(/ %$/, '')
