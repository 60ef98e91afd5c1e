import type { ClaimUnit, HeldReference } from '@even-watt/contract'
import type { Figured, RigFigured, Stated, StepFigured } from '../figured'
import { derive, isFigure, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { exact } from '../meters'
import type { Analysis } from '../trials'
import { claimValue } from '../units'
import { heldAgainst, type HeldFigure, type Reference } from './against'

/** A rig and the one before it, where there is one. */
export interface OnRig {
  readonly analysis: Analysis
  readonly before?: Analysis | undefined
}

const unlessSame: Readonly<Partial<Record<ClaimUnit, Figured['unit']>>> = { kW: 'W', kWh: 'Wh', min: 's' }

/** What the label promises of a figure, in its unit; of several promises the first that is in it. */
function promised({ promise, unit }: Figured, { record }: Analysis): Derived {
  const claim = record.revision.unit.claims.find(
    (one) => one.quantity === promise && (unlessSame[one.unit] ?? one.unit) === unit,
  )
  if (!claim) return { missing: 'The label promises nothing of it.' }
  return derive('promised', unit, 'on the label', [], exact(claimValue(claim)))
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

/** What a figure of a step is held against by a name; undefined: it has nothing of the kind. */
export function stepReference(
  against: HeldReference,
  figured: StepFigured,
  step: StepFigures,
  { analysis, before }: OnRig,
): Reference | undefined {
  switch (against) {
    case 'nominal or rated':
      return saidOf(figured, step, analysis)
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
export function rigReference(
  against: HeldReference,
  figured: RigFigured,
  { analysis, before }: OnRig,
): Reference | undefined {
  if (against === 'nominal or rated') return saidOf(figured, analysis)
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
    ...(ofStep ? ['the step before' as const] : []),
    ...(figured.promise ? ['the promise' as const] : []),
    ...(ofStep && figured.expected ? ['expected' as const] : []),
    'the rig before',
  ]
}
