import { whoEnded, type Alarm, type Ended, type Moment, type Outcome } from '../blame'
import type { Asked } from '../court'
import { deviceIn, saggingOf, type Device, type Sagging, type SagAgainst } from '../facts'
import { isFigure, sayFigure, type Derived, type Figure } from '../figures'
import { deriveStep, isCarried, rippleSwing, type StepFigures } from '../ladder'
import { scale } from '../meters'
import { remembering } from '../remember'
import type { Analysis } from '../trials'
import { holdsOf } from './holds'
import { overloadsOf } from './overload'

/** What was tried with a load, carried or not: a step that was carried and then tripped is two. */
export interface Attempt {
  /** Watts, or VA where the claim is in VA. */
  readonly power: Figure
  /** The most that it carries at its own volts: the same amps at nominal ones, where they sagged. */
  readonly most: Figure
  readonly step: StepFigures
  /** s; undefined: not noted. */
  readonly held: number | undefined
  /** Looked at closely enough over that time; a step counts as watched for as long as its tester noted. */
  readonly watched: boolean
  /** Whether that time was noted for a step by hand. */
  readonly noted: boolean
  readonly became: Outcome
  readonly sag: Sagging | undefined
  /** Who ended it, or held its output back; undefined: nobody did. */
  readonly ended: Ended | undefined
}

export const isMotor = ({ kind }: StepFigures): boolean =>
  kind === 'induction motor' || kind === 'brush motor'

/** s so short that a step that was carried at all was carried for them. */
export const anyStep = 5

type Readings = StepFigures['step']['readings']

/** Readings of a step that went alike, with their figures, and how they went. */
export interface StepPart {
  readonly figures: StepFigures
  readonly readings: Readings
  readonly went: Went
}

const sameParts = remembering<StepFigures, StepPart[]>()

/** The readings of a step that were carried, and those in which it ended otherwise, each with their figures. */
export const partsOf = (step: StepFigures, { ladder }: Pick<Analysis, 'ladder'>): StepPart[] =>
  sameParts(step, [ladder.context], () => {
    const { readings } = step.step
    const carried = readings.filter(isCarried)
    if (!carried.length || carried.length === readings.length) return [partOf(step, readings)]
    const ended = readings.filter((reading) => !isCarried(reading))
    const figures = deriveStep({ ...step.step, readings: ended }, ladder.context)
    return [partOf(step, carried), partOf(figures, ended)]
  })

export const partOf = (figures: StepFigures, readings: Readings): StepPart => ({
  figures,
  readings,
  went: wentIn(readings),
})

/** How something went, as it was noted. */
interface Went {
  readonly held: number | undefined
  readonly watched: boolean
  readonly noted: boolean
  readonly became: Outcome
  readonly alarm: Alarm
  readonly device?: Device | undefined
}

/**
 * All that was tried on one rig at carrying a load for so many s: the steps of its ladder, what was held over hours, and what
 * was raised until something gave up.
 */
export const allAttempts = (asked: Asked, seconds: number, against: SagAgainst = 'promise'): Attempt[] => [
  ...asked.analysis.ladder.steps.flatMap((step) =>
    partsOf(step, asked.analysis).flatMap((part) => attemptOf(part.figures, part.went, asked, against)),
  ),
  ...holdsOf(asked.analysis, seconds).flatMap(({ step, held, watched, became, alarm }) =>
    attemptOf(step, { held, watched, noted: false, became, alarm }, asked, against),
  ),
  // The watts of an overload on one leg are those of that leg, and never of both.
  ...overloadsOf(asked.analysis)
    .filter(({ reading: { leg } }) => leg === asked.leg)
    .flatMap(({ step, went }) =>
      attemptOf(step, { ...went, watched: true, noted: true }, { ...asked, leg: undefined }, against),
    ),
]

/** How the readings of a step say that it went. */
function wentIn(readings: Readings): Went {
  const held = readings.flatMap(({ reading }) => reading.held ?? [])
  const said = readings.map(({ reading }) => reading)
  const alarm = said.find((one) => (one.alarm ?? 'none') !== 'none')?.alarm ?? 'none'
  const end = said.find((one) => (one.end ?? 'carried') !== 'carried')?.end ?? 'carried'
  return {
    held: held.length ? Math.max(...held) : undefined,
    watched: true,
    noted: true,
    became:
      end === 'tripped'
        ? 'tripped'
        : end === 'stopped by hand'
          ? 'stopped by hand'
          : alarm !== 'none' || end === 'alarmed'
            ? 'warned'
            : 'carried',
    alarm: end === 'alarmed' && alarm === 'none' ? 'other' : alarm,
  }
}

/** What a power promise is of: watts, volt-amperes, or the watts of one leg. */
function powerOf({ legs, S, P_C }: StepFigures, { claim, leg }: Asked): Derived {
  if (leg) return legs?.legs.find((one) => one.leg === leg)?.P ?? { missing: `Leg ${leg} was not read.` }
  return claim.unit === 'VA' ? S : P_C
}

/** One attempt, where its output power was read. */
function attemptOf(step: StepFigures, went: Went, asked: Asked, against: SagAgainst): Attempt[] {
  const power = powerOf(step, asked)
  if (!isFigure(power)) return []
  const { analysis } = asked
  const sag = saggingOf(step, analysis, against)
  const { held, watched, noted, became } = went
  return [
    {
      power,
      most: mostAtNominal(power, step, sag),
      step,
      held,
      watched,
      noted,
      became,
      sag,
      ended: whoEnded(
        momentOf(step, went, sag, () => sayFigure(power)),
        analysis,
      ),
    },
  ]
}

/**
 * The most that is carried at its own volts, where they sagged: the same amps at nominal volts. With those amps it could not keep
 * them, so that it carries fewer.
 */
function mostAtNominal(
  power: Figure,
  { read: { V_C }, nominal }: StepFigures,
  sag: Sagging | undefined,
): Figure {
  if (!sag || !isFigure(V_C) || !(V_C.x.value > 0) || V_C.x.value >= nominal) return power
  const more = nominal / V_C.x.value
  return {
    ...power,
    x: scale(power.x, more),
    working: { ...power.working, notes: [...power.working.notes, 'The same amps at nominal volts.'] },
  }
}

export function momentOf(
  step: StepFigures,
  went: Pick<Went, 'became' | 'alarm' | 'device' | 'held'>,
  sag: Sagging | undefined,
  load: () => string,
): Moment {
  const { read, nominal } = step
  return {
    became: went.became,
    alarm: went.alarm,
    device: deviceIn(went.device),
    inputGone: false,
    inputKept: false,
    notedUnit: false,
    // A step that tripped while its input stood went out by itself.
    wentOut: went.became === 'tripped',
    V_B: read.V_B,
    swing: rippleSwing(step.step.captures),
    extreme: false,
    before: undefined,
    amps: isFigure(read.I) ? read.I.x.value : undefined,
    held: went.held,
    V_C: read.V_C,
    nominal,
    sag,
    load,
    step,
  }
}
