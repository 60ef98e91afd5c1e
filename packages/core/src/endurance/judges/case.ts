import { plain, say } from '../../figures'
import {
  judgeFigure,
  nearlyAll,
  notShown,
  notTested,
  promisedLoad,
  tooMuch,
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

const valueOf = ({ heat }: Felt) => settledOrHottest(heat).x.value

/**
 * Case temperature: where it would settle; reached is only its least. With nearly all that it is rated for it shows the
 * promise, with no more than that it breaks it.
 */
export const judgeCase: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const felt = analysis.logs
    .flatMap((log) => heatOf(log, analysis).map((heat): Felt => ({ heat, watts: meanWatts(log) })))
    .filter(({ heat }) => heat.place === 'case')
    .sort((a, b) => valueOf(b) - valueOf(a))
  const promised = claimValue(claim)
  const full = promisedLoad(evidence)
  const over = ({ watts = 0 }: Felt) => full !== undefined && watts > full * tooMuch
  const loaded = ({ watts = 0 }: Felt) => full === undefined || watts >= full * nearlyAll
  const told =
    felt.find((one) => valueOf(one) > promised && !over(one)) ??
    felt.find((one) => valueOf(one) <= promised && loaded(one)) ??
    felt[0]
  if (!told) return notTested('The case was not felt over a hold: note its temperature at check-ins.')
  const { heat, watts } = told
  const figure = settledOrHottest(heat)
  if (!heat.settles && figure.x.value < promised)
    return notShown(evidence, 'time', heat.sentence, 'Hold it for longer, until it settles.', figure)
  const verdict = judgeFigure(evidence, figure, 'Its case')
  const unlike = verdict.outcome.startsWith('met') ? !loaded(told) : over(told)
  return full !== undefined && unlike ? anotherLoad(evidence, verdict.sentence, watts, full, figure) : verdict
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
