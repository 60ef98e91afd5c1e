import { say } from '../../figures'
import { expanded } from '../../meters'
import type { Notice } from '../../oddities'
import { ratedPower } from '../../units'
import { hasFit } from '../hasFit'

/** Share of its rating that a unit draws at most with nothing connected, by any that was ever sold; wide on purpose. */
const mostIdle = 0.06

/**
 * 5: the same amps too many at every step. The curve then begins far over what any unit of that rating draws, as sure as the
 * readings are; it is noticed, and decides nothing.
 */
export const noticeOffsetCurrent: Notice = ({ analysis }) => {
  const { ladder, record } = analysis
  const fit = [ladder.unitFit, ladder.systemFit].find(hasFit)
  const step = ladder.steps.at(-1)?.step.id
  if (!fit || step === undefined) return []
  const full = Math.max(ratedPower(record.revision.unit) ?? 0, fit.high)
  const { value } = fit.p0
  if (value - expanded(fit.p0) <= mostIdle * full) return []
  return [
    {
      number: 5,
      odd: `By its curve it takes ${say(value, 'W')} with nothing connected, of ${say(full, 'W')}: more than units draw.`,
      why: 'A clamp that was not zeroed adds the same amps to every step.',
      todo: 'Zero the ammeter with nothing in its jaws, and read one step again.',
      at: { revision: record.revision.number, step, quantity: 'I' },
    },
  ]
}
