import type { Quantity, Revision, Unit, Value } from '@even-watt/contract'
import { say, type Refusal } from '../figures'
import { halfWidth } from '../meters'
import type { Doubts } from '../trials'
import { ofAnotherBank } from './anotherBank'
import { readsOtherCurrent } from './conductor'
import { shownBy, type DisplayChecks } from './displayCheck'
import { unfitOnWave } from './fitness'
import { quantityData } from './quantities'
import { rangeOf } from './rangeOf'

/** Lets a value in that was read in an entry, or says why not. */
export type Gate = (value: Value, entry: string) => Refusal | undefined

const beyondCheck: Refusal = {
  why: 'the display was not checked against a meter near this value.',
  todo: 'Read it with a meter once, at about this value.',
}

/** Quantities that may be below zero: current and what follows from it may flow the other way, and cold is cold. */
const signed: ReadonlySet<Quantity> = new Set([
  ...(['T', 'PF', 'I', 'I_bank', 'P_B', 'Q_B', 'E_B'] as const),
  // A panel takes some at night.
  ...(['I_in', 'P_in', 'E_in'] as const),
])

const belowZero: Refusal = {
  why: 'it is below zero, which it cannot be.',
  todo: 'Swap the leads of the meter, or turn its clamp round, and read it again.',
}

const notMeasured: Record<Exclude<Value['grade'], 'measured'>, Refusal> = {
  display: {
    why: 'it is the unit’s own display, which is a claim.',
    todo: 'Read it with a meter at the same tap.',
  },
  estimated: { why: 'it is estimated, not read.', todo: 'Read it with a meter.' },
  observed: { why: 'it was observed, not read on a meter.', todo: 'Read it with a meter.' },
}

/** What a capture tells by its own clock; a rate that is wrong is found by it. */
const ofTime: ReadonlySet<Quantity> = new Set(['f'] as const)

/**
 * The one gate that every value passes before a judge, a fit or a figure rests on it (docs/method/evidence.md): nobody
 * doubts it, and the capture that holds it is fit; it is
 * measured, or shown by a display that was checked, where the tester lets it stand in; a meter is named that reads this
 * quantity, within a range; its volts are of the bank on the rig; that meter may be used on this wave as it was seen; and on its conductor only the unit's current
 * flows.
 */
export function gateOf(
  { rig, meters }: Revision,
  wave: Unit['wave'],
  doubts: Doubts,
  checks: DisplayChecks,
  captures: ReadonlyMap<string, Refusal> = new Map(),
): Gate {
  const unfit = unfitOnWave({ wave })
  return (value, entry) => {
    const doubt = doubts.readings.get(entry) ?? doubts.meters.get(value.meter ?? '')
    if (doubt !== undefined) return { why: `it is doubted: ${doubt}.`, todo: 'Read it again.' }
    const unfitCapture = captures.get(entry)
    if (unfitCapture && !ofTime.has(value.quantity)) return unfitCapture
    if (value.grade === 'display' && checks.size)
      return shownBy(checks.get(value.quantity), value.value) === undefined ? beyondCheck : undefined
    if (value.grade !== 'measured') return notMeasured[value.grade]
    const { unit, words } = quantityData[value.quantity]
    const meter = meters.find(({ id }) => id === value.meter)
    if (!meter) return { why: 'no meter is named.', todo: 'Say which meter it was read on.' }
    const range = rangeOf(meter, value)
    if (!range)
      return {
        why: `this meter does not read ${words}.`,
        todo: 'Say which meter it was read on, or give this one a range for it.',
      }
    if (Math.abs(value.value) > range.upTo)
      return {
        why: `it is over the range of ${say(range.upTo, unit)}.`,
        todo: 'Use a meter with a higher range.',
      }
    if (value.value < -halfWidth(range, value.value) && !signed.has(value.quantity)) return belowZero
    const another = ofAnotherBank(rig, value)
    if (another) return another
    const reason = unfit(meter, value)
    if (reason) return { ...reason, todo: 'Use a true-RMS meter that stands this wave.' }
    const other = readsOtherCurrent(rig, value)
    return other ? { why: other, todo: 'Put the ammeter where only the unit’s current flows.' } : undefined
  }
}
