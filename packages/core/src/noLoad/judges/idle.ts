import { isFigure, sayFigure } from '../../figures'
import { judgeFigure, type Judge } from '../../findings'

/** Amps in amps, watts in watts; the other is shown for information (docs/method/no-load.md). */
export const judgeIdle: Judge = (evidence) => {
  const { on } = evidence.analysis.noLoad
  const inAmps = evidence.claim.unit === 'A'
  const verdict = judgeFigure(evidence, inAmps ? on.I_idle : on.P_idle, 'Idle draw')
  const other = inAmps ? on.P_idle : on.I_idle
  const also = isFigure(other) && verdict.figure ? ` That is ${sayFigure(other)}.` : ''
  const weak = on.weak && verdict.figure ? ` A weak figure: ${on.weak}` : ''
  return { ...verdict, sentence: `${verdict.sentence}${also}${weak}` }
}

export const judgeSearch: Judge = (evidence) => {
  const { search } = evidence.analysis.noLoad
  return judgeFigure(
    evidence,
    evidence.claim.unit === 'A' ? search.I_idle : search.P_idle,
    'Draw in search mode',
  )
}
