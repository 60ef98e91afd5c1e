import type { Quantity } from '@even-watt/contract'

/** How a display compared with meters on one quantity: between which values, and how far off at worst. */
export interface DisplayCheck {
  readonly from: number
  readonly to: number
  /** Largest error found, in the unit of the quantity, and as a share of what was shown; the meter's own included. */
  readonly off: number
  readonly share: number
  /** What is taken off a figure that is shown: so much, and such a share of it; 0 where it is not corrected. */
  readonly takenOff: number
  readonly takenShare: number
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

/**
 * What a display was found to be good for, by quantity (docs/method/evidence.md); corrected, with what is left of its error once
 * its mean error is taken off.
 */
export function checksOf(lines: readonly Compared[], corrected = false): DisplayChecks {
  const quantities = [...new Set(lines.map(({ quantity }) => quantity))]
  return new Map(
    quantities.map((quantity) => {
      const own = lines.filter((line) => line.quantity === quantity)
      return [quantity, checkOf(own, corrected ? correctionOf(own) : none)]
    }),
  )
}

type Correction = Pick<DisplayCheck, 'takenOff' | 'takenShare'>
const none: Correction = { takenOff: 0, takenShare: 0 }

function checkOf(lines: readonly Compared[], correction: Correction): DisplayCheck {
  const shown = lines.map((line) => line.shown)
  const errors = lines.map((line) => leftOf(line, correction) + line.U)
  return {
    from: Math.min(...shown),
    to: Math.max(...shown),
    off: Math.max(...errors),
    share: Math.max(...errors.map((error, i) => (shown[i] ? error / Math.abs(shown[i]) : 0))),
    ...correction,
  }
}

const leftOf = ({ shown, deviation }: Compared, { takenOff, takenShare }: Correction): number =>
  Math.abs(deviation - takenOff - takenShare * shown)

/** Its mean error as an amount or as a share, whichever leaves less at worst; of a single check the share. */
function correctionOf(lines: readonly Compared[]): Correction {
  const mean = (of: (line: Compared) => number) =>
    lines.reduce((sum, line) => sum + of(line), 0) / lines.length
  const amount: Correction = { ...none, takenOff: mean(({ deviation }) => deviation) }
  const share: Correction = {
    ...none,
    takenShare: mean(({ deviation, shown }) => (shown ? deviation / shown : 0)),
  }
  const worst = (correction: Correction) => Math.max(...lines.map((line) => leftOf(line, correction)))
  return worst(share) <= worst(amount) ? share : amount
}

/** A figure of a checked display, corrected where that is wanted, and by how much it may then be wrong, as a half-width. */
export interface Shown {
  readonly value: number
  readonly half: number
}

/**
 * What a checked display is worth at a value; undefined where it was not checked near there. Nobody knows whether it is off by
 * an amount or by a share, so the larger counts.
 */
export function shownBy(check: DisplayCheck | undefined, value: number): Shown | undefined {
  if (!check || value < check.from * (1 - beyond) || value > check.to * (1 + beyond)) return undefined
  return {
    value: value - check.takenOff - check.takenShare * value,
    half: Math.max(check.off, check.share * Math.abs(value)),
  }
}
