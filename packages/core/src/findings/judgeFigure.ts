import { isFigure, sayFigure, type Derived } from '../figures'
import { claimValue, sayClaim } from '../units'
import { notMeasured, notTested, type Evidence, type Verdict } from './finding'
import { judge } from './outcome'

/** The common case: one measured figure against the claim. */
export function judgeFigure({ claim }: Evidence, figure: Derived, what: string): Verdict {
  if (!isFigure(figure)) return notTested(`${what} was not tested: ${figure.missing}`)
  if (figure.grade !== 'measured') return notMeasured(figure)
  const outcome = judge(figure.x, claim.comparator, claimValue(claim))
  return { outcome, figure, sentence: `${what} is ${sayFigure(figure)} against ${sayClaim(claim)}.` }
}
