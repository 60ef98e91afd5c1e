import type { Unit } from '@even-watt/contract'
import { tableAmpacity } from '../conductors'
import { say, sayCableSize } from '../figures'
import { claimedValue, ratedPower } from './claims'

/** Efficiency taken where the label promises none. */
const usualEfficiency = 0.9
/** Share of nominal volts at which a unit usually gives its alarm, where the label does not say. */
const usualAlarm = 0.9

export interface IncludedLeads {
  /** A at full power and the lowest input volts it must work at, mean of a cycle. */
  readonly current: number
  /** V that the current is taken at. */
  readonly volts: number
  readonly efficiency: number
  /** A that the leads carry in free air at 30 °C, with insulation of 105 °C: the most that can be said for them. */
  readonly carries: number | undefined
  /** What does not fit, in sentences; none: they do. */
  readonly faults: readonly string[]
  /** The sentence for leads that fit. */
  readonly fits: string
}

/**
 * Leads and fuse from the box against the continuous power on the label: I = P/(V·η) at the lowest input volts, against
 * the table's ampacity without the margin that a permanent build wants. Undefined: the unit brings no leads, has no DC
 * input, or promises no power. See docs/method/units.md.
 */
export function includedLeads(
  unit: Pick<Unit, 'leads' | 'claims' | 'inputVoltage'>,
): IncludedLeads | undefined {
  const power = ratedPower(unit)
  if (!unit.leads || unit.inputVoltage === undefined || power === undefined) return undefined
  const { gauge, fuse } = unit.leads
  const alarm = claimedValue(unit, 'alarm voltage')
  const stated = claimedValue(unit, 'efficiency')
  const [volts, efficiency] = [alarm ?? usualAlarm * unit.inputVoltage, stated ?? usualEfficiency]
  const assumed = [
    ...(alarm === undefined ? [say(volts, 'V')] : []),
    ...(stated === undefined ? [say(100 * efficiency, '%')] : []),
  ]
  const assuming = assumed.length ? ` (${assumed.join(' and ')} assumed)` : ''
  const current = power / (volts * efficiency)
  const carries = tableAmpacity(gauge)
  const asked = `${say(current, 'A')} that ${say(power, 'W')} takes at ${say(volts, 'V')}${assuming}`
  const short = (amps: number) =>
    `${say(current - amps, 'A')} less than the ${asked}: ${say((current - amps) * volts * efficiency, 'W')} of the promise cannot be shown on`
  const faults = [
    ...(carries === undefined
      ? [`Leads of ${sayCableSize(gauge)} are smaller than any table for such currents.`]
      : carries < current
        ? [`The ${sayCableSize(gauge)} leads carry ${say(carries, 'A')} at best, ${short(carries)} them.`]
        : []),
    ...(fuse !== undefined && fuse < current
      ? [`The fuse that comes with it, ${say(fuse, 'A')}, carries ${short(fuse)} it.`]
      : []),
    ...(fuse !== undefined && carries !== undefined && fuse > carries
      ? [
          `The fuse that comes with it, ${say(fuse, 'A')}, does not protect the leads: they carry ${say(carries, 'A')} at best.`,
        ]
      : []),
  ]
  return {
    current,
    volts,
    efficiency,
    carries,
    faults,
    fits: `The ${sayCableSize(gauge)} leads carry ${carries === undefined ? 'too little' : say(carries, 'A')} at best; ${asked} is within that.`,
  }
}
