import type { Notice } from '../../oddities'
import { hasFit } from '../hasFit'
import { formatNumber } from '../../figures'

/** Points the fitted curve does not explain: part of 18, for re-reading. */
export const noticeOutlier: Notice = ({ analysis }) => {
  const fit = analysis.ladder.unitFit
  if (!hasFit(fit)) return []
  return fit.residuals
    .filter((residual) => residual.offered && residual.key !== 'idle')
    .map((residual) => ({
      number: 18,
      odd: `The loss here is ${formatNumber(Math.abs(residual.residual), 1)} W ${residual.residual > 0 ? 'above' : 'below'} the curve, far more than it scatters.`,
      why: 'One reading of this step may be slipped, or something changed.',
      todo: 'Read the step again.',
      at: { revision: analysis.record.revision.number, step: residual.key },
    }))
}
