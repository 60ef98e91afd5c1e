import {
  alarmVoltage,
  bankNominal,
  claimedValue,
  efficiencyAt,
  hasFit,
  ratedPower,
  say,
  type Analysis,
  type SupplyQuestion,
} from '@even-watt/core'
import { useMemo } from 'react'

/** What a trial's unit asks of its supply: its alarm and cutoff, its loss, its continuous claim. */
export function useUnitQuestion(
  analysis: Analysis,
): SupplyQuestion & { readonly words: string; readonly claim: number | undefined } {
  return useMemo(() => {
    const { unit, rig } = analysis.record.revision
    const nominal = bankNominal(rig.bank)
    const alarm = alarmVoltage(analysis.record) ?? (nominal * 10.8) / 12
    const cutoff = claimedValue(unit, 'cutoff voltage') ?? alarm * 0.963
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
      words: `${unit.name}: alarm at ${say(alarm, 'V')}, cutoff at ${say(cutoff, 'V')}, ${how}.`,
    }
  }, [analysis])
}
