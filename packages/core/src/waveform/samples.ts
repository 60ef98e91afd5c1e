import type { ChannelQuantity } from '@even-watt/contract'

/** One channel in V or A. */
export interface SampledChannel {
  readonly quantity: ChannelQuantity
  readonly x: Float64Array
}

/** A record as it was sampled: as many samples in every channel. */
export interface Sampled {
  /** Mean step between samples, s. */
  readonly dt: number
  /** The times, s, where they lie unevenly: there are then no harmonics. */
  readonly times: Float64Array | undefined
  readonly channels: readonly SampledChannel[]
}

/** Highest harmonic asked for. */
const mostHarmonics = 50

/** Harmonics are told below the rate divided by this: nearer to half of it a filter's edge lies in them. */
const belowRateOver = 2.5

/** How many harmonics of a frequency can be told at a rate. */
export const harmonicsAt = (frequency: number, rate: number): number =>
  Math.max(0, Math.min(mostHarmonics, Math.floor(rate / belowRateOver / frequency)))
