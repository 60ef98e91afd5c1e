import type { ClaimUnit, HeldReference } from '@even-watt/contract'
import type { Figured, RigFigured, Stated, StepFigured } from '../figured'
import { derive, isFigure, stated, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { exact } from '../meters'
import type { Analysis } from '../trials'
import { claimValue } from '../units'
import { heldAgainst, type HeldFigure, type Reference } from './against'

/** A rig and the one before it, where there is one. */
export interface OnRig {
  readonly analysis: Analysis
  readonly before?: Analysis | undefined
  /** The mains of the place, where the bench was asked; of a split phase its whole. */
  readonly mains?: Mains | undefined
}

interface Mains {
  readonly volts: number
  readonly hertz: number
}

const unlessSame: Readonly<Partial<Record<ClaimUnit, Figured['unit']>>> = { kW: 'W', kWh: 'Wh', min: 's' }

const noPromise = { missing: 'The label promises nothing of it.' }
/** What is promised of the input: its amps are watts at the nominal volts. */
const atInput: ReadonlySet<string> = new Set(['idle draw', 'search-mode draw'])

/**
 * What the label promises of a figure, in its unit; of several promises the first that is in it. Idle amps on a label are watts
 * at its nominal input, and the other way round.
 */
function promised({ promise, unit }: Figured, { record }: Analysis): Derived {
  const { claims, inputVoltage } = record.revision.unit
  const made = claims.filter(({ quantity }) => quantity === promise)
  const same = made.find((one) => (unlessSame[one.unit] ?? one.unit) === unit)
  if (same) return derive('promised', unit, 'on the label', [], exact(claimValue(same)))
  if (!inputVoltage || !atInput.has(promise ?? '')) return noPromise
  const [amps, watts] = [made.find((one) => one.unit === 'A'), made.find((one) => one.unit === 'W')]
  if (unit === 'W' && amps)
    return derive(
      'promised',
      'W',
      'A on the label · nominal input',
      [],
      exact(claimValue(amps) * inputVoltage),
    )
  if (unit === 'A' && watts)
    return derive(
      'promised',
      'A',
      'W on the label / nominal input',
      [],
      exact(claimValue(watts) / inputVoltage),
    )
  return noPromise
}

const noRigBefore = { missing: 'There is no rig before it.' }

/** What is stated of a figure, told as it is spoken of. */
const saidOf = <At extends readonly unknown[]>(
  { stated }: { readonly stated?: Stated<At> },
  ...at: At
): Reference | undefined =>
  stated && {
    against: 'nominal or rated',
    reference: stated.of(...at),
    ...(stated.asShare ? { asShare: stated.asShare } : {}),
  }

const noMains = { missing: 'The bench does not say what mains its place has.' }

/** The same figure of the mains of the place; where one leg was read, of one leg of them. */
function ofMains(
  { ofMains: which }: Figured,
  nominal: number,
  { mains, analysis }: OnRig,
): Reference | undefined {
  if (!which) return undefined
  const { outputVoltage } = analysis.record.revision.unit
  const reference = !mains
    ? noMains
    : which === 'hertz'
      ? stated('f_mains', 'Hz', mains.hertz, '')
      : stated('V_mains', 'V', (mains.volts * nominal) / outputVoltage, '')
  return { against: 'the mains here', reference }
}

/** What a figure of a step is held against by a name; undefined: it has nothing of the kind. */
function stepReference(
  against: HeldReference,
  figured: StepFigured,
  step: StepFigures,
  on: OnRig,
): Reference | undefined {
  const { analysis, before } = on
  switch (against) {
    case 'nominal or rated':
      return saidOf(figured, step, analysis)
    case 'the mains here':
      return ofMains(figured, step.nominal, on)
    case 'nothing connected':
      return figured.atNoLoad && { against, reference: figured.atNoLoad(analysis) }
    case 'the promise':
      return figured.promise && { against, reference: promised(figured, analysis) }
    case 'the step before':
      return { against, reference: stepBefore(figured, step, analysis) }
    case 'the rig before':
      return { against, reference: before ? onRigBefore(figured, step, before) : noRigBefore }
    case 'expected':
      return figured.expected && { against, reference: figured.expected(step) }
  }
}

function stepBefore(figured: StepFigured, { step }: StepFigures, analysis: Analysis): Derived {
  const { steps } = analysis.ladder
  const at = steps.findIndex((one) => one.step.id === step.id)
  // One that is still being typed stands behind them all.
  const last = steps[(at < 0 ? steps.length : at) - 1]
  return last ? figured.of(last, analysis) : { missing: 'It is the first step.' }
}

/** Loads that differ by no more than this share are the same load on two rigs. */
const sameLoad = 0.05

/** The same figure at the same load on another rig: the step nearest in watts. */
function onRigBefore(figured: StepFigured, step: StepFigures, before: Analysis): Derived {
  const watts = ({ P_C }: StepFigures) => (isFigure(P_C) ? P_C.x.value : undefined)
  const own = watts(step)
  if (own === undefined) return { missing: 'The watts of this step are not known.' }
  const [nearest] = before.ladder.steps
    .flatMap((one) => {
      const other = watts(one)
      return other === undefined ? [] : [{ one, apart: Math.abs(other / own - 1) }]
    })
    .filter(({ apart }) => apart <= sameLoad)
    .sort((a, b) => a.apart - b.apart)
  return nearest ? figured.of(nearest.one, before) : { missing: 'The rig before had no step of this load.' }
}

/** The same of a figure of a rig. */
function rigReference(against: HeldReference, figured: RigFigured, on: OnRig): Reference | undefined {
  const { analysis, before } = on
  if (against === 'nominal or rated') return saidOf(figured, analysis)
  if (against === 'the mains here') return ofMains(figured, analysis.noLoad.on.nominal, on)
  if (against === 'the promise') return figured.promise && { against, reference: promised(figured, analysis) }
  if (against === 'the rig before') return { against, reference: before ? figured.of(before) : noRigBefore }
  return undefined
}

/** A figure of a step with what it is held against, by names. */
export const heldOfStep = (
  figured: StepFigured,
  step: StepFigures,
  on: OnRig,
  by: readonly HeldReference[],
): HeldFigure =>
  heldAgainst(
    figured.words,
    figured.of(step, on.analysis),
    by.flatMap((against) => stepReference(against, figured, step, on) ?? []),
  )

/** The same of a rig. */
export const heldOfRig = (figured: RigFigured, on: OnRig, by: readonly HeldReference[]): HeldFigure =>
  heldAgainst(
    figured.words,
    figured.of(on.analysis),
    by.flatMap((against) => rigReference(against, figured, on) ?? []),
  )

/** All that a figure can be held against, whether or not it was read. */
export function canBeHeldAgainst(figured: Figured): HeldReference[] {
  const ofStep = figured.per === 'step'
  return [
    ...(ofStep && figured.atNoLoad ? ['nothing connected' as const] : []),
    ...(figured.stated ? ['nominal or rated' as const] : []),
    ...(figured.ofMains ? ['the mains here' as const] : []),
    ...(ofStep ? ['the step before' as const] : []),
    ...(figured.promise ? ['the promise' as const] : []),
    ...(ofStep && figured.expected ? ['expected' as const] : []),
    'the rig before',
  ]
}
