import type { Figured, RigFigured, StepFigured } from '../figured'
import { derive, whenKnown, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { divide, multiply, subtract } from '../meters'
import type { Analysis } from '../trials'

/** Amps at which the watts into the unit would come if no volt were lost between the rest of the bank and the unit. */
const idealAmps = ({ P_B }: StepFigures, { supply }: Analysis): Derived =>
  whenKnown([P_B, supply.known.E], ([watts, rest]) =>
    derive('I_ideal', 'A', 'P_B / E', [watts, rest], divide(watts.x, rest.x)),
  )

const here = {
  per: 'step',
  page: 'ladder',
  method: 'attribution',
  dependsOn: ['bank', 'path', 'load'],
} as const
const looked = ['constant power', 'sag', 'voltage drop', 'extra amps', 'spiral']

const steps: readonly StepFigured[] = [
  {
    ...here,
    id: 'ideal amps',
    words: 'amps in if nothing were lost on the way',
    head: 'A, ideal',
    unit: 'A',
    looked,
    of: idealAmps,
  },
  {
    ...here,
    id: 'amps more',
    words: 'amps more because of what is lost on the way',
    head: 'A more',
    unit: 'A',
    looked,
    better: 'less',
    of: (step, analysis) =>
      whenKnown([step.read.I, idealAmps(step, analysis)], ([amps, ideal]) =>
        derive('I − I_ideal', 'A', 'I − P_B / E', [amps, ideal], subtract(amps.x, ideal.x)),
      ),
  },
  {
    ...here,
    id: 'bank loss',
    words: 'watts lost in the bank',
    head: 'bank',
    unit: 'W',
    looked: ['battery loss', 'heat', 'internal resistance'],
    dependsOn: ['bank', 'load'],
    better: 'less',
    of: ({ read: { V_A, I } }, { supply }) =>
      whenKnown([supply.known.E, V_A, I], ([rest, posts, amps]) =>
        derive(
          'P_bank',
          'W',
          '(E − V_A)·I',
          [rest, posts, amps],
          multiply(subtract(rest.x, posts.x), amps.x),
        ),
      ),
  },
]

const rigHere = { per: 'rig', page: 'rig/supply', method: 'supply' } as const

const rigs: readonly RigFigured[] = [
  {
    ...rigHere,
    id: 'E',
    words: 'rest volts of the bank',
    head: 'E',
    unit: 'V',
    looked: ['open circuit', 'battery voltage', 'source'],
    dependsOn: ['bank'],
    of: ({ supply }) => supply.known.E,
  },
  {
    ...rigHere,
    id: 'R_bank',
    words: 'resistance of the bank',
    head: 'R of bank',
    unit: 'mΩ',
    looked: ['internal resistance', 'milliohm', 'battery health', 'load test'],
    dependsOn: ['bank'],
    better: 'less',
    of: ({ supply }) => supply.known.R_bank,
  },
  {
    ...rigHere,
    id: 'R_path of rig',
    words: 'resistance of leads and joints',
    head: 'R of path',
    unit: 'mΩ',
    looked: ['cable', 'lug', 'milliohm', 'loop'],
    dependsOn: ['path'],
    better: 'less',
    of: ({ supply }) => supply.known.R_path,
  },
]

/** How the volts and watts of a step divide between bank, leads and unit. */
export const attributionFigures: readonly Figured[] = [...steps, ...rigs]
