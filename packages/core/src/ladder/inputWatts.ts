import type { Bank, Quantity, Unit } from '@even-watt/contract'
import { oneSided, rippleBoundSine, rippleBoundStepped, rippleOverstatement } from '../conductors'
import { derive, formatNumber, isFigure, whenKnown, type Derived, type Figure } from '../figures'
import { add, combine, divide, exact, methodSource, multiply, subtract, type Uncertain } from '../meters'

/** Share of the half cycle assumed for a stepped wave whose plateau was not measured. */
const assumedDelta = 0.7

/** Ripple of the input current as it was captured: its RMS over the mean, and the share by which that may be off. */
export interface SeenRipple {
  readonly ratio: number
  readonly percent: number
}

export interface Ripple {
  /** I_r,max / Ī */
  readonly bound: number
  /** In place of the bound. */
  readonly seen: SeenRipple | undefined
  /** Ω behind each tap at that frequency. */
  readonly A: Uncertain
  readonly B: Uncertain
  readonly source: string
}

/** On only when the bank's resistance at ripple frequency is known (docs/method/ladder.md). */
export function rippleOf(
  read: Readonly<Record<Quantity, Derived>>,
  bank: Bank,
  unit: Unit,
  scope: string,
  seen: SeenRipple | undefined,
): Ripple | undefined {
  if (bank.rippleResistance === undefined || !isFigure(read.I) || !(read.I.x.value > 0)) return undefined
  const pf = isFigure(read.PF) ? Math.min(1, Math.max(0.1, read.PF.x.value)) : 1
  const bankAlone = exact(bank.rippleResistance)
  const path =
    isFigure(read.V_A) && isFigure(read.V_B) && read.V_A.x.value > read.V_B.x.value
      ? divide(subtract(read.V_A.x, read.V_B.x), read.I.x)
      : exact(0)
  return {
    seen,
    bound: unit.wave === 'stepped' ? rippleBoundStepped(assumedDelta) : rippleBoundSine(pf),
    A: bankAlone,
    B: add(bankAlone, path),
    source: methodSource('ripple', scope),
  }
}

export function inputPower(
  symbol: 'P_A' | 'P_B',
  voltage: Derived,
  current: Derived,
  ripple: Ripple | undefined,
  tap: 'A' | 'B',
): Derived {
  return whenKnown([voltage, current], ([v, i]) => {
    const product = multiply(v.x, i.x)
    if (!ripple) {
      return derive(symbol, 'W', `V_${tap}·I`, [v, i], product, [
        'Ripple correction off: the resistance behind the tap is not known.',
      ])
    }
    const resistance = ripple[tap]
    if (ripple.seen) return seenProduct(symbol, [v, i], product, ripple, ripple.seen, resistance, tap)
    const square = (ripple.bound * i.x.value) ** 2
    const most = rippleOverstatement(resistance.value, ripple.bound * i.x.value)
    const { correction, u } = oneSided(most)
    const shifted = combine(product.value + correction, [
      [product, 1],
      [i.x, (2 * correction) / i.x.value],
      [resistance, -square / 2],
      [{ value: 0, sources: new Map([[ripple.source, u]]) }, 1],
    ])
    return derive(symbol, 'W', `V_${tap}·I − M/2`, [v, i], shifted, [
      `Ripple correction on: M = ${formatNumber(resistance.value * 1000, 1)} mΩ × (${formatNumber(ripple.bound, 2)}·I)² = ${formatNumber(most, 2)} W.`,
    ])
  })
}

/** With the ripple as it was captured the overstatement is known, and no bound is needed. */
function seenProduct(
  symbol: 'P_A' | 'P_B',
  inputs: [Figure, Figure],
  product: Uncertain,
  { source }: Ripple,
  { ratio, percent }: SeenRipple,
  resistance: Uncertain,
  tap: 'A' | 'B',
): Derived {
  const [, i] = inputs
  const square = (ratio * i.x.value) ** 2
  const over = rippleOverstatement(resistance.value, ratio * i.x.value)
  const x = combine(product.value - over, [
    [product, 1],
    [i.x, (-2 * over) / i.x.value],
    [resistance, -square],
    [{ value: 0, sources: new Map([[source, (2 * over * percent) / 100 / Math.sqrt(3)]]) }, 1],
  ])
  return derive(symbol, 'W', `V_${tap}·I − R·I_r²`, inputs, x, [
    `Ripple as captured: ${formatNumber(resistance.value * 1000, 1)} mΩ × (${formatNumber(ratio, 2)}·I)² = ${formatNumber(over, 2)} W.`,
  ])
}
