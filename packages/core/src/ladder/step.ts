import type { Bank, LoadKind, Quantity, Revision, Unit } from '@even-watt/contract'
import { oneSided, rippleBoundSine, rippleBoundStepped, rippleOverstatement } from '../conductors'
import { readFigures, type Gate, type Spreads } from '../evidence'
import { derive, isFigure, whenKnown, type Derived } from '../figures'
import {
  add,
  combine,
  divide,
  exact,
  methodSource,
  multiply,
  ownSource,
  powerAboveBandwidth,
  rectangular,
  subtract,
  uncertain,
  type Uncertain,
} from '../meters'
import { regulationAgainstNoLoad, regulationAgainstNominal } from './regulation'
import { nominalAt } from '../units'
import { isCarried, type Step } from './steps'
import { terminalsOf } from './terminals'

/** Every figure of one step (docs/method/ladder.md), each either known or missing with a reason. */
export interface StepFigures {
  readonly step: Step
  readonly load: string
  readonly kind: LoadKind
  /** Carried without a warning: what is not tells of limits only, never of efficiency, regulation or the curve. */
  readonly carried: boolean
  readonly read: Readonly<Record<Quantity, Derived>>
  /** Output volts on the label, or half of them where one leg was read. */
  readonly nominal: number
  /** Output watts: the wattmeter's, or V_C·I_C where that is allowed. */
  readonly P_C: Derived
  /** Output volt-amperes. */
  readonly S: Derived
  readonly P_A: Derived
  readonly P_B: Derived
  readonly drop: Derived
  readonly P_path: Derived
  readonly R_path: Derived
  readonly P_loss: Derived
  readonly P_systemLoss: Derived
  readonly eta_unit: Derived
  readonly eta_system: Derived
  readonly regulation: Derived
  readonly regulationNoLoad: Derived
}

export interface StepContext {
  readonly revision: Revision
  /** Trial and revision, by which its sources of error are told from those of others. */
  readonly scope: string
  readonly gate: Gate
  readonly spreads: Spreads
  /** Output voltage with nothing connected, when it was read. */
  readonly noLoadVoltage: Derived
}

/** Share of the half cycle assumed for a stepped wave whose plateau was not measured. */
const assumedDelta = 0.7

export function deriveStep(step: Step, context: StepContext): StepFigures {
  const { unit, rig } = context.revision
  const where = `${step.id}|${context.scope}`
  const last = step.readings.at(-1)?.reading
  const kind = last?.kind ?? 'mixed'
  const carried = step.readings.filter(isCarried)
  // The moment in which a unit gives up is not the step that it carried before.
  const standing = carried.length ? carried : step.readings
  const readings = standing.map((entry) => ({ entry: entry.id, values: entry.reading.values }))
  const read = readFigures(readings, context, context.spreads, where)

  const P_C = outputPower(read, kind, unit, where)
  const S = apparentPower(read, P_C, kind)
  read.V_B = terminalsOf(read, rig, context.scope)
  const metered = read.I
  if (!isFigure(metered)) read.I = assumedCurrent(metered, P_C, read.V_B, context.revision, where)
  const ripple = rippleOf(read, rig.bank, unit, context.scope)
  const P_A = inputPower('P_A', read.V_A, read.I, ripple, 'A')
  const P_B = inputPower('P_B', read.V_B, read.I, ripple, 'B')
  const drop = whenKnown([read.V_A, read.V_B], ([a, b]) =>
    derive('V_A − V_B', 'V', 'V_A − V_B', [a, b], subtract(a.x, b.x)),
  )
  // An efficiency that follows from an assumed one would say nothing.
  const unmetered = isFigure(read.I) && !isFigure(metered) ? { missing: noAmmeter } : undefined
  const together = (input: Uncertain) => readByHand(input, standing.length, where)
  const loss = (symbol: string, input: Derived) =>
    unmetered ??
    whenKnown([input, P_C], ([p, out]) =>
      derive(symbol, 'W', `${p.symbol} − P_C`, [p, out], subtract(together(p.x), out.x)),
    )
  const efficiency = (symbol: string, input: Derived) =>
    unmetered ??
    whenKnown([P_C, input], ([out, p]) =>
      derive(symbol, '%', `P_C / ${p.symbol}`, [out, p], divide(out.x, together(p.x))),
    )
  const P_path = ripple
    ? whenKnown([P_A, P_B], ([a, b]) => derive('P_path', 'W', 'P_A − P_B', [a, b], subtract(a.x, b.x)))
    : whenKnown([drop, read.I], ([v, i]) =>
        derive('P_path', 'W', '(V_A − V_B)·I', [v, i], multiply(v.x, i.x)),
      )
  const nominal = nominalAt(unit, read.V_C)
  return {
    step,
    load: last?.load ?? '',
    kind,
    carried: carried.length > 0,
    read,
    nominal,
    P_C,
    S,
    P_A,
    P_B,
    drop,
    P_path,
    R_path: whenKnown([drop, read.I], ([v, i]) =>
      derive('R_path', 'mΩ', '(V_A − V_B) / I', [v, i], divide(v.x, i.x)),
    ),
    P_loss: loss('P_unit_loss', P_B),
    P_systemLoss: loss('P_system_loss', P_A),
    eta_unit: efficiency('η_unit', P_B),
    eta_system: efficiency('η_system', P_A),
    regulation: whenKnown([read.V_C], ([v]) =>
      derive(
        'regulation',
        '%',
        `(V_C − ${nominal} V) / ${nominal} V`,
        [v],
        regulationAgainstNominal(v.x, nominal),
      ),
    ),
    regulationNoLoad: whenKnown([context.noLoadVoltage, read.V_C], ([nl, v]) =>
      derive(
        'regulation against no load',
        '%',
        '(V_nl − V_C) / V_nl',
        [nl, v],
        regulationAgainstNoLoad(nl.x, v.x),
      ),
    ),
  }
}

