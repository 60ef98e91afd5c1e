import {
  bankNominal,
  claimedValue,
  efficiencyAt,
  hasFit,
  ratedPower,
  say,
  thresholdOf,
  type Analysis,
  type SupplyQuestion,
} from '@even-watt/core'
import { useMemo } from 'react'

/** Shares of the volts of a bank at which units usually warn, and of those at which they then stop. */
const usualAlarm = 0.9
const usualCutoff = 0.963

/** What a trial's unit asks of its supply: its alarm and cutoff, its loss, its continuous claim. */
export function useUnitQuestion(
  analysis: Analysis,
): SupplyQuestion & { readonly words: string; readonly claim: number | undefined } {
  return useMemo(() => {
    const { unit, rig } = analysis.record.revision
    // A station has no terminals at which it could warn: what is usual of a bank of its volts stands in.
    const threshold = thresholdOf(analysis.record)
    const alarm = threshold?.volts ?? usualAlarm * bankNominal(rig.bank)
    const stated = claimedValue(unit, 'cutoff voltage')
    const cutoff = stated ?? usualCutoff * alarm
    const fit = analysis.ladder.unitFit
    const claimed = Math.min(0.999, claimedValue(unit, 'efficiency') ?? 0.9)
    const loss = hasFit(fit)
      ? (P: number) => {
          const eta = P > 0 ? efficiencyAt(fit, P).value : 0
          return eta > 0 ? P / eta - P : fit.p0.value
        }
      : (P: number) => P / claimed - P
    const how = hasFit(fit)
      ? 'losses from its own curve'
      : `losses from the ${claimedValue(unit, 'efficiency') === undefined ? 'assumed' : 'claimed'} efficiency of ${say(claimed * 100, '%')}`
    return {
      alarm,
      cutoff,
      loss,
      claim: ratedPower(unit),
      words: `${unit.name}: ${threshold?.which ?? 'alarm'} at ${say(alarm, 'V')}${threshold && threshold.by !== 'assumed' ? '' : ' (assumed)'}, cutoff at ${say(cutoff, 'V')}${stated === undefined ? ' (assumed)' : ''}, ${how}.`,
    }
  }, [analysis])
}
