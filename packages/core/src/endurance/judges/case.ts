import { plain, say } from '../../figures'
import {
  judgeFigure,
  nearlyAll,
  notShown,
  notTested,
  promisedLoad,
  type Evidence,
  type Judge,
} from '../../findings'
import { meanWatts } from '../../logs'
import { claimValue } from '../../units'
import { heatOf, settledOrHottest, type PlaceHeat } from '../heat'

interface Felt {
  readonly heat: PlaceHeat
  /** W of the hold, as read or as noted. */
  readonly watts: number | undefined
}

/** Share over what it is promised at, or rated for, from which a hold says nothing against it. */
const tooMuch = 1.05

/**
 * Case temperature: where it would settle; reached is only its least. With nearly all that it is rated for it shows the
 * promise, with no more than that it breaks it.
 */
export const judgeCase: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const felt = analysis.logs
    .flatMap((log) => heatOf(log, analysis).map((heat): Felt => ({ heat, watts: meanWatts(log) })))
    .filter(({ heat }) => heat.place === 'case')
    .sort((a, b) => settledOrHottest(b.heat).x.value - settledOrHottest(a.heat).x.value)
  const full = promisedLoad(evidence) ?? Infinity
  const hottest = felt.find(({ watts = 0 }) => watts <= full * tooMuch) ?? felt[0]
  if (!hottest) return notTested('The case was not felt over a hold: note its temperature at check-ins.')
  const { heat, watts } = hottest
  const figure = settledOrHottest(heat)
  if (!heat.settles && figure.x.value < claimValue(claim))
    return notShown(evidence, 'time', heat.sentence, 'Hold it for longer, until it settles.', figure)
  const verdict = judgeFigure(evidence, figure, 'Its case')
  const met = verdict.outcome.startsWith('met')
  const unlike =
    (met && full !== Infinity && (watts ?? 0) < full * nearlyAll) ||
    (verdict.outcome.startsWith('not met') && watts !== undefined && watts > full * tooMuch)
  return unlike ? anotherLoad(evidence, verdict.sentence, watts, full, figure) : verdict
}

function anotherLoad(
  evidence: Evidence,
  sentence: string,
  watts: number | undefined,
  full: number,
  figure: PlaceHeat['hottest'],
) {
  const on = watts === undefined ? 'an unknown load' : say(watts, 'W')
  return notShown(
    evidence,
    'load',
    `${sentence} That was with ${on} of ${plain(full)} W.`,
    `Hold ${plain(full)} W until it settles.`,
    figure,
  )
}
