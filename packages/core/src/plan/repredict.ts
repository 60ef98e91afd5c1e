import type { LadderPlanned } from '@even-watt/contract'
import type { Analysis } from '../trials'
import { expectedVoltage, setOf, type Shelf } from './fromTrial'
import { itemsOf, powerOf } from './question'

/**
 * The plan with what each step is now expected to take: at the output voltage that the unit has shown so far. Steps
 * with loads that are no longer on the shelf keep what they were planned with.
 */
export function repredicted(plan: LadderPlanned, analysis: Analysis, shelf: Shelf): LadderPlanned {
  const voltage = expectedVoltage(analysis)
  return {
    ...plan,
    steps: plan.steps.map((step) => {
      const set = setOf(shelf, step.uses)
      if (!step.uses.length || itemsOf(set) !== step.uses.length) return step
      return { ...step, expected: powerOf({ loads: shelf.question, voltage }, set) }
    }),
  }
}
