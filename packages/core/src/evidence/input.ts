import type { Quantity, Rig } from '@even-watt/contract'
import {
  decides,
  derive,
  formatNumber,
  isFigure,
  sayDuration,
  sayFigure,
  type Derived,
  type Figure,
} from '../figures'
import { contradict, divide, expanded, normalisedError, scale } from '../meters'
import { bankCarriesAll } from './conductor'

type Read = Readonly<Record<Quantity, Derived>>

/** s that a load was held or a counter ran, the mean of those readings that say it; undefined where none does. */
export function meanHeld(
  readings: readonly { reading: { held?: number | undefined } }[],
): number | undefined {
  const held = readings.flatMap(({ reading }) => reading.held ?? [])
  return held.length ? held.reduce((sum, seconds) => sum + seconds, 0) / held.length : undefined
}

const secondsAnHour = 3600

/**
 * Input amps: the ammeter's; else the bank's, where the bank alone feeds the unit; else what a DC wattmeter's watts make of
 * the volts; else amp-hours over the time they were counted (docs/method/ladder.md).
 */
export function inputCurrent(
  { I, I_bank, P_B, V_B, Q_B }: Read,
  rig: Rig,
  held: number | undefined,
): Derived {
  if (isFigure(I)) return I
  if (isFigure(I_bank) && bankCarriesAll(rig))
    return derive('I', 'A', 'I_bank', [I_bank], I_bank.x, ['Nothing but the bank feeds the unit.'])
  if (isFigure(P_B) && isFigure(V_B))
    return derive('I', 'A', 'P_B / V_B', [P_B, V_B], divide(P_B.x, V_B.x), [
      'No ammeter: from the DC wattmeter.',
    ])
  if (isFigure(Q_B) && held)
    return derive('I', 'A', 'Q_B / t', [Q_B], scale(Q_B.x, secondsAnHour / held), [
      `Amp-hours counted over ${sayDuration(held)}.`,
    ])
  return I
}

/**
 * Watts at the terminals: of a DC wattmeter and V_B·I the better known, a contradiction noted; where neither was read, the
 * watt-hours over the time they were counted (docs/method/ladder.md).
 */
export function terminalWatts({ P_B, E_B }: Read, held: number | undefined, product: Derived): Derived {
  const metered = isFigure(P_B) ? [P_B] : []
  const worked = isFigure(product) && !product.working.inputs.some(dependsOn(P_B)) ? [product] : []
  const [best, other] = [...metered, ...worked].sort(
    (a, b) => Number(decides(b)) - Number(decides(a)) || expanded(a.x) - expanded(b.x),
  )
  if (!best)
    return isFigure(E_B) && held
      ? derive('P_B', 'W', 'E_B / t', [E_B], scale(E_B.x, secondsAnHour / held), [
          `Watt-hours counted over ${sayDuration(held)}.`,
        ])
      : product
  if (!other || !contradict(best.x, other.x)) return best
  const note = `${other.working.formula} contradicts it (E_n ${formatNumber(normalisedError(best.x, other.x), 1)}).`
  return { ...best, working: { ...best.working, notes: [...best.working.notes, note] } }
}

/** Times the output that no unit takes under load: a counter that says more was not zeroed, or its time is wrong. */
const mostInput = 5

const counters: ReadonlySet<string> = new Set(['E_B', 'Q_B'])
const isCounted = ({ symbol, working }: Figure): boolean =>
  counters.has(symbol) || working.inputs.some(isCounted)

/**
 * Input watts that rest on a counter of Ah or Wh, refused where they are more than five times the watts that came out: they
 * decide nothing then.
 */
export function asCounted(P_B: Derived, P_C: Derived): Derived {
  if (!isFigure(P_B) || !isFigure(P_C) || !isCounted(P_B) || P_B.refused) return P_B
  if (!(P_C.x.value > 0) || P_B.x.value <= mostInput * P_C.x.value) return P_B
  return {
    ...P_B,
    refused: {
      why: `the counter makes ${sayFigure(P_B)} of it, for ${sayFigure(P_C)} at the outlet.`,
      todo: 'Zero the counter when the load goes on, and note for how long it was held.',
    },
  }
}

const dependsOn =
  (on: Derived) =>
  (figure: Figure): boolean =>
    figure === on || figure.working.inputs.some(dependsOn(on))
