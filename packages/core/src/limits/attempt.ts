import { decides, isFigure, type Derived, type Figure } from '../figures'
import type { Evidence } from '../findings'
import { deriveStep, isCarried, type StepFigures } from '../ladder'
import { expanded } from '../meters'
import type { Analysis } from '../trials'
import { claimOf, claimValue } from '../units'
import { holdsOf } from './holds'
import { overloadsOf, type Overload } from './overload'

/** What was tried at one step, carried or not: a step that was carried and then tripped is two. */
export interface Attempt {
  /** Watts, or VA where the claim is in VA. */
  readonly power: Figure
  readonly step: StepFigures
  /** s; undefined: not noted. */
  readonly held: number | undefined
  readonly alarm: string
  readonly end: string
  readonly carried: boolean
  /** When it was last read. */
  readonly at: string
  /** How far the output is from nominal outside what the unit claims, or else under its own at no load, beyond uncertainty. */
  readonly outOfRegulation: Figure | undefined
  /** A device in the path that was found open. */
  readonly opened: Overload['opened']
}

export const isMotor = ({ kind }: StepFigures): boolean =>
  kind === 'induction motor' || kind === 'brush motor'

interface Part {
  readonly figures: StepFigures
  readonly readings: StepFigures['step']['readings']
}

/** The readings of a step that were carried, and those in which it ended otherwise, each with their figures. */
export function partsOf(step: StepFigures, { ladder }: Analysis): Part[] {
  const { readings } = step.step
  const carried = readings.filter(isCarried)
  if (!carried.length || carried.length === readings.length) return [{ figures: step, readings }]
  const ended = readings.filter((reading) => !isCarried(reading))
  return [
    { figures: step, readings: carried },
    { figures: deriveStep({ ...step.step, readings: ended }, ladder.context), readings: ended },
  ]
}

/** All that was tried on one rig: the steps of its ladder, what was held over hours, and what was raised until something gave up. */
export const allAttempts = (evidence: Evidence): Attempt[] => [
  ...evidence.analysis.ladder.steps.flatMap((step) => attemptsOf(step, evidence)),
  ...holdsOf(evidence.analysis).flatMap((step) => attemptsOf(step, evidence)),
  // The watts of an overload on one leg are those of that leg, and never of both.
  ...overloadsOf(evidence.analysis)
    .filter(({ reading: { leg } }) => leg === evidence.leg)
    .flatMap(({ step, opened }) =>
      attemptsOf(step, { ...evidence, leg: undefined }).map((attempt) => ({ ...attempt, opened })),
    ),
]

/** What a power promise is of: watts, volt-amperes, or the watts of one leg. */
function powerOf({ legs, S, P_C }: StepFigures, { claim, leg }: Evidence): Derived {
  if (leg) return legs?.legs.find((one) => one.leg === leg)?.P ?? { missing: `Leg ${leg} was not read.` }
  return claim.unit === 'VA' ? S : P_C
}

/** The attempts of one step, those with output power. */
const attemptsOf = (step: StepFigures, evidence: Evidence): Attempt[] =>
  partsOf(step, evidence.analysis).flatMap(({ figures, readings }): Attempt[] => {
    const power = powerOf(figures, evidence)
    if (!isFigure(power)) return []
    const held = readings.flatMap(({ reading }) => reading.held ?? [])
    const said = readings.map(({ reading }) => reading)
    return [
      {
        power,
        step: figures,
        held: held.length ? Math.max(...held) : undefined,
        alarm: said.find(({ alarm = 'none' }) => alarm !== 'none')?.alarm ?? 'none',
        end: said.find(({ end = 'carried' }) => end !== 'carried')?.end ?? 'carried',
        carried: readings.every(isCarried),
        at: readings.at(-1)?.at ?? '',
        outOfRegulation: outOfRegulation(figures, evidence),
        opened: undefined,
      },
    ]
  })

/** Share of its own volts at no load under which a unit no longer carries what hangs on it (docs/method/findings.md). */
const folds = 0.1

function outOfRegulation(step: StepFigures, { analysis }: Evidence): Figure | undefined {
  const promised = promisedRegulation(analysis)
  // Where it promises no volts they are held against its own, for a label may be of another market.
  const figure = promised === undefined ? step.regulationNoLoad : step.regulation
  if (!decides(figure)) return undefined
  const off = promised === undefined ? figure.x.value : Math.abs(figure.x.value)
  return off - (promised ?? folds) > expanded(figure.x) ? figure : undefined
}

/** Share of nominal that the unit says it keeps; undefined: it says none. */
export function promisedRegulation({ record }: Analysis): number | undefined {
  const claimed = claimOf(record.revision.unit, 'regulation')
  return claimed?.unit === '%' ? claimValue(claimed) : undefined
}
