import type { Rig } from '@even-watt/contract'
import { alarmVoltage, claimValue } from '../findings'
import { isFigure, say, sayFigure } from '../figures'
import { efficiencyAt, hasFit } from '../ladder'
import { placed, predictVoltage, viewSupply, warming, weakestLinks } from '../rigs'
import { bankCapacity, bankNominal, restVoltage } from '../supply'
import { stillPlanned } from '../plan'
import type { Notice, Oddity, OddityContext } from './oddity'

/** 7: a meter on a conductor where other current flows too. */
export const noticeOtherCurrent: Notice = ({ analysis }) => {
  const { rig, meters, number } = analysis.record.revision
  const batteries = new Set(rig.bank.strings.flat().map(({ id }) => id))
  const name = (id: string) => meters.find((meter) => meter.id === id)?.name ?? 'The ammeter'
  const onPath = (id: string | undefined) =>
    id === undefined || placed(rig).some(({ element }) => element.id === id)
  return rig.assignments.flatMap(({ quantity, meter, on }): Oddity[] => {
    const at = { revision: number, part: 'rig' as const }
    if ((quantity === 'I' || quantity === 'idle I') && on !== undefined && batteries.has(on)) {
      const why = rig.support
        ? 'With a charger or alternator on the bank, a battery’s own cable carries the bank’s current, not the unit’s.'
        : rig.bank.strings.length > 1
          ? 'One battery of several carries only its share.'
          : undefined
      if (why === undefined) return []
      return [
        {
          number: 7,
          odd: `${name(meter)} reads the unit’s current on a battery’s own cable.`,
          why,
          todo: 'Put it where only the unit’s current flows, or call its quantity I_bank.',
          at,
        },
      ]
    }
    if (quantity === 'I_bank' && rig.support && onPath(on)) {
      return [
        {
          number: 7,
          odd: `${name(meter)} reads bank current on the unit’s lead.`,
          why: 'The support source feeds the posts: what flows in the lead is bank and support together.',
          todo: 'Put it on the battery’s own cable, or call its quantity I.',
          at,
        },
      ]
    }
    return []
  })
}

/** Steps that are usually taken next, as shares of rated watts. */
const usualTargets = [0.25, 0.5, 0.75, 1, 1.1]

/** W of the steps still to come, in order: those planned, else the usual ones above what was carried. */
function ahead({ analysis, unit, plan }: OddityContext, highest: number): number[] {
  if (plan?.steps.some(({ uses }) => uses.length)) {
    return stillPlanned(plan, analysis.steps).map(({ step }) => step.expected)
  }
  const rated = unit.claims.find(({ quantity }) => quantity === 'continuous power')
  const next = rated && usualTargets.map((share) => share * claimValue(rated)).find((P) => P > highest * 1.02)
  return next === undefined ? [] : [next]
}

/** 12: the next step will alarm on this supply. */
export const noticeNextAlarm: Notice = (context) => {
  const { analysis } = context
  const alarm = alarmVoltage(analysis)
  const carried = analysis.steps.flatMap(({ P_C }) => (isFigure(P_C) ? [P_C.x.value] : []))
  if (alarm === undefined || carried.length < 3) return []
  if (analysis.steps.some(({ step }) => step.readings.some(({ reading }) => reading.alarm === 'low voltage')))
    return []
  const highest = Math.max(...carried)
  const like = analysis.steps.find(({ P_C }) => isFigure(P_C) && P_C.x.value === highest)
  if (!like || !isFigure(like.P_B) || !isFigure(like.P_C)) return []
  const { P_B: highestIn, P_C: highestOut } = like
  const efficiency = (P: number) =>
    hasFit(analysis.unitFit)
      ? efficiencyAt(analysis.unitFit, P).value
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
      odd: `At ${say(next, 'W')} this supply would ${isFigure(V_B) ? `stand at ${sayFigure(V_B)}` : 'not deliver at all'}, and the alarm comes at ${alarm} V.`,
      why: `It carries at most ${say(reach?.toAlarm.outputPower ?? highest, 'W')}: the unit would be blamed for the supply.`,
      todo: 'Stiffen the supply first, or stop the ladder here.',
      at: { revision: analysis.record.revision.number, part: 'rig' },
    },
  ]
}

/** 13: a drop that grows at steady current. */
export const noticeWarming: Notice = ({ analysis }) =>
  warming(analysis.supply.surveys).map(({ element, from, to }) => ({
    number: 13,
    odd: `The drop of ${element.name} grew from ${sayFigure(from)} to ${sayFigure(to)} at steady current.`,
    why: 'A joint that warms up gets worse, and warmer.',
    todo: 'Stop, let it cool, remake it.',
    at: { revision: analysis.record.revision.number, part: 'rig' as const },
  }))

/** A rise over ambient, K, from which the emissivity of bare metal spoils the reading. */
const tellingRise = 15

