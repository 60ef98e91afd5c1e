import type { MeterRange, Readable, StoredMeter } from '@even-watt/contract'
import { averageRespondingError, halfWidth, rangeFor } from '@even-watt/core'
import type { Random } from '../random'
import type { SeenAs } from '../units/unit'

/** A meter with the error it was born with: one factor in [−1, 1] for each range. */
export interface Instrument {
  readonly meter: StoredMeter
  readonly factors: ReadonlyMap<string, number>
}

/** Draws the errors of a meter inside its specification. */
export const instrument = (meter: StoredMeter, random: Random): Instrument => ({
  meter,
  factors: new Map(meter.ranges.map((range) => [range.id, random.signed()])),
})

/** What a true value looks like to a range that responds its own way to the unit's wave (docs/method/meters.md). */
function seen(range: MeterRange, value: number, wave: SeenAs): number {
  if (wave.kind === 'sine' || range.response === undefined) return value
  if (range.response === 'average') return value * (1 + averageRespondingError(wave.delta))
  if (range.response === 'peak') return value / Math.sqrt(2 * wave.delta)
  return value * Math.sqrt(powerBelow(wave.delta, (range.bandwidth ?? 1e9) / wave.frequency))
}

/** Share of the power of a stepped wave up to harmonic n. */
function powerBelow(delta: number, n: number): number {
  let share = 0
  for (let h = 1; h <= Math.min(n, 2001); h += 2) {
    share += (8 / (h ** 2 * Math.PI ** 2 * delta)) * Math.sin((h * Math.PI * delta) / 2) ** 2
  }
  return Math.min(1, share)
}

/** What the meter shows: response, its own error, some noise (in counts), rounded to a count. */
export function show(
  { meter, factors }: Instrument,
  reads: Readable,
  truth: number,
  wave: SeenAs,
  noise: { random: Random; counts: number },
): number {
  const range = rangeFor(meter.ranges, reads, truth)
  if (!range) throw new Error(`${meter.name} does not read ${reads}.`)
  const value = seen(range, truth, wave)
  const error =
    (factors.get(range.id) ?? 0) * halfWidth(range, value) +
    noise.counts * range.count * noise.random.normal()
  const shown = reads === 'power factor' ? Math.min(range.upTo, value + error) : value + error
  const places = Math.max(0, Math.ceil(-Math.log10(range.count) - 1e-9))
  return Number((Math.round(shown / range.count) * range.count).toFixed(places))
}
