import { judgeFigure, notShown, notTested, type Judge } from '../../findings'
import { claimValue } from '../../units'
import { heatOf, settledOrHottest } from '../heat'

/** Case temperature: where it would settle; reached is only its least. */
export const judgeCase: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const places = analysis.logs.flatMap((log) => heatOf(log, analysis)).filter(({ place }) => place === 'case')
  const [hottest] = places.sort((a, b) => settledOrHottest(b).x.value - settledOrHottest(a).x.value)
  if (!hottest) return notTested('The case was not felt over a hold: note its temperature at check-ins.')
  const figure = settledOrHottest(hottest)
  if (!hottest.settles && figure.x.value < claimValue(claim))
    return notShown(evidence, 'time', hottest.sentence, 'Hold it for longer, until it settles.', figure)
  return judgeFigure(evidence, figure, 'Its case')
}
