import { bankDeliverable, bankNominal, chargedAfter, chargeRate, underPower, usableShareOf } from '../supply'
import type { ScheduleQuestion } from './question'

/** How the bench stands at a moment: state of charge, 0 to 1, and K that the unit is above ambient. */
export interface Course {
  readonly charge: number
  readonly rise: number
}

type Energy = Pick<ScheduleQuestion, 'bank' | 'supply' | 'loss' | 'rated'>

/** K over ambient that a unit is taken to settle at under rated load, and the time constant, s; until it is measured. */
export const assumedRise = 40
const thermalConstant = 1200

/** A thermal test starts within this of ambient, K (docs/method/schedule.md). */
export const coolEnough = 5

/** A that the bank gives, and A left over of a support source to charge it, at output watts; off: nothing. */
function bankCurrent(
  { bank, supply, loss }: Energy,
  watts: number | undefined,
): { out: number; spare: number } {
  if (watts === undefined) return { out: 0, spare: supply?.support ?? 0 }
  const P_B = watts + loss(watts)
  if (!supply) return { out: P_B / bankNominal(bank), spare: 0 }
  const point = underPower(supply, P_B)
  // What the supply cannot deliver at all is counted as if the voltage held at half: nothing is hidden by it.
  if (!point) return { out: P_B / (supply.bank.E / 2), spare: 0 }
  return { out: point.I_bank, spare: Math.max(0, supply.support - point.I_support) }
}

/**
 * Share of charge lost per s at output watts; negative while a support source charges the bank. 0 while the capacity of the
 * bank is not known: its charge is then not followed.
 */
export function drainRate(question: Energy, watts: number | undefined, charge: number): number {
  const { out, spare } = bankCurrent(question, watts)
  const Ah = bankDeliverable(question.bank, out)
  if (Ah === undefined) return 0
  if (out > 0) return Ah > 0 ? out / (Ah * 3600) : Infinity
  return -chargeRate(question.bank, spare, charge)
}

/**
 * The state after some seconds at output watts. Charge runs even within the stretch and ends between 0 and 1; the rise
 * goes towards assumedRise × loss/loss at rated with one time constant.
 */
export function after(
  question: Energy,
  { charge, rise }: Course,
  watts: number | undefined,
  seconds: number,
): Course {
  const settled =
    watts === undefined
      ? 0
      : (assumedRise * question.loss(watts)) / Math.max(question.loss(question.rated), 1e-9)
  return {
    charge: chargeAfter(question, charge, watts, seconds),
    rise: settled + (rise - settled) * Math.exp(-seconds / thermalConstant),
  }
}

/** The state after a time in which no block ran: the unit was off, but where readings say that a load was on. */
export function afterBetween(
  question: Energy & Pick<ScheduleQuestion, 'loaded'>,
  course: Course,
  from: number,
  until: number,
): Course {
  let [now, at] = [course, from]
  for (const load of question.loaded) {
    const [start, end] = [Math.max(at, load.from), Math.min(until, load.to)]
    if (!(end > start)) continue
    now = after(question, now, undefined, (start - at) / 1000)
    now = after(question, now, load.watts, (end - start) / 1000)
    at = end
  }
  return after(question, now, undefined, (until - at) / 1000)
}

function chargeAfter(question: Energy, charge: number, watts: number | undefined, seconds: number): number {
  if (!(seconds > 0)) return charge
  const { out, spare } = bankCurrent(question, watts)
  // What a support source has to spare tapers as the bank fills.
  if (out <= 0) return chargedAfter(question.bank, spare, charge, seconds)
  return Math.min(1, Math.max(0, charge - drainRate(question, watts, charge) * seconds))
}

/** s until the unit is cool enough to start a thermal test. */
export const secondsToCool = (rise: number): number =>
  rise > coolEnough ? thermalConstant * Math.log(rise / coolEnough) : 0

/** s at output watts until the bank stands at a share; Infinity where it never falls. */
export function secondsDownTo(question: Energy, watts: number, charge: number, share: number): number {
  const rate = drainRate(question, watts, charge)
  return rate > 0 ? Math.max(0, charge - share) / rate : Infinity
}

/** The share below which the bank is not to go: what is not usable; half of lead-acid where nothing is stated. */
export const leastCharge = ({ bank }: Pick<ScheduleQuestion, 'bank'>): number => 1 - usableShareOf(bank)
