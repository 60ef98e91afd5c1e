import type { Load, Nameplate } from '@even-watt/contract'
import { plain } from '../figures'

/** Locked-rotor kVA for each horsepower, from and up to, by code letter (NEMA MG 1; docs/method/motors.md). */
const perHorsepower: Readonly<Record<NonNullable<Nameplate['code']>, readonly [number, number]>> = {
  A: [0, 3.15],
  B: [3.15, 3.55],
  C: [3.55, 4],
  D: [4, 4.5],
  E: [4.5, 5],
  F: [5, 5.6],
  G: [5.6, 6.3],
  H: [6.3, 7.1],
  J: [7.1, 8],
  K: [8, 9],
  L: [9, 10],
  M: [10, 11.2],
  N: [11.2, 12.5],
  P: [12.5, 14],
  R: [14, 16],
  S: [16, 18],
  T: [18, 20],
  U: [20, 22.4],
  V: [22.4, Infinity],
}

/**
 * Locked-rotor kVA for each horsepower by code letter, from and to; of V, which is open above, to a tenth more. Undefined for
 * what is no code letter.
 */
export function perHorsepowerOf(letter: string): readonly [number, number] | undefined {
  const found = Object.entries(perHorsepower).find(([code]) => code === letter)
  if (!found) return undefined
  const [, [from, to]] = found
  return [from, Number.isFinite(to) ? to : from * 1.1]
}

/** VA between which a start lies on a stiff supply; the upper end may be open. */
export interface Inrush {
  readonly from: number
  readonly to: number
  readonly by: string
  /** Nothing of its own says it: it is what machines of its kind usually ask for. */
  readonly isUsual?: true
}

/** Locked-rotor VA of a single-phase motor by its code letter; horsepower above 0. */
export function lockedRotor(
  code: NonNullable<Nameplate['code']>,
  horsepower: number,
): Pick<Inrush, 'from' | 'to'> {
  const [from, to] = perHorsepower[code]
  return { from: 1000 * from * horsepower, to: 1000 * to * horsepower }
}

/** Multiples of running current that motors of a kind take at first, where nothing is known of one. */
const usualMultiple: Partial<Record<Load['kind'], readonly [number, number]>> = {
  'induction motor': [4, 8],
  'brush motor': [2, 4],
  microwave: [1.5, 3],
}
/** Power factor of a motor whose own is not known. */
export const usualFactor = 0.75

/**
 * What a load's start asks for on a stiff supply, VA over its worst cycle, from what its shelf says of it: the code letter,
 * else running current by the inrush multiple, else the usual multiples of its kind (docs/method/motors.md). A soft starter
 * divides it. Undefined where nothing of it starts harder than it runs.
 */
export function predictedInrush({
  kind,
  volts,
  settings,
  powerFactor,
  inrush,
  nameplate,
  assist = 1,
}: Load): Inrush | undefined {
  const divided = (whole: Inrush): Inrush =>
    assist === 1
      ? whole
      : {
          ...whole,
          from: whole.from / assist,
          to: whole.to / assist,
          by: `${whole.by}, divided by ${plain(assist)} by its soft starter`,
        }
  const { code, horsepower, current } = nameplate ?? {}
  if (code && horsepower) return divided({ ...lockedRotor(code, horsepower), by: `code letter ${code}` })
  const watts = Math.max(...settings.map((setting) => setting.watts))
  const running = current === undefined ? watts / (powerFactor ?? usualFactor) : current * volts
  if (inrush !== undefined)
    return divided({ from: running * inrush, to: running * inrush, by: `${plain(inrush)} × running` })
  const usual = usualMultiple[kind]
  return (
    usual &&
    divided({
      from: running * usual[0],
      to: running * usual[1],
      by: `usual for its kind: ${plain(usual[0])} to ${plain(usual[1])} × running`,
      isUsual: true,
    })
  )
}
