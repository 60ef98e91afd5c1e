import type { Quantity } from '@even-watt/contract'
import { quantityData } from '../evidence'
import type { StepFigured, RigFigured, DependsOn } from '../figured'
import {
  decides,
  derive,
  estimated,
  isFigure,
  stated,
  whenKnown,
  type Derived,
  type Figure,
} from '../figures'
import { divide, scale, subtract } from '../meters'
import type { NoLoadFigures } from '../noLoad'
import type { Analysis } from '../trials'
import { outputFor } from '../supply'
import { claimedValue, ratedFigure } from '../units'
import { hasFit } from './hasFit'
import { lossAt, peakOf } from './curve'
import type { StepFigures } from './step'
import { toldBy } from './told'

type Details = Omit<StepFigured, 'per' | 'page' | 'method' | 'looked' | 'unit' | 'words'> &
  Partial<Pick<StepFigured, 'looked'>>

const here = { per: 'step', page: 'ladder', method: 'ladder' } as const

/** What is read at every step, and with nothing connected as well. */
const read = (quantity: Quantity, details: Omit<Details, 'id' | 'of' | 'atNoLoad'>): StepFigured => ({
  ...here,
  id: quantity,
  words: quantityData[quantity].words,
  unit: quantityData[quantity].unit,
  looked: [],
  of: ({ read: values }) => values[quantity],
  atNoLoad: ({ noLoad }) => noLoad.on.read[quantity],
  ...details,
})

/** What is worked out of a step, and has no meaning without a load. */
const worked = (
  words: string,
  unit: Figure['unit'],
  details: Omit<Details, 'id'> & { readonly id?: string },
): StepFigured => ({ ...here, id: words, words, unit, looked: [], ...details })

const rated = ({ record }: Analysis): Derived => ratedFigure(record.revision.unit)

const nominal = ({ nominal: volts }: Pick<StepFigures | NoLoadFigures, 'nominal'>): Derived =>
  stated('V_nom', 'V', volts, '')

const ofRig = ['bank', 'path', 'load'] as const satisfies readonly DependsOn[]
const ofUnit = ['unit', 'load'] as const satisfies readonly DependsOn[]

const shareOf = (symbol: string, part: Derived, whole: Derived): Derived =>
  whenKnown([part, whole], ([a, b]) =>
    derive(symbol, '%', `${a.symbol} / ${b.symbol}`, [a, b], divide(a.x, b.x)),
  )

/** Output over input less what the curve gives to the fan in the state that it was in; with the fan at rest the efficiency itself. */
function withoutFan({ P_C, P_B, eta_unit, step }: StepFigures, { ladder: { unitFit } }: Analysis): Derived {
  const state = step.readings.at(-1)?.reading.fan
  if (!state) return { missing: 'Whether the fan ran was not noted.' }
  if (state === 'off') return eta_unit
  if (!hasFit(unitFit)) return { missing: unitFit.missing }
  const fan = unitFit.fan.get(state)
  if (!fan) return { missing: 'The curve tells no watts of the fan: it needs steps with it and without.' }
  return whenKnown([P_C, P_B], ([out, input]) =>
    derive('η without fan', '%', 'P_C / (P_B − P_fan)', [out, input], divide(out.x, subtract(input.x, fan))),
  )
}

/**
 * Watts that should come out for those that go in: by the curve, which is a figure read; else by the efficiency that the label
 * promises, which is an estimate.
 */
function impliedOutput({ P_B }: StepFigures, { ladder: { unitFit }, record }: Analysis): Derived {
  const promised = claimedValue(record.revision.unit, 'efficiency')
  return whenKnown([P_B], ([input]) => {
    if (hasFit(unitFit)) {
      const out = outputFor(input.x.value, (P) => lossAt(unitFit, P).value)
      const [formula, x] = ['P_B − P_loss by the curve', scale(input.x, out / input.x.value)] as const
      return derive('P_C implied', 'W', formula, [input], x)
    }
    return promised === undefined
      ? { missing: 'Neither a curve nor a promised efficiency tells what should come out.' }
      : estimated('P_C implied', 'W', scale(input.x, promised), 'P_B · η on the label')
  })
}

