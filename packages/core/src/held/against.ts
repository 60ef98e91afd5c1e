import type { HeldReference, HeldWay } from '@even-watt/contract'
import { derive, isFigure, type Derived } from '../figures'
import { combine, subtract } from '../meters'

/** A figure held against one that it is naturally compared with (docs/method/ladder.md). */
export interface Held {
  readonly against: HeldReference
  readonly reference: Derived
  /** The figure less its reference, in its unit. */
  readonly difference: Derived
  /** The same of the reference; lacking where a share says nothing: of degrees, and of what is a share itself. */
  readonly percent?: Derived
  /** The figure as a share of the reference, where that is how one speaks of it: of a rating. */
  readonly share?: Derived
  /** The share says all: nobody asks what is left of a rating while nothing is connected. */
  readonly shareAlone?: true
}

/** A figure with all that it is held against. */
export interface HeldFigure {
  readonly words: string
  readonly figure: Derived
  readonly held: readonly Held[]
}

/** What a figure is held against: either is lacking where it was not read. */
export interface Reference {
  readonly against: HeldReference
  readonly reference: Derived
  readonly asShare?: 'with what is left' | 'alone'
}

/**
 * Holds a figure against each of its references: difference, per cent and share, with their uncertainties; what both share, such
 * as the calibration of the one meter that read them, is taken out (docs/method/meters.md). A reference of 0 gives no per cent.
 */
export const heldAgainst = (
  words: string,
  figure: Derived,
  references: readonly Reference[],
): HeldFigure => ({
  words,
  figure,
  held: references.map((one) => heldOne(figure, one)),
})

function heldOne(figure: Derived, { against, reference, asShare }: Reference): Held {
  const missing = [figure, reference].find((one) => !isFigure(one))
  if (missing || !isFigure(figure) || !isFigure(reference)) {
    const none: Derived = missing && !isFigure(missing) ? missing : { missing: 'Not read.' }
    return { against, reference, difference: none }
  }
  const { symbol, unit, x } = figure
  // Two of one name would stand for each other in the working.
  const other = reference.symbol === symbol ? { ...reference, symbol: `${symbol} (${against})` } : reference
  const both = [figure, other]
  const difference = derive(`Δ${symbol}`, unit, `${symbol} − ${other.symbol}`, both, subtract(x, other.x))
  if (unit === '%' || unit === '°C') return { against, reference, difference }
  const ratio = x.value / other.x.value
  const share = (less: 0 | 1) =>
    derive(
      `${less ? 'Δ' : ''}${symbol} of ${other.symbol}`,
      '%',
      less ? `(${symbol} − ${other.symbol}) / ${other.symbol}` : `${symbol} / ${other.symbol}`,
      both,
      combine(ratio - less, [
        [x, 1 / other.x.value],
        [other.x, -ratio / other.x.value],
      ]),
    )
  return {
    against,
    reference,
    difference,
    percent: share(1),
    ...(asShare ? { share: share(0) } : {}),
    ...(asShare === 'alone' ? { shareAlone: true as const } : {}),
  }
}

/** A figure held against something, told in one of its ways; a share says of what it is, the rest how far off. */
export const toldAs = ({ difference, percent, share }: Held, as: HeldWay): Derived =>
  as === 'difference' ? difference : ((as === 'per cent' ? percent : share) ?? noShare)

const noShare = { missing: 'Of what is a share itself, or has no nought, no share is told.' }
