import type { Quantity } from '@even-watt/contract'

/** How a display compared with meters on one quantity: between which values, and how far off at worst. */
export interface DisplayCheck {
  readonly from: number
  readonly to: number
  /** Largest error found, in the unit of the quantity, and as a share of what was shown; the meter's own included. */
  readonly off: number
  readonly share: number
}

/** What a display is good for, by quantity; empty where it may not stand in. */
export type DisplayChecks = ReadonlyMap<Quantity, DisplayCheck>

/** Shown less read, with the expanded uncertainty of that. */
interface Compared {
  readonly quantity: Quantity
  readonly shown: number
  readonly deviation: number
  readonly U: number
}

/** Values this far beyond the checked ones still count as between them. */
const beyond = 0.1

/** What a display was found to be good for, by quantity (docs/method/evidence.md). */
export function checksOf(lines: readonly Compared[]): DisplayChecks {
  const checks = new Map<Quantity, DisplayCheck>()
  for (const { quantity, shown, deviation, U } of lines) {
    const known = checks.get(quantity)
    const off = Math.abs(deviation) + U
    checks.set(quantity, {
      from: Math.min(shown, known?.from ?? Infinity),
      to: Math.max(shown, known?.to ?? -Infinity),
      off: Math.max(off, known?.off ?? 0),
      share: Math.max(shown ? off / Math.abs(shown) : 0, known?.share ?? 0),
    })
  }
  return checks
}

/**
 * By how much a checked display may be wrong at a value, as a half-width; undefined where it was not checked near there.
 * Nobody knows whether it is off by an amount or by a share, so the larger counts.
 */
export function displayError(check: DisplayCheck | undefined, value: number): number | undefined {
  if (!check || value < check.from * (1 - beyond) || value > check.to * (1 + beyond)) return undefined
  return Math.max(check.off, check.share * Math.abs(value))
}
