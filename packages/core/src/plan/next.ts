import type { LadderPlanned, LoadKind, LoadUse, StoredLoad } from '@even-watt/contract'
import { isFigure } from '../figures'
import type { StepFigures } from '../ladder'
import { tolerance } from './question'

const sameUses = (a: readonly LoadUse[], b: readonly LoadUse[]): boolean =>
  a.length === b.length && a.every((use) => b.some((other) => other.setting === use.setting))

/** The planned steps that no step of the ladder has shown yet: neither with these loads nor on this target. */
export function stillPlanned(
  plan: LadderPlanned,
  steps: readonly StepFigures[],
): { step: LadderPlanned['steps'][number]; index: number }[] {
  return plan.steps.flatMap((step, index) => {
    const shown = steps.some(({ step: taken, P_C }) => {
      const uses = taken.readings.at(-1)?.reading.uses
      if (uses && sameUses(uses, step.uses)) return true
      return isFigure(P_C) && Math.abs(P_C.x.value - step.target) <= tolerance * step.target
    })
    return shown || !step.uses.length ? [] : [{ step, index }]
  })
}

const resistive: readonly LoadKind[] = ['element', 'filament']

/** The one kind of all loads of a step; elements and lamps together count as elements, other company is mixed. */
export function kindOfUses(loads: readonly StoredLoad[], uses: readonly LoadUse[]): LoadKind {
  const kinds = new Set(uses.flatMap((use) => loads.find(({ id }) => id === use.load)?.kind ?? []))
  const [only] = kinds
  if (kinds.size === 1 && only) return only
  return kinds.size > 1 && [...kinds].every((kind) => resistive.includes(kind)) ? 'element' : 'mixed'
}
