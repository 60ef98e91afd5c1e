import type { LoadKind, Quantity, Unit } from '@even-watt/contract'
import { contested, notRead } from '../evidence'
import { decides, derive, formatNumber, isFigure, whenKnown, type Derived } from '../figures'
import { disagreement, divide, methodSource, multiply, powerAboveBandwidth, type Uncertain } from '../meters'

type Read = Readonly<Record<Quantity, Derived>>

const resistive = (kind: LoadKind) => kind === 'element' || kind === 'filament'

/**
 * The wattmeter's active power; without one, V_C·I_C·PF where a power factor was read, and V_C·I_C by true-RMS meters for
 * element and filament loads only (docs/method/ladder.md), with the power above the meters' bandwidth added as an error of the method on other waves.
 */
export function outputPower(read: Read, kind: LoadKind, unit: Unit, where: string): Derived {
  // A wattmeter that must not decide, beside volts and amps that may: with an element those are watts.
  const better = resistive(kind) && !decides(read.P_C) && decides(read.V_C) && decides(read.I_C)
  if (isFigure(read.P_C) && !better) return read.P_C
  return whenKnown([read.V_C, read.I_C], ([v, i]) => {
    if (!resistive(kind)) {
      const { PF } = read
      return isFigure(PF)
        ? derive('P_C', 'W', 'V_C·I_C·PF', [v, i, PF], multiply(multiply(v.x, i.x), PF.x))
        : {
            missing: `${notRead('P_C')} Volts times amps are watts with element and filament loads only; with a power factor they are with any.`,
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

/** Volts times amps at the outlet, with the power factor where that was read. */
function byVoltAmperes(
  read: Read,
  kind: LoadKind,
): { figure: Derived; words: string; atMost: boolean } | undefined {
  const { V_C, I_C, PF } = read
  if (!isFigure(V_C) || !isFigure(I_C)) return undefined
  const product = multiply(V_C.x, I_C.x)
  const VA = derive('V_C·I_C', 'W', 'V_C·I_C', [V_C, I_C], product)
  if (resistive(kind)) return { figure: VA, words: 'volts times amps', atMost: false }
  if (!isFigure(PF)) return { figure: VA, words: 'volts times amps', atMost: true }
  return {
    figure: derive('V_C·I_C·PF', 'W', 'V_C·I_C·PF', [V_C, I_C, PF], multiply(product, PF.x)),
    words: 'volts times amps times power factor',
    atMost: false,
  }
}

/** Watts at the outlet against volts times amps, and against the sum of the legs (docs/method/evidence.md). */
export function againstVoltAmperes(
  P_C: Derived,
  read: Read,
  kind: LoadKind,
  legs: { readonly sum: Derived } | undefined,
): Derived {
  if (!isFigure(P_C) || P_C.working.inputs.length) return P_C
  const other = byVoltAmperes(read, kind)
  const checked = other ? contested(P_C, other) : P_C
  return legs ? contested(checked, { figure: legs.sum, words: 'the sum of its legs' }) : checked
}

/** Whether volts times amps agree with the wattmeter: then a contradiction with the input is the input’s. */
export function isSupported(P_C: Derived, read: Read, kind: LoadKind): boolean {
  const other = byVoltAmperes(read, kind)
  return (
    isFigure(P_C) &&
    other !== undefined &&
    !other.atMost &&
    isFigure(other.figure) &&
    !P_C.working.inputs.length &&
    disagreement(P_C.x, other.figure.x) <= 1
  )
}

/** No more comes out than goes in. */
export const againstInput = (P_C: Derived, P_B: Derived, supported: boolean): Derived =>
  supported ? P_C : contested(P_C, { figure: P_B, words: 'what goes in', atMost: true })
