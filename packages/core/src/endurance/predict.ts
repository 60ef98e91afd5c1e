import { integrate, type Log, seriesFor } from '../logs'
import { isFigure } from '../figures'
import { standard } from '../meters'
import { bankDeliverable } from '../supply'
import type { Analysis } from '../trials'
import { claimOf, claimValue, isStation } from '../units'
import { ranEmpty } from './ended'

/** What a prediction rests on: Wh at the outlet, or Ah, that are usable in all. */
interface Usable {
  readonly of: 'Wh' | 'Ah'
  readonly amount: number
  /** Standard uncertainty. */
  readonly u: number
  readonly by: string
}

/** When a run-down would end, as a check-in told it. */
export interface Prediction {
  /** s from the beginning at which it was told. */
  readonly at: number
  readonly end: number
  /** At 95 %, s to either side. */
  readonly within: number
}

export interface Predicted {
  readonly usable: Usable
  readonly predictions: readonly Prediction[]
}

/** What a store gives of its cells’ label at the outlet, where nothing else is known, and how far off that is. */
const conversion = { share: 0.84, u: 0.06 }
/** A label of what comes out, and a bank’s capacity, as standard uncertainties. */
const labelU = 0.06
const bankU = 0.08
const againU = 0.025
/** Watts within which an earlier run-down is one at this load. */
const sameLoad = 0.15

const ampsOf = (log: Log) => seriesFor(log, 'I') ?? seriesFor(log, 'I_bank')

/** Mean watts at the outlet of a log that has ended: of what was read, else as it was meant. */
function wattsOf(log: Log): number | undefined {
  const { figure } = log.energies.E_C
  return isFigure(figure) && log.seconds > 0 ? (figure.x.value * 3600) / log.seconds : log.entry.reading.watts
}

/** What an earlier run-down at this load gave until it was empty, in what this log reads of itself. */
function givenBefore(log: Log, earlier: readonly Log[], watts: number | undefined): Usable | undefined {
  const [name, of] = seriesFor(log, 'P_C') ? (['E_C', 'Wh'] as const) : (['Q_B', 'Ah'] as const)
  const given = earlier.flatMap((one) => {
    const { figure } = one.energies[name]
    const mean = wattsOf(one)
    const alike = mean !== undefined && watts !== undefined && Math.abs(mean / watts - 1) < sameLoad
    return alike && ranEmpty(one) && isFigure(figure) ? [figure.x] : []
  })
  const last = given.at(-1)
  return (
    last && {
      of,
      amount: last.value,
      u: Math.hypot(standard(last), againU * last.value),
      by: 'an earlier run-down at this load',
    }
  )
}

/**
 * What is usable in all: as an earlier run-down at this load gave, else as the label has it, else the bank’s Ah at this
 * current (docs/method/endurance.md). Undefined while none is known, or nothing is read that it could be told by.
 */
function usableOf(
  log: Log,
  earlier: readonly Log[],
  { record }: Analysis,
  watts: number | undefined,
): Usable | undefined {
  const before = givenBefore(log, earlier, watts)
  if (before) return before
  const { unit, rig } = record.revision
  if (isStation(unit)) {
    const claim = claimOf(unit, 'energy')
    if (!claim || claim.unit === 'Ah') return undefined
    const outside = claim.means === 'at the outlet' || claim.means === 'after conversion'
    const { share, u } = outside ? { share: 1, u: labelU } : conversion
    return { of: 'Wh', amount: claimValue(claim) * share, u: claimValue(claim) * u, by: 'the label' }
  }
  const amps = ampsOf(log)
  if (!amps) return undefined
  const { integral } = amps
  const mean = integral.hours > 0 ? integral.value / integral.hours : amps.points[0]?.value
  const capacity = mean ? bankDeliverable(rig.bank, mean) : undefined
  // Run down to its cutoff it gives all, whatever share of it its owner means to use.
  return capacity === undefined
    ? undefined
    : { of: 'Ah', amount: capacity, u: bankU * capacity, by: 'the Ah of the bank at this current' }
}

/** Readings that the rate is taken from, and the share of the first under which it stands still. */
const lately = 4
const standsStill = 0.05

/** The end of a run-down as it was told at each of its readings, from what was used and what is usable in all. */
export function predictEnds(log: Log, earlier: readonly Log[], analysis: Analysis): Predicted | undefined {
  const { watts } = log.entry.reading
  const rates = seriesFor(log, 'P_C')
  const mean = rates ? rates.points.reduce((sum, { value }) => sum + value, 0) / rates.points.length : watts
  const usable = usableOf(log, earlier, analysis, mean)
  if (!usable) return undefined
  const series = usable.of === 'Wh' ? rates : ampsOf(log)
  const begun = log.entry.reading.charge ?? 1
  const until = log.ended?.at ?? Infinity
  const points = series?.points.filter(({ at }) => at <= until) ?? []
  const predictions = points.flatMap((point, i): Prediction[] => {
    if (!(point.at > 0)) return []
    const read = points.slice(0, i + 1)
    const first = read[0] as (typeof read)[number]
    const used = integrate([{ at: 0, value: first.value }, ...read]).value
    // While it stands still nothing is used: the rate is that at which it runs.
    const recent = read.filter(({ value }) => value > standsStill * first.value).slice(-lately)
    const rate = recent.reduce((sum, { value }) => sum + value, 0) / recent.length
    if (!(rate > 0)) return []
    const left = Math.max(0, begun * usable.amount - used)
    return [{ at: point.at, end: point.at + (left / rate) * 3600, within: (2 * usable.u * 3600) / rate }]
  })
  return { usable, predictions }
}
