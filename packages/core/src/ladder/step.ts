import type { LoadKind, Quantity, Revision } from '@even-watt/contract'
import {
  asCounted,
  assumedCurrent,
  capturedReadings,
  inputCurrent,
  meanHeld,
  readFigures,
  shownReadings,
  terminalWatts,
  withoutAmmeter,
  type Gate,
  type DisplayChecks,
  type Spreads,
  legVolts,
  nominalAt,
} from '../evidence'
import { derive, isFigure, whenKnown, type Derived } from '../figures'
import { add, combine, divide, multiply, ownSource, subtract, uncertain, type Uncertain } from '../meters'
import { inputPower, rippleOf, type SeenRipple } from './inputWatts'
import { againstInput, againstVoltAmperes, apparentPower, isSupported, outputPower } from './outputWatts'
import { regulationAgainstNoLoad, regulationAgainstNominal } from './regulation'
import { channelOf } from '../waveform/kept'
import { legsOf, type LegsFigures } from './legs'
import { unlessImpossible } from './plausible'
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
  /** Of a split phase, where a leg was read. */
  readonly legs: LegsFigures | undefined
}

export interface StepContext {
  readonly revision: Revision
  /** Trial and revision, by which its sources of error are told from those of others. */
  readonly scope: string
  readonly gate: Gate
  readonly checks: DisplayChecks
  readonly spreads: Spreads
  /** Output voltage with nothing connected, when it was read. */
  readonly noLoadVoltage: Derived
}

export function deriveStep(step: Step, context: StepContext): StepFigures {
  const { unit, rig } = context.revision
  const where = `${step.id}|${context.scope}`
  const last = step.readings.at(-1)?.reading
  const kind = last?.kind ?? 'mixed'
  const carried = step.readings.filter(isCarried)
  // The moment in which a unit gives up is not the step that it carried before.
  const standing = carried.length ? carried : step.readings
  const read = readFigures(
    [...shownReadings(standing), ...capturedReadings(step.captures, standing, context)],
    context,
    context.spreads,
    where,
  )

  const legs = legsOf(read, kind, legVolts(unit))
  if (legs && !isFigure(read.V_C)) read.V_C = bothLegs(legs)
  const watts =
    legs && !isFigure(read.P_C) && isFigure(legs.sum) ? legs.sum : outputPower(read, kind, unit, where)
  const checked = againstVoltAmperes(watts, read, kind, legs)
  const S = apparentPower(read, checked, kind)
  const held = meanHeld(standing)
  read.I = inputCurrent(read, rig, held)
  const metered = read.I
  read.V_B = terminalsOf(read, rig, context.scope)
  if (!isFigure(metered) && withoutAmmeter(rig) && isFigure(checked) && isFigure(read.V_B))
    read.I = assumedCurrent(checked, read.V_B, where)
  const ripple = rippleOf(read, rig.bank, unit, context.scope, seenRipple(step.captures))
  const product = inputPower('P_B', read.V_B, read.I, ripple, 'B')
  const P_B = asCounted(terminalWatts(read, held, product), checked)
  const P_C = againstInput(checked, P_B, isSupported(checked, read, kind))
  const P_A = inputPower('P_A', read.V_A, read.I, ripple, 'A')
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
  const [eta_unit, eta_system] = [efficiency('η_unit', P_B), efficiency('η_system', P_A)]
  const P_path = ripple
    ? whenKnown([P_A, product], ([a, b]) => derive('P_path', 'W', 'P_A − P_B', [a, b], subtract(a.x, b.x)))
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
    legs,
    P_C,
    S,
    P_A,
    P_B,
    drop,
    P_path,
    R_path: whenKnown([drop, read.I], ([v, i]) =>
      derive('R_path', 'mΩ', '(V_A − V_B) / I', [v, i], divide(v.x, i.x)),
    ),
    P_loss: unlessImpossible(eta_unit, loss('P_unit_loss', P_B)),
    P_systemLoss: unlessImpossible(eta_system, loss('P_system_loss', P_A)),
    eta_unit: unlessImpossible(eta_unit, eta_unit),
    eta_system: unlessImpossible(eta_system, eta_system),
    regulation:
      (legs && worseLeg(legs)) ??
      whenKnown([read.V_C], ([v]) =>
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

/** Regulation of the leg that is further from nominal: the other one hides it in their mean. */
function worseLeg({ legs }: LegsFigures): Derived | undefined {
  const [one, two] = legs.map(({ regulation }) => regulation)
  if (!one || !two || !isFigure(one) || !isFigure(two)) return undefined
  return Math.abs(one.x.value) >= Math.abs(two.x.value) ? one : two
}

/** Volts between the legs, which stand against each other. */
const bothLegs = ({ legs: [one, two] }: LegsFigures): Derived =>
  whenKnown([one.V, two.V], ([a, b]) => derive('V_C', 'V', 'V_L1 + V_L2', [a, b], add(a.x, b.x)))

/** Half the swing of the volts at the terminals, as the last capture shows it that holds them, V; 0: none does. */
export function rippleSwing(captures: Step['captures']): number {
  const ripple = captures.toReversed().flatMap(({ reading }) => channelOf(reading, 'V_B')?.ripple ?? [])[0]
  return ripple ? Math.SQRT2 * ripple.rms : 0
}

/** The ripple of the input current, as the last capture shows it that holds one. */
function seenRipple(captures: Step['captures']): SeenRipple | undefined {
  for (const { reading } of captures.toReversed()) {
    const channel = channelOf(reading, 'I')
    if (channel?.ripple && channel.dc > 0 && !channel.clipped && !reading.picture)
      return { ratio: channel.ripple.rms / channel.dc, percent: reading.instrument.percent }
  }
  return undefined
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
