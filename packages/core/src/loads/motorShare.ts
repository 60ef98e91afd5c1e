import type { Load } from '@even-watt/contract'
import { wattsAt } from './law'

/** A load that was on beside a motor: W at its label volts, V, and its kind. */
export interface Beside extends Pick<Load, 'kind' | 'volts'> {
  readonly watts: number
}

/**
 * W that a motor takes of a total read at V: what the other loads take at that sagged voltage, by their own laws, is
 * taken out (docs/method/loads.md). Negative where the others already take more than was read.
 */
export const motorShare = (total: number, V: number, others: readonly Beside[]): number =>
  total - others.reduce((sum, { watts, volts, kind }) => sum + wattsAt(watts, volts, kind, V), 0)
