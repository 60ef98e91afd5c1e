import { attributeStep, type Attribution, type LostPart } from '../attribution'
import type { Threshold } from '../facts'
import { isFigure } from '../figures'
import type { Analysis } from '../trials'
import type { Moment } from './moment'

/** Where the volts below rest went at a moment; nothing where it was not read as a step. */
export interface Losses {
  readonly attribution: Attribution | undefined
  /** Parts but the unit, with volts of their own, the largest first. */
  readonly parts: readonly LostPart[]
  /** V missing in all. */
  readonly missing: number
}

export function lossesAt({ step }: Moment, { supply, record }: Analysis): Losses {
  const attribution = step && attributeStep(step, supply, record.revision.rig)
  const parts = (attribution?.parts ?? [])
    .filter(({ volts }) => volts && volts.x.value > 0.005)
    .sort((a, b) => voltsOf(b) - voltsOf(a))
  return { attribution, parts, missing: parts.reduce((sum, part) => sum + voltsOf(part), 0) }
}

export const voltsOf = ({ volts }: LostPart): number => volts?.x.value ?? 0

/** V that a part takes above what a sound one would. */
const excessVolts = ({ excess, watts, volts }: LostPart): number =>
  excess && volts && watts.x.value > 0 ? (volts.x.value * excess.x.value) / watts.x.value : 0

/** A joint stopped a test only where it takes this share of all the volts missing: not one that only tips a tired bank. */
const leastShare = 0.2

/** A joint whose remaking would have lifted the terminals over where the unit warns, with the volts it would lift them to. */
export function liftingJoint(
  { attribution, missing }: Losses,
  { V_B }: Moment,
  threshold: Threshold | undefined,
): { readonly part: LostPart; readonly to: number } | undefined {
  const part = attribution?.culprit
  if (!part?.excess || part.kind !== 'joints' || !isFigure(V_B) || !threshold) return undefined
  const to = V_B.x.value + excessVolts(part)
  return to > threshold.volts && excessVolts(part) > leastShare * missing ? { part, to } : undefined
}

/** Whether leads and what is switched in them took more of the missing volts than the bank and the joints together. */
export function pathTookMost({ parts, missing }: Losses): boolean {
  const path = parts
    .filter(({ kind }) => kind === 'leads' || kind === 'devices')
    .reduce((sum, part) => sum + voltsOf(part), 0)
  return parts.some(({ kind }) => kind === 'bank') && path > missing / 2
}
