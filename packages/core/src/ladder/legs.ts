import type { LoadKind, Quantity } from '@even-watt/contract'
import { contested } from '../evidence'
import { derive, isFigure, whenKnown, type Derived } from '../figures'
import { add, combine, multiply, subtract } from '../meters'
import { regulationAgainstNominal } from './regulation'

type Read = Readonly<Record<Quantity, Derived>>

/** What was read on one leg of a split phase. */
interface LegFigures {
  readonly leg: 'L1' | 'L2'
  readonly V: Derived
  readonly I: Derived
  readonly P: Derived
  /** Its volts against those nominal of a leg. */
  readonly regulation: Derived
}

/** A split phase: each leg, both together, and what flows back between them (docs/method/ladder.md). */
export interface LegsFigures {
  readonly legs: readonly [LegFigures, LegFigures]
  readonly sum: Derived
  /** A in the neutral: the legs stand against each other, so what they share cancels there. */
  readonly neutral: Derived
  /** (P_L1 − P_L2) / sum: 0 balanced, ±100 % all on one leg. */
  readonly balance: Derived
  /** V_L1 − V_L2: what the unbalance does to the volts. */
  readonly between: Derived
}

const resistive = (kind: LoadKind) => kind === 'element' || kind === 'filament'

/**
 * The legs of a step, nominal volts of `leg` each; undefined where none was read. Watts of a leg are its wattmeter's, or V·I with elements and filaments. The
 * neutral carries the difference of the currents where both loads have power factor 1; else it is not known.
 */
export function legsOf(read: Read, kind: LoadKind, leg: number): LegsFigures | undefined {
  const legs = [legOf('L1', read, kind, leg), legOf('L2', read, kind, leg)] as const
  if (!legs.some(({ V, I, P }) => [V, I, P].some(isFigure))) return undefined
  const [one, two] = legs
  const sum = whenKnown([one.P, two.P], ([a, b]) =>
    derive('P_L1 + P_L2', 'W', 'P_L1 + P_L2', [a, b], add(a.x, b.x)),
  )
  return {
    legs,
    sum,
    neutral: resistive(kind)
      ? whenKnown([one.I, two.I], ([a, b]) => {
          const difference = subtract(a.x, b.x)
          return derive(
            'I_N',
            'A',
            '|I_L1 − I_L2|',
            [a, b],
            difference.value < 0 ? subtract(b.x, a.x) : difference,
          )
        })
      : { missing: 'The neutral current follows from the legs with element and filament loads only.' },
    balance: whenKnown([one.P, two.P], ([a, b]) => {
      const total = a.x.value + b.x.value
      // ∂/∂a of (a − b)/(a + b) is 2b/(a + b)².
      return derive(
        'balance',
        '%',
        '(P_L1 − P_L2) / (P_L1 + P_L2)',
        [a, b],
        combine((a.x.value - b.x.value) / total, [
          [a.x, (2 * b.x.value) / total ** 2],
          [b.x, (-2 * a.x.value) / total ** 2],
        ]),
      )
    }),
    between: whenKnown([one.V, two.V], ([a, b]) =>
      derive('V_L1 − V_L2', 'V', 'V_L1 − V_L2', [a, b], subtract(a.x, b.x)),
    ),
  }
}

function legOf(leg: 'L1' | 'L2', read: Read, kind: LoadKind, nominal: number): LegFigures {
  const [V, I] = [read[`V_${leg}`], read[`I_${leg}`]]
  const VA = whenKnown([V, I], ([v, i]) =>
    derive(`V_${leg}·I_${leg}`, 'W', `V_${leg}·I_${leg}`, [v, i], multiply(v.x, i.x)),
  )
  const metered = contested(read[`P_${leg}`], {
    figure: VA,
    words: 'volts times amps',
    atMost: !resistive(kind),
  })
  return {
    leg,
    V,
    I,
    P: isFigure(metered)
      ? metered
      : resistive(kind)
        ? isFigure(VA)
          ? { ...VA, symbol: `P_${leg}` }
          : VA
        : metered,
    regulation: whenKnown([V], ([v]) =>
      derive(
        `regulation of ${leg}`,
        '%',
        `(V_${leg} − ${nominal} V) / ${nominal} V`,
        [v],
        regulationAgainstNominal(v.x, nominal),
      ),
    ),
  }
}
