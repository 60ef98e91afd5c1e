import type { LoadKind, Quantity, Unit } from '@even-watt/contract'
import { notRead } from '../evidence'
import { derive, formatNumber, isFigure, whenKnown, type Derived } from '../figures'
import { divide, methodSource, multiply, powerAboveBandwidth, type Uncertain } from '../meters'

type Read = Readonly<Record<Quantity, Derived>>

const resistive = (kind: LoadKind) => kind === 'element' || kind === 'filament'

/**
 * The wattmeter's active power; without one, V_C·I_C by true-RMS meters for element and filament loads only
 * (docs/method/ladder.md), with the power above the meters' bandwidth added as an error of the method on other waves.
 */
export function outputPower(read: Read, kind: LoadKind, unit: Unit, where: string): Derived {
  if (isFigure(read.P_C)) return read.P_C
  return whenKnown([read.V_C, read.I_C], ([v, i]) => {
    if (!resistive(kind)) {
      return {
        missing: `${notRead('P_C')} Volts times amps are watts with element and filament loads only.`,
      }
    }
    const product = multiply(v.x, i.x)
    const notes = ['V_C·I_C in place of a wattmeter: valid for element and filament loads.']
    if (unit.wave === 'sine') return derive('P_C', 'W', 'V_C·I_C', [v, i], product, notes)
    const share = powerAboveBandwidth(1000, unit.outputFrequency)
    const u = (share * Math.abs(product.value)) / Math.sqrt(3)
    const x: Uncertain = {
      value: product.value,
      sources: new Map([...product.sources, [methodSource('bandwidth', where), u]]),
    }
    notes.push(
      `Not a sine: up to ${formatNumber(share * 100, 1)} % of the power may lie above the meters' bandwidth.`,
    )
    return derive('P_C', 'W', 'V_C·I_C', [v, i], x, notes)
  })
}

/** S = P for elements; else V_C·I_C, else P/PF (docs/method/ladder.md). */
export function apparentPower(read: Read, P_C: Derived, kind: LoadKind): Derived {
  if (resistive(kind)) return whenKnown([P_C], ([p]) => derive('S', 'VA', 'P_C (element: PF 1)', [p], p.x))
  if (isFigure(read.V_C) && isFigure(read.I_C)) {
    return derive('S', 'VA', 'V_C·I_C', [read.V_C, read.I_C], multiply(read.V_C.x, read.I_C.x))
  }
  return whenKnown([P_C, read.PF], ([p, pf]) => derive('S', 'VA', 'P_C / PF', [p, pf], divide(p.x, pf.x)))
}
