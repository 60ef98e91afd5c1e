import type { StoredMeter, Unit, Value } from '@even-watt/contract'
import type { Refusal } from '../figures'
import { quantityData } from './quantities'
import { rangeOf } from './rangeOf'

/** A meter that must not be used on this wave, with why; see the oddities for the same in words. */
export type Unfit = (meter: StoredMeter, value: Value) => Omit<Refusal, 'todo'> | undefined

/**
 * Why a meter must not decide on this unit's wave (docs/method/meters.md): it responds to the average or the peak, or
 * does not stand stepped waves. A wave that is not stated is trusted to nobody.
 */
export const unfitOnWave =
  (unit: Pick<Unit, 'wave'>): Unfit =>
  (meter: StoredMeter, value: Value) => {
    if (unit.wave === 'sine') return undefined
    const { reads } = quantityData[value.quantity]
    if (reads !== 'AC voltage' && reads !== 'AC current' && reads !== 'active power') return undefined
    const range = rangeOf(meter, value)
    if (range?.response === 'average' || range?.response === 'peak') {
      const wave = unit.wave === 'stepped' ? 'stepped' : 'not known to be a sine'
      return {
        code: `responds to the ${range.response}`,
        why: `it responds to the ${range.response}, and this wave is ${wave}.`,
      }
    }
    if (range && !range.standsSteppedWave) return { why: 'the meter’s maker does not allow stepped waves.' }
    return undefined
  }