/** 14: an infrared thermometer on bare metal. */
export const noticeInfrared: Notice = ({ analysis }) => {
  const { meters, rig, number } = analysis.record.revision
  const infrared = new Set(
    meters
      .filter(({ ranges }) =>
        ranges.some(({ reads, response }) => reads === 'temperature' && response === 'infrared'),
      )
      .map(({ id }) => id),
  )
  const entries = analysis.record.steps.flatMap(({ readings }) => readings)
  const found = entries.find(({ reading }) =>
    reading.values.some(
      ({ quantity, meter, value }) =>
        quantity === 'T' && meter !== undefined && infrared.has(meter) && value > rig.ambient + tellingRise,
    ),
  )
  if (!found) return []
  return [
    {
      number: 14,
      odd: 'A temperature well above ambient was read by infrared.',
      why: 'Bare metal shines with its surroundings and reads far too cool.',
      todo: 'Read matt tape on it, or the insulation beside it, and keep the reading with that as the reason.',
      at: { revision: number, step: found.reading.step, entry: found.id, quantity: 'T' },
    },
  ]
}

/** 20: batteries compared at equal watts. */
export const noticeEqualWatts: Notice = ({ analysis }) => {
  const tests = analysis.supply.loadTests.filter(({ entry }) => entry.reading.battery !== undefined)
  for (const [i, first] of tests.entries()) {
    for (const second of tests.slice(i + 1)) {
      const [a, b] = [first.entry.reading, second.entry.reading]
      if (a.battery === b.battery) continue
      const watts = [a.loadedVoltage * a.loadedCurrent, b.loadedVoltage * b.loadedCurrent]
      const near = Math.abs((watts[0] ?? 0) - (watts[1] ?? 0)) < 0.05 * Math.max(...watts)
      const apart =
        Math.abs(a.loadedCurrent - b.loadedCurrent) > 0.02 * Math.max(a.loadedCurrent, b.loadedCurrent)
      if (!near || !apart) continue
      return [
        {
          number: 20,
          odd: `${first.what} and ${second.what} were loaded with equal watts, at ${a.loadedCurrent} A and ${b.loadedCurrent} A.`,
          why: 'The weaker one sags, so draws more current, so sags more: its sag overstates the difference.',
          todo: 'Compare their resistance at 10 s.',
          at: { revision: analysis.record.revision.number, part: 'rig' },
        },
      ]
    }
  }
  return []
}

const protective = ['fuse', 'breaker', 'BMS']

/** Protective devices that a current exceeds by more than a tenth. */
const exceeded = (rig: Rig, current: number) =>
  weakestLinks(rig, current).filter(
    ({ kind, margin }) => protective.includes(kind) && margin !== undefined && margin < -0.1,
  )

/** 23: a current that a protective device should not have carried for that long. */
export const noticeProtection: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const read = analysis.steps.flatMap((step) => (isFigure(step.read.I) ? [{ step, I: step.read.I }] : []))
  // What the highest current does not exceed, none does.
  if (!read.length || !exceeded(rig, Math.max(...read.map(({ I }) => I.x.value))).length) return []
  return read.flatMap(({ step, I }): Oddity[] => {
    const held = Math.max(0, ...step.step.readings.map(({ reading }) => reading.held ?? 0))
    const over = exceeded(rig, I.x.value).find(({ allowed }) => (allowed ?? 10) < held)
    const entry = step.step.readings.at(-1)?.id
    if (!over) return []
    return [
      {
        number: 23,
        odd: `${sayFigure(I)} flowed for ${held} s through the ${over.name}, rated ${say(over.continuous ?? 0, 'A')}.`,
        why: 'It should have opened: the current, the rating or the time is not what it says.',
        todo: 'Check the clamp’s zero and range, and what is printed on the device.',
        at: { revision: number, step: step.step.id, quantity: 'I', ...(entry ? { entry } : {}) },
      },
    ]
  })
}

/** Shares within which two energies are the same figure. */
const sameEnergy = 0.01

/** 27: an energy that is ampere-hours times rest volts, where mean discharge volts are meant. */
export const noticeRestEnergy: Notice = ({ analysis, unit }) => {
  const { rig, number } = analysis.record.revision
  const capacity = bankCapacity(rig.bank)
  const rest = (rig.bank.strings[0] ?? []).reduce((sum, battery) => sum + restVoltage(battery), 0)
  const near = (claimed: number, volts: number) => Math.abs(claimed - capacity * volts) < sameEnergy * claimed
  return unit.claims.flatMap((claim): Oddity[] => {
    if (claim.quantity !== 'energy' || claim.unit !== 'Wh') return []
    if (!near(claim.value, rest) || near(claim.value, bankNominal(rig.bank))) return []
    return [
      {
        number: 27,
        odd: `${claim.value} Wh is ${capacity} Ah times ${say(rest, 'V')}, the rest voltage.`,
        why: 'A battery gives its ampere-hours at its mean discharge voltage, which is lower.',
        todo: 'Judge it by a run-down, with watt-hours at the outlet.',
        at: { revision: number, claim: claim.id },
      },
    ]
  })
}
