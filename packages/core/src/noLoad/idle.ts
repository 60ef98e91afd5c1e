import type { Bank, MeterRange } from '@even-watt/contract'
import { scale, type Uncertain } from '../meters'
import { bankCapacity, bankNominal } from '../supply'
import { formatNumber, plain } from '../figures'

/** Usable energy of a bank, Wh: nominal volts × Ah × usable share; undefined while its capacity is not known. */
export function usableEnergy(bank: Bank): number | undefined {
  const capacity = bankCapacity(bank)
  return capacity === undefined ? undefined : bankNominal(bank) * capacity * (bank.usableShare ?? 1)
}

/** What an idle draw costs its owner. */
export interface IdleCost {
  readonly perDay: Uncertain
  /** Share of the usable bank in a 12 h night, a fraction; absent where its energy is not known. */
  readonly perNight?: Uncertain
  /** Days until the usable bank is empty; absent also where the draw is 0 or less. */
  readonly daysUntilFlat?: Uncertain
}

/** From idle watts (docs/method/no-load.md): Wh per day, share of the bank per night, days until flat. */
export function idleCost(idle: Uncertain, bank: Bank): IdleCost {
  const usable = usableEnergy(bank)
  const perDay = scale(idle, 24)
  if (usable === undefined) return { perDay }
  const perNight = scale(idle, 12 / usable)
  if (idle.value <= 0) return { perDay, perNight }
  const days = usable / (24 * idle.value)
  const relative = scale(idle, -days / idle.value)
  return { perDay, perNight, daysUntilFlat: { value: days, sources: relative.sources } }
}

/**
 * Why an idle current is weak (docs/method/no-load.md): under 20 counts, or inside the meter's offset limit
 * (the counts of its specification). Undefined when it is not.
 */
export function weakIdle(current: number, range: Pick<MeterRange, 'count' | 'counts'>): string | undefined {
  const counts = Math.abs(current) / range.count
  if (counts <= range.counts)
    return `Only ${formatNumber(counts, 0)} counts: inside the meter's own offset of ${plain(range.counts)} counts.`
  if (counts < 20)
    return `Only ${formatNumber(counts, 0)} counts: under 20. Take a lower range, a series ammeter or a shunt.`
  return undefined
}
