import type { Rig } from '@even-watt/contract'
import { derive, whenKnown, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { subtract, sumOf } from '../meters'
import type { LostPart } from './lostPart'
import type { SupplyEvidence } from './measuredSupply'
import { pathParts } from './pathParts'

/** One of the two places where the path loses watts, as a picture of the whole path draws it. */
export interface PathLoss {
  /** "leads, fuse, shunt", "negative lug". */
  readonly words: string
  readonly watts: Derived
}

/**
 * A step's path losses in two: what its leads and devices take, as the split of the step has them
 * (docs/method/attribution.md), and all the rest of what was lost between the posts and the unit, which is its joints.
 * Leads that should take more than was lost leave the joints nothing.
 */
export function pathLosses(
  step: StepFigures,
  evidence: SupplyEvidence,
  rig: Rig,
): { readonly leads: PathLoss; readonly joints: PathLoss } {
  const parts = pathParts(step, evidence, rig)
  const devices = parts.filter(({ kind, element }) => kind === 'devices' && !element)
  const blamed = parts.filter(({ kind, excess, element }) => kind === 'joints' && excess && element)
  const leads = sumOfParts(parts.filter(({ kind }) => kind !== 'joints'))
  const names = (of: readonly LostPart[]) => of.map(({ name }) => name).join(' and ')
  return {
    leads: {
      words: [...(rig.leads === 'not known' ? [] : ['leads']), ...devices.map(({ name }) => name)].join(', '),
      watts: leads,
    },
    joints: {
      words:
        rig.leads === 'not known'
          ? 'leads and joints'
          : blamed.length
            ? `joints (${names(blamed)})`
            : 'joints',
      watts: whenKnown([step.P_path, leads], ([path, taken]) =>
        derive('P_joints', 'W', 'P_path − P_leads', [path, taken], subtract(path.x, taken.x)),
      ),
    },
  }
}

function sumOfParts(parts: readonly LostPart[]): Derived {
  if (!parts.length) return { missing: 'Volts at A and B and the current tell what the leads take.' }
  const inputs = parts.map(({ watts }) => watts)
  const formula = inputs.map(({ symbol }) => symbol).join(' + ')
  return derive('P_leads', 'W', formula, inputs, sumOf(inputs.map(({ x }) => x)))
}
