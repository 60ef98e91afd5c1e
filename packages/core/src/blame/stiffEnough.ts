import type { SupplyEvidence } from '../attribution'
import { thresholdOf } from '../facts'
import { formatNumber, isFigure } from '../figures'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import type { Moment } from './moment'

/**
 * How stiff a supply must be to carry the rated power over where the unit warns: R = (E − V)·V/P_B. Undefined where bank,
 * path or efficiency are not known.
 */
export function stiffEnough(
  record: Analysis['record'],
  { known: { E, R_bank, R_path } }: SupplyEvidence,
  { step }: Moment,
): string | undefined {
  const rated = ratedPower(record.revision.unit)
  const threshold = thresholdOf(record)?.volts
  const eta = step?.eta_unit
  if (rated === undefined || threshold === undefined || !eta || !isFigure(eta)) return undefined
  if (!isFigure(E) || !isFigure(R_bank) || !isFigure(R_path) || E.x.value <= threshold) return undefined
  const most = ((E.x.value - threshold) * threshold * eta.x.value) / rated
  const now = R_bank.x.value + R_path.x.value
  return most < now
    ? `Bank and path together have ${formatNumber(now * 1000, 1)} mΩ; at most ${formatNumber(most * 1000, 1)} mΩ would show it.`
    : undefined
}
