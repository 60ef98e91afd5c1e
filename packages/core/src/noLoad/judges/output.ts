import { derive, isFigure, type Derived } from '../../figures'
import { judgeFigure, type Judge } from '../../findings'
import { combine } from '../../meters'

/** A "within ±" claim is judged by the deviation from nominal: in %, or in the quantity's own unit. */
function deviation(figure: Derived, nominal: number, inPercent: boolean): Derived {
  if (!isFigure(figure)) return figure
  const divisor = inPercent ? nominal : 1
  return derive(
    'deviation',
    inPercent ? '%' : figure.unit,
    inPercent ? `(${figure.symbol} − ${nominal}) / ${nominal}` : `${figure.symbol} − ${nominal}`,
    [figure],
    combine((figure.x.value - nominal) / divisor, [[figure.x, 1 / divisor]]),
  )
}

const judgeOutput =
  (quantity: 'V_C' | 'f', nominal: 'outputVoltage' | 'outputFrequency', what: string): Judge =>
  (evidence) => {
    const { claim, analysis } = evidence
    const figure = analysis.noLoad.on.read[quantity]
    if (claim.comparator !== 'within ±') return judgeFigure(evidence, figure, `${what} at no load`)
    const wanted = analysis.record.revision.unit[nominal]
    return judgeFigure(
      evidence,
      deviation(figure, wanted, claim.unit === '%'),
      `${what} at no load: deviation from nominal`,
    )
  }

export const judgeOutputVoltage = judgeOutput('V_C', 'outputVoltage', 'Output voltage')
export const judgeFrequency = judgeOutput('f', 'outputFrequency', 'Frequency')
