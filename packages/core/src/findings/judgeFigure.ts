import { decides, isFigure, sayFigure, type Derived } from '../figures'
import { claimValue, sayClaim } from '../units'
import { notTested, undecided, type Evidence, type Verdict } from './finding'
import { judge } from './outcome'

/** The common case: one figure against the claim. */
export function judgeFigure({ claim }: Evidence, figure: Derived, what: string): Verdict {
  if (!isFigure(figure)) return notTested(`${what} was not tested. ${figure.missing}`)
  if (!decides(figure)) return undecided(figure)
  const outcome = judge(figure.x, claim.comparator, claimValue(claim))
  return { outcome, figure, sentence: `${what} is ${sayFigure(figure)} against ${sayClaim(claim)}.` }
}
