import { integrate, type Log, seriesFor } from '../logs'
import { isFigure } from '../figures'
import { standard } from '../meters'
import { bankDeliverable } from '../supply'
import type { Analysis } from '../trials'
import { claimOf, claimValue } from '../units'
import { ranEmpty } from './ended'

/** What a prediction rests on: Wh at the outlet, or Ah, that are usable in all. */
export interface Usable {
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

/**
 * What is usable in all: as an earlier run-down at this load gave, else as the label has it, else the bank’s Ah at this
 * current (docs/method/endurance.md). Undefined while none is known.
 */
export function usableOf(
  log: Log,
  earlier: readonly Log[],
  analysis: Analysis,
  watts: number | undefined,
): Usable | undefined {
  const before = earlier.filter((one) => {
    const { figure } = one.energies.E_C
    const mean = isFigure(figure) && one.seconds > 0 ? (figure.x.value * 3600) / one.seconds : undefined
    return ranEmpty(one) && mean !== undefined && watts !== undefined && Math.abs(mean / watts - 1) < sameLoad
  })
  const last = before.at(-1)?.energies.E_C.figure
  if (last && isFigure(last))
    return {
      of: 'Wh',
      amount: last.x.value,
      u: Math.hypot(standard(last.x), againU * last.x.value),
      by: 'an earlier run-down at this load',
    }
  const { unit, rig } = analysis.record.revision
  const claim = claimOf(unit, 'energy')
  if (unit.kind === 'power station' && claim && claim.unit !== 'Ah') {
    const share = claim.means === 'at the outlet' || claim.means === 'after conversion' ? { share: 1, u: labelU } : conversion
    const amount = claimValue(claim) * share.share
    return { of: 'Wh', amount, u: claimValue(claim) * share.u, by: 'the label' }
  }
  const amps = seriesFor(log, 'I') ?? seriesFor(log, 'I_bank')
  if (!amps) return undefined
  const { integral } = amps
  const mean = integral.hours > 0 ? integral.value / integral.hours : amps.points[0]?.value
  const capacity = mean ? bankDeliverable(rig.bank, mean) : undefined
  if (capacity === undefined) return undefined
  // Run down to its cutoff it gives all, whatever share of it its owner means to use.
  return { of: 'Ah', amount: capacity, u: bankU * capacity, by: 'the Ah of the bank at this current' }
} // prettier-ignore

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
  const series = usable.of === 'Wh' ? rates : (seriesFor(log, 'I') ?? seriesFor(log, 'I_bank'))
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
} // prettier-ignore
