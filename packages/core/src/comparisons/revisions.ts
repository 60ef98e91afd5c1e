import { isFigure, type Derived, type Figure } from '../figures'
import type { StepFigures } from '../ladder'
import type { Analysis } from '../trials'
import { differenceOf, type Difference } from './difference'

/** One quantity of the same load on two rig revisions. */
export interface Change {
  readonly words: string
  readonly before: Figure
  readonly after: Figure
  /** After minus before, with what the shared meters have in common taken out. */
  readonly difference: Difference
}

export interface RevisionChange {
  readonly before: number
  readonly after: number
  /** Output watts at which both were compared. */
  readonly load: Figure
  readonly changes: readonly Change[]
}

/** Loads closer than this share of each other are the same load. */
const sameLoad = 0.02

const compared: readonly (readonly [words: string, of: (step: StepFigures) => Derived])[] = [
  ['voltage at B', (step) => step.read.V_B],
  ['efficiency of the system, A to C', (step) => step.eta_system],
  ['efficiency of the unit, B to C', (step) => step.eta_unit],
]

/**
 * What a change of the rig did, at the highest load that both revisions carried: voltage at B and both
 * efficiencies. Undefined when they share no load.
 */
export function compareRevisions(before: Analysis, after: Analysis): RevisionChange | undefined {
  const loaded = (analysis: Analysis) =>
    analysis.ladder.steps.flatMap((step) => (isFigure(step.P_C) ? [{ step, power: step.P_C }] : []))
  const pairs = loaded(after).flatMap((late) =>
    loaded(before)
      .filter((early) => early.step.load === late.step.load)
      .filter((early) => Math.abs(early.power.x.value - late.power.x.value) <= sameLoad * late.power.x.value)
      .map((early) => ({ early, late })),
  )
  const highest = pairs.sort((a, b) => b.late.power.x.value - a.late.power.x.value)[0]
  if (!highest) return undefined
  const { early, late } = highest
  return {
    before: before.record.revision.number,
    after: after.record.revision.number,
    load: late.power,
    changes: compared.flatMap(([words, of]) => {
      const [first, second] = [of(early.step), of(late.step)]
      if (!isFigure(first) || !isFigure(second)) return []
      return [{ words, before: first, after: second, difference: differenceOf(second.x, first.x) }]
    }),
  }
}
