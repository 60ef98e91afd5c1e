import type { Limiter } from '@even-watt/contract'
import { attributeStep, type LostPart } from '../attribution'
import { decides, formatNumber, isFigure, say, sayFigure, type Figure } from '../figures'
import { atThreshold, efficiencyAt, hasFit, type StepFigures } from '../ladder'
import { expanded } from '../meters'
import { weakestLinks } from '../rigs'
import type { Analysis } from '../trials'
import { claimValue } from '../units'
import type { Attempt } from './attempt'

/** What ended a test before the claim could be shown, found in the readings themselves (docs/method/findings.md). */
export interface Limit {
  readonly limiter: Limiter
  readonly why: string
  readonly wouldShow: string
  readonly power: Figure
  readonly step: string
}

type Look = (attempt: Attempt, analysis: Analysis) => Omit<Limit, 'power' | 'step'> | undefined

/** The first attempt of which a look finds the limit. */
export function limitedBy(attempts: readonly Attempt[], analysis: Analysis, look: Look): Limit | undefined {
  for (const attempt of attempts) {
    const limit = look(attempt, analysis)
    if (limit) return { ...limit, power: attempt.power, step: attempt.step.step.id }
  }
  return undefined
}

/**
 * Tripped with more current than a fuse, breaker or BMS carries for that long: the rig's protection, not the unit, unless the
 * unit itself said overload or heat. A device that opens takes its input away, so that it may well say low voltage.
 */
export const tripsOnProtection: Look = ({ step, end, held, alarm, opened }, { record }) => {
  const I = step.read.I
  if (opened)
    return {
      limiter: 'protection',
      why: `The ${opened} opened.`,
      wouldShow: 'Protection and cable for this current would show it.',
    }
  if (end !== 'tripped' || alarm === 'overload' || alarm === 'heat' || !isFigure(I)) return undefined
  const over = weakestLinks(record.revision.rig, I.x.value).find(
    ({ kind, margin, allowed }) =>
      ['fuse', 'breaker', 'BMS'].includes(kind) &&
      margin !== undefined &&
      margin < 0 &&
      (allowed ?? 0) <= Math.max(held ?? Infinity, 1),
  )
  if (!over) return undefined
  return {
    limiter: 'protection',
    why: `${sayFigure(I)} is more than the ${over.name} carries (${say(over.continuous ?? 0, 'A')}).`,
    wouldShow: 'Protection and cable for this current would show it.',
  }
}

/**
 * The low-voltage alarm: the supply, or a joint in it without which the alarm would not have come. With an input that was
 * read well over where the unit says it warns, neither is at fault as far as anybody can tell.
 */
export const alarmsOnSupply: Look = ({ alarm, end, step, power }, analysis) => {
  if (alarm !== 'low voltage' && !(end === 'tripped' && atThreshold(step, analysis.record.revision.unit)))
    return undefined
  const { rig, unit } = analysis.record.revision
  const attribution = attributeStep(step, analysis.supply, rig)
  const threshold = alarmVoltage(analysis)
  const V_B = step.read.V_B
  const joint = attribution.culprit?.excess ? attribution.culprit : undefined
  const at = isFigure(V_B) ? ` with ${sayFigure(V_B)} at the terminals` : ''
  const what =
    alarm === 'low voltage'
      ? 'The low-voltage alarm came'
      : 'It stopped, with its input at the alarm or cutoff,'
  const alarmed = `${what} at ${sayFigure(power)}${at}.`
  const over = alarm === 'low voltage' ? wellOver(step, analysis) : undefined
  if (over)
    return {
      limiter: 'meter',
      why: `${alarmed} That is well over ${over}: it warned too early, or its input fell for a moment, or after it was read.`,
      wouldShow: 'The lowest V_B while it warns, held by a meter or captured, would tell which.',
    }
  if (
    joint &&
    isFigure(V_B) &&
    threshold !== undefined &&
    liftedBy(joint, V_B.x.value) > threshold &&
    excessVolts(joint) > leastShare * missingVolts(attribution.parts)
  ) {
    return {
      limiter: 'joint',
      why: `${alarmed} ${attribution.sentence}`,
      wouldShow: `Remaking the ${joint.name} would lift the terminals to about ${say(liftedBy(joint, V_B.x.value), 'V')} and show it.`,
    }
  }
  return {
    limiter: 'supply',
    why: `${alarmed} ${attribution.parts.length > 1 ? supplySentence(attribution.parts) : ''}`.trim(),
    wouldShow: stiffEnough(analysis, unit.claims) ?? 'A stiffer bank or shorter leads would show it.',
  }
}

