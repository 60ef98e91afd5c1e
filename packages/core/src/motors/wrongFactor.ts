import type { Course } from '@even-watt/contract'
import { say } from '../figures'
import type { NoStart } from './start'

/** Volts that are further from nominal than any unit’s. */
const farFromNominal = 0.3
/** Watts out over watts in, all through a capture, beyond what errors of instruments explain. */
const moreOut = 1.1

/**
 * Why the amplitudes of a capture cannot be right: its volts before the load are far from nominal, V RMS, or more watts come out
 * than go in. Undefined where nothing speaks against them.
 */
export function wrongFactor({ V_C, P, V_B, I }: Course, nominal: number): NoStart | undefined {
  const before = V_C?.[0]
  if (before !== undefined && Math.abs(before / nominal - 1) > farFromNominal)
    return {
      fault: `It begins with ${say(before, 'V')} at the outlet, for ${say(nominal, 'V')}: the factor of its probe is wrong, or the output was off.`,
    }
  if (!P || !V_B || !I) return undefined
  const sum = (values: readonly number[]) => values.reduce((all, one) => all + one, 0)
  const out = sum(P) / P.length
  const into = sum(V_B.map((volts, k) => volts * (I[k] ?? 0))) / V_B.length
  if (!(out > moreOut * Math.max(into, 0)) || !(out > 0)) return undefined
  return {
    fault: `More comes out (${say(out, 'W')} on the average) than goes in (${say(into, 'W')}): the factor of a clamp or probe is wrong.`,
  }
}
