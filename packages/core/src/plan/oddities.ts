import { isFigure, plain, say, sayFigure } from '../figures'
import { efficiencyAt, hasFit } from '../ladder'
import { alarmVoltage } from '../facts'
import type { Notice, OddityContext } from '../oddities'
import { predictVoltage, viewSupply } from '../rigs'
import { claimValue } from '../units'
import { stillPlanned } from './next'

/** Steps that are usually taken next, as shares of rated watts. */
const usualTargets = [0.25, 0.5, 0.75, 1, 1.1]

/** W of the steps still to come, in order: those planned, else the usual ones above what was carried. */
function ahead({ analysis, unit, plan }: OddityContext, highest: number): number[] {
  if (plan?.steps.some(({ uses }) => uses.length)) {
    return stillPlanned(plan, analysis.ladder.steps).map(({ step }) => step.expected)
  }
  const rated = unit.claims.find(({ quantity }) => quantity === 'continuous power')
  const next = rated && usualTargets.map((share) => share * claimValue(rated)).find((P) => P > highest * 1.02)
  return next === undefined ? [] : [next]
}

/** 12: the next step will alarm on this supply. */
export const noticeNextAlarm: Notice = (context) => {
  const { analysis } = context
  const alarm = alarmVoltage(analysis.record)
  const carried = analysis.ladder.steps.flatMap(({ P_C }) => (isFigure(P_C) ? [P_C.x.value] : []))
  if (alarm === undefined || carried.length < 3) return []
  if (
    analysis.ladder.steps.some(({ step }) =>
      step.readings.some(({ reading }) => reading.alarm === 'low voltage'),
    )
  )
    return []
  const highest = Math.max(...carried)
  const like = analysis.ladder.steps.find(({ P_C }) => isFigure(P_C) && P_C.x.value === highest)
  if (!like || !isFigure(like.P_B) || !isFigure(like.P_C)) return []
  const { P_B: highestIn, P_C: highestOut } = like
  const efficiency = (P: number) =>
    hasFit(analysis.ladder.unitFit)
      ? efficiencyAt(analysis.ladder.unitFit, P).value
      : highestOut.x.value / highestIn.x.value
  const voltage = (P: number) => {
    const scale = P / efficiency(P) / highestIn.x.value
    const P_B = { ...highestIn, x: { value: highestIn.x.value * scale, sources: highestIn.x.sources } }
    return predictVoltage(analysis.supply.known, P_B)
  }
  const next = ahead(context, highest).find((P) => {
    const V_B = voltage(P)
    return P > highest && (!isFigure(V_B) || V_B.x.value <= alarm)
  })
  if (next === undefined) return []
  const V_B = voltage(next)
  const loss = (P: number) => P / efficiency(Math.max(P, 1)) - P
  const reach = viewSupply(analysis.record.revision.rig, analysis.supply.known, {
    alarm,
    cutoff: alarm,
    loss,
  })
  return [
    {
      number: 12,
      odd: `At ${say(next, 'W')} this supply would ${isFigure(V_B) ? `stand at ${sayFigure(V_B)}` : 'not deliver at all'}, and the alarm comes at ${plain(alarm)} V.`,
      why: `It carries at most ${say(reach?.toAlarm.outputPower ?? highest, 'W')}: the unit would be blamed for the supply.`,
      todo: 'Stiffen the supply first, or stop the ladder here.',
      at: { revision: analysis.record.revision.number, part: 'rig' },
    },
  ]
}
