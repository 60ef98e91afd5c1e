import type { Prediction, Rig, RigChange } from '@even-watt/contract'
import { derive, estimated, formatNumber, isFigure, type Derived, type Figure } from '../figures'
import { add, combine, exact, methodSource, rectangular, subtract, uncertain } from '../meters'
import { bankSource, terminalVoltage } from '../supply'
import { changedRig } from './changedRig'
import { expectedResistance, placed } from './elements'
import { supportCurrent, type KnownSupply } from './known'
import type { SurveyFigures } from './survey'

/** As much of what was measured of a supply as a prediction starts from. */
export interface MeasuredSupply {
  /** Tells its sources of error from those of other rigs. */
  readonly scope: string
  readonly known: KnownSupply
  readonly promised: KnownSupply
  readonly surveys: readonly SurveyFigures[]
  /** Ω of the path that the ladder shows. */
  readonly ladderPath: Derived
}

/**
 * The supply as it would be after the changes, from the measured values where there are any: what a change adds or
 * takes away is put on top of them, so that everything else stays as it was measured (docs/method/rigs.md).
 */
export function predictSupply(
  rig: Rig,
  evidence: MeasuredSupply,
  changes: readonly RigChange[],
): KnownSupply {
  const after = changedRig(rig, changes)
  const before = evidence.known
  const R_path = changes.reduce<Derived>(
    (path, change) => pathAfter(path, change, rig, after, evidence),
    before.R_path,
  )
  return { ...bankAfter(rig, after, evidence), R_path, support: supportCurrent(after) }
}

function bankAfter(
  rig: Rig,
  after: Rig,
  { known: before, scope }: MeasuredSupply,
): Pick<KnownSupply, 'E' | 'R_bank'> {
  if (JSON.stringify(after.bank) === JSON.stringify(rig.bank)) return before
  const [old, next] = [bankSource(rig.bank), bankSource(after.bank)]
  if (!next)
    return {
      E: { missing: 'A resistance of the bank is not known.' },
      R_bank: { missing: 'A resistance of the bank is not known.' },
    }
  const { E, R_bank } = before
  if (!old || !isFigure(E) || !isFigure(R_bank)) {
    const R = uncertain(next.R, methodSource('stated resistance', scope), rectangular(0.2 * next.R))
    return {
      E: predicted('E', 'V', exact(next.E), [], 'rest volts of the bank'),
      R_bank: predicted('R_source', 'mΩ', R, [], 'stated resistances'),
    }
  }
  // Measured values scale with what the network says of the change.
  const factor = next.R / old.R
  return {
    E: predicted('E', 'V', add(E.x, exact(next.E - old.E)), [E], 'E measured + change of the rest volts'),
    R_bank: predicted(
      'R_source',
      'mΩ',
      combine(R_bank.x.value * factor, [
        [R_bank.x, factor],
        [uncertain(0, methodSource('change of bank', scope), rectangular(0.2 * next.R)), 1],
      ]),
      [R_bank],
      `R_source measured × ${formatNumber(factor, 3)}, from the network`,
    ),
  }
}

function pathAfter(
  path: Derived,
  change: RigChange,
  rig: Rig,
  after: Rig,
  evidence: MeasuredSupply,
): Derived {
  if (!isFigure(path)) return path
  if (change.kind === 'remake') {
    const gain = remakeGain(change.element, rig, evidence)
    return gain
      ? predicted(
          'R_path',
          'mΩ',
          subtract(path.x, gain.x),
          [path, gain],
          'R_path − what the remade joint gives back',
        )
      : path
  }
  if (change.kind !== 'cable') return path
  const find = (where: Rig) => placed(where).find(({ element }) => element.id === change.element)?.element
  const [old, next] = [find(rig), find(after)]
  if (!old || !next) return path
  const difference = subtract(
    expectedResistance(next, rig.typical, 20, evidence.scope),
    expectedResistance(old, rig.typical, 20, evidence.scope),
  )
  return predicted(
    'R_path',
    'mΩ',
    add(path.x, difference),
    [path],
    'R_path + R of the new cable − R of the old',
  )
}

/**
 * What remaking a joint gives back, Ω: surveyed − expected; without a survey all that the path has above what is
 * expected of it, said to be so. Undefined when there is nothing to gain.
 */
function remakeGain(element: string, rig: Rig, evidence: MeasuredSupply): Figure | undefined {
  const line = evidence.surveys.at(-1)?.lines.find((one) => one.element.id === element)
  if (line && isFigure(line.resistance) && isFigure(line.expected)) {
    const gain = derive(
      'gain',
      'mΩ',
      'R − R_expected',
      [line.resistance, line.expected],
      subtract(line.resistance.x, line.expected.x),
    )
    return isFigure(gain) && gain.x.value > 0 ? gain : undefined
  }
  // A survey that left it out shows nothing of it.
  const { ladderPath, promised } = evidence
  if (evidence.surveys.length || !isFigure(ladderPath) || !isFigure(promised.R_path)) return undefined
  const all = derive(
    'gain',
    'mΩ',
    'R_path − all that is expected of it',
    [ladderPath, promised.R_path],
    subtract(ladderPath.x, promised.R_path.x),
    ['No survey on this rig: taken as if the whole excess sat in this one joint.'],
  )
  return isFigure(all) && all.x.value > 0 && placed(rig).some((one) => one.element.id === element)
    ? all
    : undefined
}

