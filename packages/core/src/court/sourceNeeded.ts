import { thresholdOf, usualEfficiency } from '../facts'
import { say } from '../figures'
import { claimedValue, claimValue } from '../units'
import type { Asked } from './asked'

const powers: ReadonlySet<string> = new Set(['continuous power', 'surge power', 'overload trip'])

/**
 * What a source must give to show a promise of watts: I = P/(η·V) at the volts at which the unit warns, η as its label has it or as
 * usual (docs/method/findings.md). Undefined for other promises, and of a unit that has no terminals.
 *
 * _Worked:_ 1400 W, alarm at 21.6 V, no efficiency stated: 76 A.
 */
export function sourceNeeded({ claim, analysis }: Asked): string | undefined {
  const { record } = analysis
  const { unit } = record.revision
  const volts = thresholdOf(record)?.volts
  if (!powers.has(claim.quantity) || claim.unit === '%' || volts === undefined) return undefined
  const eta = claimedValue(unit, 'efficiency') ?? usualEfficiency
  return `A source that gives about ${say(claimValue(claim) / (eta * volts), 'A', 2)} at ${say(volts, 'V')} would show it.`
}
