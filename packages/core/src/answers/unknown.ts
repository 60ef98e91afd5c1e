import { isFigure } from '../figures'
import type { Analysis } from '../trials'

/**
 * Whether it must be said what wave the unit makes: neither its label nor anything that was read says so, and a meter that hangs at
 * the outlet stands a sine only. Without that nothing it reads may decide (docs/method/evidence.md).
 */
export function mustKnowWave({ record, evidence, captures, noLoad, ladder }: Analysis): boolean {
  const { unit, rig, meters } = record.revision
  if (unit.wave !== 'unstated' || evidence.wave !== 'unstated' || captures.seen.length) return false
  if ([noLoad.on.read.THD, ...ladder.steps.map(({ read }) => read.THD)].some(isFigure)) return false
  const atOutlet = rig.assignments.filter(({ quantity }) => ['V_C', 'I_C', 'P_C'].includes(quantity))
  return atOutlet.some(({ meter }) =>
    meters
      .find(({ id }) => id === meter)
      ?.ranges.some(
        ({ reads, standsSteppedWave }) =>
          !standsSteppedWave && ['AC voltage', 'AC current', 'active power'].includes(reads),
      ),
  )
}