function predicted(
  symbol: string,
  unit: Figure['unit'],
  x: Figure['x'],
  inputs: readonly Figure[],
  formula: string,
): Derived {
  const figure = derive(symbol, unit, formula, inputs, x, ['A prediction, from the measured values.'])
  return isFigure(figure) ? { ...figure, grade: 'estimated' } : figure
}

/** A load to predict V_B at: what a step took, or what a planned one is expected to. */
export interface LoadToPredict {
  readonly load: string
  readonly P_C: Derived
  readonly P_B: Derived
  readonly V_B: Derived
}

/** Steps close together are one: shares of each other. */
const together = 0.02

/** The steps that were read, and after them the planned ones that none of them shows, by expected watts and loss. */
export function loadsToPredict(
  steps: readonly { load: string; P_C: Derived; P_B: Derived; read: { V_B: Derived } }[],
  planned: readonly { load: string; watts: number }[],
  loss: (P: number) => number,
): LoadToPredict[] {
  const read = steps.map((step): LoadToPredict => ({ ...step, V_B: step.read.V_B }))
  const shown = read.flatMap(({ P_C }) => (isFigure(P_C) ? [P_C.x.value] : []))
  const ahead = planned
    .filter(({ watts }) => watts > 0 && !shown.some((P) => Math.abs(P - watts) <= together * watts))
    .map(({ load, watts }): LoadToPredict => ({
      load,
      P_C: estimated('P_C', 'W', exact(watts), 'as planned'),
      P_B: estimated('P_B', 'W', exact(watts + loss(watts)), 'P_C planned + loss of the unit there'),
      V_B: { missing: 'Planned, not read yet.' },
    }))
  return [...read, ...ahead]
}

export interface PredictedStep {
  readonly load: string
  readonly P_C: Figure
  /** Measured before the change; undefined where it was not. */
  readonly before: Derived
  /** Predicted; missing when the supply could not deliver it. */
  readonly V_B: Derived
}

/**
 * V_B at each input power, in the order given: what was measured there plus what the change makes of it, so that what
 * the model does not know of this supply stays as it is; by the model alone where nothing was measured.
 */
export function predictSteps(
  after: KnownSupply,
  before: KnownSupply,
  steps: readonly LoadToPredict[],
): PredictedStep[] {
  return steps.flatMap(({ load, P_C, P_B, V_B }) => {
    if (!isFigure(P_C) || !isFigure(P_B)) return []
    return [
      { load, P_C, before: V_B, V_B: changed(V_B, predictVoltage(before, P_B), predictVoltage(after, P_B)) },
    ]
  })
}

/** A measured figure moved by the difference of two modelled ones; the second of them where it cannot be. */
function changed(measured: Derived, before: Derived, after: Derived): Derived {
  if (!isFigure(measured) || !isFigure(before) || !isFigure(after)) return after
  return predicted(
    after.symbol,
    after.unit,
    add(measured.x, subtract(after.x, before.x)),
    [measured, before, after],
    'V_B measured + V_B of the changed supply − V_B of this one, both computed',
  )
}

/** V_B when the unit takes P_B on this supply. */
export function predictVoltage({ E, R_bank, R_path, support }: KnownSupply, P_B: Figure): Derived {
  if (!isFigure(E)) return E
  if (!isFigure(R_bank)) return R_bank
  if (!isFigure(R_path)) return R_path
  const x = terminalVoltage(E.x, R_bank.x, R_path.x, P_B.x, support)
  return x
    ? predicted('V_B', 'V', x, [E, R_bank, R_path, P_B], '(E + √(E² − 4·(R_source + R_path)·P_B)) / 2')
    : { missing: 'The supply cannot deliver this.' }
}

/** The prediction as it is kept with the trial. */
export function keepPrediction(
  changes: readonly RigChange[],
  words: string,
  steps: readonly PredictedStep[],
  headroomW: number | undefined,
): Prediction {
  return {
    changes: [...changes],
    words,
    steps: steps.flatMap(({ P_C, V_B }) =>
      isFigure(V_B)
        ? [{ power: P_C.x.value, V_B: V_B.x.value, u: Math.hypot(...V_B.x.sources.values()) }]
        : [],
    ),
    ...(headroomW === undefined || headroomW <= 0 ? {} : { headroom: headroomW }),
  }
}