/** Share by which input and output differ when instruments are read one after another, and the mains and loads drift. */
const handShare = 0.003

/** Readings of one step that show by themselves how they scatter. */
const telling = 3

/**
 * Input watts as they stand beside output watts read by hand a moment later (docs/method/ladder.md): 0.3 % of them, less
 * by √N; nothing where three or more readings show their own spread, which they carry already.
 */
const readByHand = (input: Uncertain, readings: number, where: string): Uncertain =>
  readings >= telling
    ? input
    : combine(input.value, [
        [input, 1],
        [uncertain(0, ownSource('by hand', where), (handShare * input.value) / Math.sqrt(readings)), 1],
      ])

const noAmmeter = 'The input current is assumed, not read: a DC ammeter is needed.'

/** Efficiencies between which an inverter is assumed to lie where no DC ammeter reads its input. */
const assumedEfficiency = { low: 0.75, high: 0.97 }

/**
 * Without any DC ammeter on the rig the input current is bounded by an assumed efficiency (docs/method/ladder.md):
 * I = P_C/(η·V_B), marked estimated, so that it settles no claim. Where an ammeter is hung up, a missing reading
 * stays missing.
 */
function assumedCurrent(
  missing: Derived,
  P_C: Derived,
  V_B: Derived,
  { rig }: Revision,
  where: string,
): Derived {
  if (
    !rig.assignments.length ||
    rig.assignments.some(({ quantity }) => quantity === 'I' || quantity === 'I_bank')
  )
    return missing
  if (!isFigure(P_C) || !isFigure(V_B)) return missing
  const { low, high } = assumedEfficiency
  const eta = (low + high) / 2
  const I = P_C.x.value / (eta * V_B.x.value)
  const x = combine(I, [
    [P_C.x, I / P_C.x.value],
    [V_B.x, -I / V_B.x.value],
    [uncertain(0, methodSource('assumed efficiency', where), rectangular((high - low) / 2 / eta)), I],
  ])
  const figure = derive('I', 'A', 'P_C / (η·V_B)', [P_C, V_B], x, [
    `No DC ammeter on this rig: η assumed between ${low * 100} and ${high * 100} %.`,
  ])
  return isFigure(figure) ? { ...figure, grade: 'estimated' } : figure
}

const resistive = (kind: LoadKind) => kind === 'element' || kind === 'filament'

/**
 * The wattmeter's active power; without one, V_C·I_C by true-RMS meters for element and filament loads only
 * (docs/method/ladder.md), with the power above the meters' bandwidth added as an error of the method on other waves.
 */
function outputPower(read: Record<Quantity, Derived>, kind: LoadKind, unit: Unit, where: string): Derived {
  if (isFigure(read.P_C)) return read.P_C
  return whenKnown([read.V_C, read.I_C], ([v, i]) => {
    if (!resistive(kind)) {
      return {
        missing: 'P_C was not read, and V_C·I_C stands for watts with element and filament loads only.',
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
      `Not a sine: up to ${(share * 100).toFixed(1)} % of the power may lie above the meters' bandwidth.`,
    )
    return derive('P_C', 'W', 'V_C·I_C', [v, i], x, notes)
  })
}

/** S = P for elements; else V_C·I_C, else P/PF (docs/method/ladder.md). */
function apparentPower(read: Record<Quantity, Derived>, P_C: Derived, kind: LoadKind): Derived {
  if (resistive(kind)) return whenKnown([P_C], ([p]) => derive('S', 'VA', 'P_C (element: PF 1)', [p], p.x))
  if (isFigure(read.V_C) && isFigure(read.I_C)) {
    return derive('S', 'VA', 'V_C·I_C', [read.V_C, read.I_C], multiply(read.V_C.x, read.I_C.x))
  }
  return whenKnown([P_C, read.PF], ([p, pf]) => derive('S', 'VA', 'P_C / PF', [p, pf], divide(p.x, pf.x)))
}

interface Ripple {
  /** I_r,max / Ī */
  readonly bound: number
  /** Ω behind each tap at that frequency. */
  readonly A: Uncertain
  readonly B: Uncertain
  readonly source: string
}

/** On only when the bank's resistance at ripple frequency is known (docs/method/ladder.md). */
function rippleOf(
  read: Record<Quantity, Derived>,
  bank: Bank,
  unit: Unit,
  scope: string,
): Ripple | undefined {
  if (bank.rippleResistance === undefined || !isFigure(read.I) || !(read.I.x.value > 0)) return undefined
  const pf = isFigure(read.PF) ? Math.min(1, Math.max(0.1, read.PF.x.value)) : 1
  const bankAlone = exact(bank.rippleResistance)
  const path =
    isFigure(read.V_A) && isFigure(read.V_B) && read.V_A.x.value > read.V_B.x.value
      ? divide(subtract(read.V_A.x, read.V_B.x), read.I.x)
      : exact(0)
  return {
    bound: unit.wave === 'stepped' ? rippleBoundStepped(assumedDelta) : rippleBoundSine(pf),
    A: bankAlone,
    B: add(bankAlone, path),
    source: methodSource('ripple', scope),
  }
}

function inputPower(
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
      `Ripple correction on: M = ${(resistance.value * 1000).toFixed(1)} mΩ × (${ripple.bound.toFixed(2)}·I)² = ${most.toFixed(2)} W.`,
    ])
  })
}
