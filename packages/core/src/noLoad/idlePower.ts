import type { Quantity } from '@even-watt/contract'
import { terminalWatts } from '../evidence'
import { derive, isFigure, whenKnown, type Derived } from '../figures'
import { combine, methodSource, multiply, rectangular, uncertain } from '../meters'

type Read = Readonly<Record<Quantity, Derived>>

/** Ω that the path has at most where only the posts were read: more would take a volt at 50 A, and be noticed. */
const mostPath = 0.02

/**
 * Idle power: what a DC wattmeter or its watt-hours say, else V_B·I; where the terminals were not read V_A·I less what the
 * path takes at this current, which is bounded: between nothing and 20 mΩ·I² (docs/method/no-load.md).
 */
export function idlePower(read: Read, I_idle: Derived, held: number | undefined, scope: string): Derived {
  const P = terminalWatts(read, held, fromVolts(read, I_idle, scope))
  return isFigure(P) ? { ...P, symbol: 'P_idle' } : P
}

function fromVolts({ V_A, V_B }: Read, I_idle: Derived, scope: string): Derived {
  if (isFigure(V_B) || !isFigure(V_A))
    return whenKnown([V_B, I_idle], ([v, i]) => derive('P_idle', 'W', 'V_B·I', [v, i], multiply(v.x, i.x)))
  return whenKnown([V_A, I_idle], ([v, i]) => {
    const R = uncertain(mostPath / 2, methodSource('path at idle', scope), rectangular(mostPath / 2))
    const I = i.x.value
    const x = combine(v.x.value * I - R.value * I ** 2, [
      [v.x, I],
      [i.x, v.x.value - 2 * R.value * I],
      [R, -(I ** 2)],
    ])
    return derive('P_idle', 'W', 'V_A·I − R_path·I²', [v, i], x, [
      'The terminals were not read: the path takes between nothing and 20 mΩ · I².',
    ])
  })
}