const steps: readonly StepFigured[] = [
  read('V_A', {
    head: 'V at posts',
    looked: ['battery voltage', 'sag', 'bank'],
    dependsOn: ['bank', 'load'],
    quietly: ['nothing connected', 'the step before'],
  }),
  worked('volts lost on the way', 'V', {
    id: 'drop',
    head: 'drop',
    looked: ['voltage drop', 'cable', 'lead', 'loss'],
    dependsOn: ofRig,
    better: 'less',
    of: ({ drop }) => drop,
  }),
  worked('share of the volts lost on the way', '%', {
    id: 'drop share',
    head: 'drop of posts',
    looked: ['voltage drop', 'per cent', 'percent', 'cable', 'lead'],
    dependsOn: ofRig,
    better: 'less',
    of: ({ drop, read: { V_A } }) => shareOf('drop of V_A', drop, V_A),
  }),
  worked('watts lost on the way', 'W', {
    id: 'P_path',
    head: 'path',
    looked: ['cable loss', 'heat', 'lead', 'Wh an hour'],
    dependsOn: ofRig,
    better: 'less',
    of: ({ P_path }) => P_path,
  }),
  worked('share of the watts lost on the way', '%', {
    id: 'path share',
    head: 'path of input',
    looked: ['cable loss', 'per cent', 'percent', 'lead'],
    dependsOn: ofRig,
    better: 'less',
    of: ({ P_path, P_A }) => shareOf('P_path of P_A', P_path, P_A),
  }),
  worked('resistance of the way', 'mΩ', {
    id: 'R_path',
    head: 'R of path',
    looked: ['milliohm', 'cable', 'joint', 'lug', 'loop'],
    dependsOn: ['path'],
    better: 'less',
    of: ({ R_path }) => R_path,
  }),
  read('V_B', {
    head: 'V at terminals',
    looked: ['input voltage', 'sag'],
    dependsOn: ofRig,
    quietly: ['nothing connected', 'the step before'],
  }),
  read('I', {
    head: 'A in',
    looked: ['battery amps', 'clamp', 'draw'],
    dependsOn: [...ofRig, 'unit', 'meter'],
  }),
  worked('watts from the posts', 'W', {
    id: 'P_A',
    head: 'W at posts',
    looked: ['battery watts', 'power drawn'],
    dependsOn: [...ofRig, 'unit'],
    of: ({ P_A }) => P_A,
  }),
  worked('watts into the unit', 'W', {
    id: 'P_B',
    head: 'W in',
    looked: ['input watts', 'DC power'],
    dependsOn: ofUnit,
    of: ({ P_B }) => P_B,
    atNoLoad: ({ noLoad }) => noLoad.on.P_idle,
  }),
  read('V_C', {
    head: 'V out',
    looked: ['output voltage', 'AC volts', 'sag', 'outlet'],
    dependsOn: ofUnit,
    promise: 'output voltage',
    stated: { of: nominal },
    ofMains: 'volts',
    quietly: ['nominal or rated', 'nothing connected', 'the step before'],
  }),
  read('I_C', { head: 'A out', looked: ['output amps', 'AC current'], dependsOn: ofUnit }),
  {
    ...read('P_C', {
      head: 'W out',
      looked: ['load', 'output power', 'rating', 'per cent of rating', 'margin', 'headroom', 'over rating'],
      dependsOn: ofUnit,
      promise: 'continuous power',
      stated: { of: (_step, analysis) => rated(analysis), asShare: 'with what is left' },
      quietly: ['nominal or rated', 'the step before', 'expected'],
      expected: ({ step }) =>
        stated('P_expected', 'W', step.readings.at(-1)?.reading.expected, 'Nothing was planned of it.'),
    }),
    of: ({ P_C }) => P_C,
  },
  worked('watts that should come out', 'W', {
    id: 'implied out',
    head: 'W implied',
    looked: ['app', 'implied output', 'without a wattmeter', 'expected output'],
    dependsOn: ofUnit,
    of: impliedOutput,
  }),
  worked('volt-amperes out', 'VA', {
    id: 'S',
    head: 'VA out',
    looked: ['apparent power', 'VA'],
    dependsOn: ofUnit,
    of: ({ S }) => S,
  }),
  read('PF', { head: 'PF', looked: ['cos phi'], dependsOn: ['load'] }),
  read('f', {
    head: 'f',
    looked: ['hertz', 'Hz'],
    dependsOn: ['unit'],
    ofMains: 'hertz',
    stated: {
      of: (_step, { record }) => stated('f_nom', 'Hz', record.revision.unit.outputFrequency, ''),
    },
    quietly: ['nominal or rated', 'nothing connected', 'the step before'],
  }),
  read('THD', {
    head: 'THD',
    looked: ['THD', 'harmonics', 'wave', 'clean', 'sine'],
    dependsOn: ofUnit,
    better: 'less',
    promise: 'THD',
    quietly: ['nothing connected', 'the step before'],
  }),
  read('T', { head: 'T', looked: ['heat', 'warm', 'hot', 'case'], dependsOn: [...ofUnit, 'room'] }),
  worked('watts lost in the unit', 'W', {
    id: 'P_loss',
    head: 'loss',
    looked: ['heat', 'unit loss', 'waste'],
    dependsOn: ofUnit,
    better: 'less',
    of: ({ P_loss }) => P_loss,
    atNoLoad: ({ noLoad }) => noLoad.on.P_idle,
  }),
  worked('idle watts as a share of what the unit loses', '%', {
    id: 'idle of loss',
    head: 'idle of loss',
    looked: ['small load', 'light load', 'poor efficiency', 'why'],
    dependsOn: ofUnit,
    of: ({ P_loss }, { noLoad }) => shareOf('P_idle of P_loss', noLoad.on.P_idle, P_loss),
  }),
  worked('efficiency of the unit without its fan', '%', {
    id: 'eta without fan',
    head: 'η, no fan',
    looked: ['fan', 'cooling', 'eta', 'η'],
    dependsOn: ofUnit,
    better: 'more',
    of: withoutFan,
  }),
  worked('watts lost with the leads', 'W', {
    id: 'P_systemLoss',
    head: 'loss, leads too',
    looked: ['heat', 'waste', 'system'],
    dependsOn: [...ofRig, 'unit'],
    better: 'less',
    of: ({ P_systemLoss }) => P_systemLoss,
  }),
  worked('efficiency of the unit', '%', {
    id: 'eta_unit',
    head: 'η unit',
    looked: ['efficiency', 'eta', 'η'],
    dependsOn: ofUnit,
    better: 'more',
    promise: 'efficiency',
    quietly: ['the step before'],
    of: ({ eta_unit }) => eta_unit,
  }),
  worked('efficiency with the leads', '%', {
    id: 'eta_system',
    head: 'η system',
    looked: ['efficiency', 'eta', 'η', 'system'],
    dependsOn: [...ofRig, 'unit'],
    better: 'more',
    of: ({ eta_system }) => eta_system,
  }),
  worked('regulation against nominal', '%', {
    id: 'regulation',
    head: 'off nominal',
    looked: ['output voltage', 'sag', 'tolerance'],
    dependsOn: ofUnit,
    promise: 'regulation',
    of: ({ regulation }) => regulation,
  }),
  worked('regulation against no load', '%', {
    id: 'regulation from no load',
    head: 'sag',
    looked: ['sag', 'droop', 'unloaded', 'output voltage'],
    dependsOn: ofUnit,
    better: 'less',
    of: ({ regulationNoLoad }) => regulationNoLoad,
  }),
]

