import type { Claim } from '@even-watt/contract'
import { decides, formatNumber, isFigure, sayFigure } from '../../figures'
import {
  judgeFigure,
  notShown,
  notTested,
  undecided,
  type Evidence,
  type Judge,
  type Verdict,
} from '../../findings'
import { claimValue, sayClaim } from '../../units'
import { runDownsOf, type RunDown } from '../runDown'
import { atLoad, perhapsNotFull, sayLoad, wasFull } from './store'

const fits = ({ watts }: RunDown, { load }: Claim) =>
  load === undefined || (watts !== undefined && Math.abs(watts / load - 1) <= atLoad)

/** Energy by run-downs that went to their end; what its label means is a school that is recorded with the claim. */
export const judgeEnergy: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const tried = runDownsOf(analysis).filter((one) => one.log.ended && fits(one, claim))
  const name = claim.unit === 'Ah' ? 'Q_B' : claim.means === 'cells' ? 'E_B' : 'E_C'
  const known = tried
    .flatMap((one) => {
      const figure = one.log.energies[name].figure
      return isFigure(figure) ? [{ ...one, figure }] : []
    })
    .sort(
      (a, b) => Number(decides(b.figure)) - Number(decides(a.figure)) || b.figure.x.value - a.figure.x.value,
    )
  const [best] = known
  if (!best) return withoutEnergy(evidence, tried)
  const { figure } = best
  if (!decides(figure)) return undecided(figure)
  const verdict = judgeFigure(evidence, figure, `What it gave at ${sayLoad(best.watts)} W`)
  const short = claimValue(claim) > figure.x.value
  const others = known.slice(1).map((one) => `${sayFigure(one.figure)} at ${sayLoad(one.watts)} W`)
  const beside = others.length ? ` Other run-downs gave ${others.join(', ')}.` : ''
  if (short && !best.complete)
    return notShown(
      evidence,
      'time',
      `${sayFigure(figure)} came of it until it was ended. ${best.why ?? ''}`.trim(),
      'A run-down to its cutoff would show it.',
      figure,
    )
  if (short && !wasFull(best)) return perhapsNotFull(evidence, best, `It gave ${sayFigure(figure)}`, figure)
  if (short && claim.means === undefined && claim.unit !== 'Ah') {
    const share = (100 * figure.x.value) / claimValue(claim)
    return notShown(
      evidence,
      'meter',
      `At the outlet it gave ${sayFigure(figure)} of ${sayClaim(claim)}, ${formatNumber(share, 0)} %, at ${sayLoad(best.watts)} W; its label does not say whether it means the cells or the outlet.${beside}`,
      'Find out what its label means, and note it with the claim.',
      figure,
    )
  }
  return { ...verdict, sentence: `${verdict.sentence}${beside}` }
}

function withoutEnergy(evidence: Evidence, tried: readonly RunDown[]): Verdict {
  const outlet = tried.map(({ delivered }) => delivered).find(isFigure)
  if (evidence.claim.means === 'cells' && outlet)
    return notShown(
      evidence,
      'meter',
      `At the outlet it gave ${sayFigure(outlet)} of ${sayClaim(evidence.claim)}; what the cells gave has no tap.`,
      'A run-down of the cells themselves, by who may open it, would show it.',
      outlet,
    )
  return notTested('The energy was not tested. It needs a run-down to cutoff with watt-hours at the outlet.')
}

export const judgeCycles: Judge = () =>
  notTested('Cycles take years: what the store still gives after some of them is a run-down of its own.')
