import { isFigure, sayFigure } from '../../figures'
import type { Judge } from '../finding'
import { judgeFigure } from './measuredFigure'

/** Amps in amps, watts in watts; the other is shown for information (handbook §9). */
export const judgeIdle: Judge = (evidence) => {
  const { noLoad } = evidence.analysis
  const inAmps = evidence.claim.unit === 'A'
  const verdict = judgeFigure(evidence, inAmps ? noLoad.I_idle : noLoad.P_idle, 'Idle draw')
  const other = inAmps ? noLoad.P_idle : noLoad.I_idle
  const also = isFigure(other) && verdict.figure ? ` That is ${sayFigure(other)}.` : ''
  const weak = noLoad.weak && verdict.figure ? ` A weak figure: ${noLoad.weak}` : ''
  return { ...verdict, sentence: `${verdict.sentence}${also}${weak}` }
}

export const judgeSearch: Judge = (evidence) => {
  const { search } = evidence.analysis
  return judgeFigure(
    evidence,
    evidence.claim.unit === 'A' ? search.I_idle : search.P_idle,
    'Draw in search mode',
  )
}