/** Share over the volts at which a unit says it warns that ripple and sag may hide from a meter. */
const hidden = 0.05

/** What the input was well over when it warned: where the unit says that it warns, or else its nominal; undefined: neither. */
function wellOver({ read: { V_B } }: StepFigures, analysis: Analysis): string | undefined {
  if (!decides(V_B)) return undefined
  const surely = V_B.x.value - expanded(V_B.x)
  const threshold = alarmVoltage(analysis)
  const { inputVoltage } = analysis.record.revision.unit
  if (threshold !== undefined)
    return surely > threshold * (1 + hidden)
      ? `the ${say(threshold, 'V')} at which it says it warns`
      : undefined
  return inputVoltage !== undefined && surely > inputVoltage
    ? `its nominal ${say(inputVoltage, 'V')}`
    : undefined
}

/** A joint stopped a test only where it takes this share of all the volts missing: not one that only tips a tired bank. */
const leastShare = 0.2

/** V that a part takes above what a sound one would. */
const excessVolts = ({ excess, watts, volts }: LostPart): number =>
  excess && volts && watts.x.value > 0 ? (volts.x.value * excess.x.value) / watts.x.value : 0

const missingVolts = (parts: readonly LostPart[]): number =>
  parts.reduce((sum, { volts }) => sum + (volts?.x.value ?? 0), 0)

const liftedBy = (joint: LostPart, V_B: number): number => V_B + excessVolts(joint)

/** Where the volts below rest went, without the unit. */
function supplySentence(parts: readonly LostPart[]): string {
  const lost = parts.filter(({ volts }) => volts && volts.x.value > 0.005)
  const total = missingVolts(lost)
  const words = lost
    .sort((a, b) => (b.volts?.x.value ?? 0) - (a.volts?.x.value ?? 0))
    .slice(0, 3)
    .map(({ name, volts }) => `${formatNumber(volts?.x.value ?? 0, 2)} V in the ${name}`)
  return `Of the ${formatNumber(total, 2)} V missing there, ${words.join(', ')}.`
}

export const alarmVoltage = (analysis: Analysis): number | undefined => {
  const claim = analysis.record.revision.unit.claims.find(({ quantity }) => quantity === 'alarm voltage')
  return claim && claimValue(claim)
}

/** How stiff a supply must be to carry the continuous claim above the alarm: R = (E − V_a)·V_a/P_B. */
function stiffEnough(
  analysis: Analysis,
  claims: readonly Parameters<typeof claimValue>[0][],
): string | undefined {
  const rated = claims.find(({ quantity }) => quantity === 'continuous power')
  const threshold = alarmVoltage(analysis)
  const { E, R_bank, R_path } = analysis.supply.known
  if (!rated || threshold === undefined || !isFigure(E) || !isFigure(R_bank) || !isFigure(R_path))
    return undefined
  const P = claimValue(rated)
  const eta = hasFit(analysis.ladder.unitFit)
    ? efficiencyAt(analysis.ladder.unitFit, P).value
    : bestEfficiency(analysis)
  if (eta === undefined || E.x.value <= threshold) return undefined
  const most = ((E.x.value - threshold) * threshold * eta) / P
  const now = R_bank.x.value + R_path.x.value
  return `Bank and path together have ${formatNumber(now * 1000, 1)} mΩ; at most ${formatNumber(most * 1000, 1)} mΩ would show it.`
}

const bestEfficiency = (analysis: Analysis): number | undefined =>
  analysis.ladder.steps
    .map(({ eta_unit }) => eta_unit)
    .filter(isFigure)
    .reduce<number | undefined>((best, { x }) => Math.max(best ?? 0, x.value), undefined)

/** Stopped by hand, or by heat, while a joint took far more than it should. */
export const stoppedByJoint: Look = ({ step, end, alarm }, { supply, record }) => {
  if (end !== 'stopped by hand' && alarm !== 'heat') return undefined
  const attribution = attributeStep(step, supply, record.revision.rig)
  const joint = attribution.culprit
  if (!joint?.excess) return undefined
  const T = step.read.T
  const hot = isFigure(T) ? `, at ${sayFigure(T)}` : ''
  return {
    limiter: 'joint',
    why: `${end === 'stopped by hand' ? 'Stopped by hand' : 'The heat alarm came'}${hot}: ${attribution.sentence}`,
    wouldShow: `Remaking the ${joint.name} would show it.`,
  }
}