const rigHere = { per: 'rig', page: 'ladder', method: 'ladder', dependsOn: ['unit'] } as const

const noPeak = { missing: 'No best load lies inside what was measured.' }

/** A term of the peak of the curve, worked from the losses of its steps. */
function peak(analysis: Analysis, symbol: string, unit: '%' | 'W', which: 'eta' | 'P'): Derived {
  const { fit, loss } = toldBy(analysis.ladder)
  if (!hasFit(fit)) return { missing: fit.missing }
  const found = peakOf(fit)
  if (!found) return noPeak
  const formula = which === 'eta' ? '1/(1 + p1 + 2·√(p0·p2))' : '√(p0/p2)'
  return derive(symbol, unit, formula, analysis.ladder.steps.map(loss).filter(isFigure), found[which])
}

/** The highest output of a step that was carried. */
export function mostCarried({ ladder }: Pick<Analysis, 'ladder'>): Derived {
  const carried = ladder.steps.flatMap(({ carried: was, P_C }) => (was && decides(P_C) ? [P_C] : []))
  const [most] = carried.sort((a, b) => b.x.value - a.x.value)
  return most ?? { missing: 'No step was carried with measured watts.' }
}

const rigs: readonly RigFigured[] = [
  {
    ...rigHere,
    id: 'best efficiency',
    words: 'efficiency at its best load',
    head: 'best η',
    unit: '%',
    looked: ['peak', 'maximum', 'eta'],
    better: 'more',
    promise: 'efficiency',
    of: (analysis) => peak(analysis, 'η_peak', '%', 'eta'),
  },
  {
    ...rigHere,
    id: 'best load',
    words: 'its best load',
    head: 'best load',
    unit: 'W',
    looked: ['peak', 'maximum', 'efficiency'],
    stated: { of: rated, asShare: 'alone' },
    of: (analysis) => peak(analysis, 'P_peak', 'W', 'P'),
  },
  {
    ...rigHere,
    id: 'most carried',
    words: 'most that was carried',
    head: 'carried',
    unit: 'W',
    looked: ['continuous', 'rating', 'per cent of rating', 'maximum'],
    asTried: true,
    promise: 'continuous power',
    stated: { of: rated, asShare: 'with what is left' },
    of: mostCarried,
  },
  {
    ...rigHere,
    id: 'worth of the leads',
    words: 'lost on the way at the heaviest load, in an hour',
    head: 'Wh an hour',
    unit: 'Wh',
    looked: ['cable loss', 'energy', 'heat'],
    dependsOn: ofRig,
    asTried: true,
    of: ({ ladder }) => {
      const [heaviest] = ladder.steps
        .flatMap(({ P_path }) => (isFigure(P_path) ? [P_path] : []))
        .sort((a, b) => b.x.value - a.x.value)
      return heaviest
        ? derive('E_path', 'Wh', 'P_path · 1 h', [heaviest], scale(heaviest.x, 1))
        : { missing: 'No volts at both ends of the leads.' }
    },
  },
]

/** Figures of steps and of the curve that they make. */
export const ladderFigures = [...steps, ...rigs]
