import type { StoredMeter, Unit, Value } from '@even-watt/contract'
import { quantityData } from './quantities'
import { rangeOf } from './rangeOf'

/** A meter that must not be used on this wave, with why; see the oddities for the same in words. */
export type Unfit = (meter: StoredMeter, value: Value) => string | undefined

/** How the refusal of a meter begins that makes something else of this wave than its RMS. */
export const respondsTo = (response: 'average' | 'peak'): string => `it responds to the ${response}`

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
      return `${respondsTo(range.response)}, and this wave is ${unit.wave === 'stepped' ? 'stepped' : 'not known to be a sine'}.`
    }
    if (range && !range.standsSteppedWave) return 'the meter’s maker does not allow stepped waves.'
    return undefined
  }
