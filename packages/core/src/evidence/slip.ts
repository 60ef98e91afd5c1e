import type { Bank, Quantity, Unit } from '@even-watt/contract'
import { bankNominal } from './anotherBank'

/** What a bench is made for: what may stand there at all. */
export interface MadeFor {
  readonly unit: Pick<Unit, 'kind' | 'inputVoltage' | 'outputVoltage' | 'outputFrequency'>
  readonly bank: Pick<Bank, 'strings'>
  /** W of the label. */
  readonly rating: number | undefined
}

type Range = readonly [low: number, high: number]

/** Shares of its nominal volts between which any bank stands, tired and loaded or being charged. */
export const bankStands: Range = [0.7, 1.35]
/** The same of an outlet, whatever its wave. */
const ofOutput: Range = [0.5, 1.4]
/** Times its rating, that nothing takes for as long as a meter is read. */
const timesRating = 4

function rangeOf(quantity: Quantity, { unit, bank, rating }: MadeFor): Range | undefined {
  const nominal = unit.inputVoltage ?? bankNominal(bank)
  const around = (value: number, [low, high]: Range): Range | undefined =>
    value > 0 ? [low * value, high * value] : undefined
  const upTo = (most: number | undefined): Range | undefined => (most ? [-most, most] : undefined)
  const watts = rating && timesRating * rating
  const input = unit.kind === 'power station' ? undefined : around(nominal, bankStands)
  const share: Range = [-1.05, 1.5]
  const known: Partial<Record<Quantity, Range | undefined>> = {
    V_A: input,
    V_B: input,
    V_C: around(unit.outputVoltage, ofOutput),
    f: around(unit.outputFrequency, [0.7, 1.3]),
    PF: share,
    THD: share,
    P_C: upTo(watts),
    P_B: upTo(watts),
    I: nominal > 0 ? upTo(watts && watts / nominal) : undefined,
    I_C: upTo(watts && watts / unit.outputVoltage),
  }
  return known[quantity]
}

/**
 * What was meant by a value, in SI, that cannot stand on a bench: a point that slipped by one to three places (133.0 V on a bank of
 * 12 V; mV for V; kW for W). Undefined where it can stand, or where no slip explains it: then nobody is asked.
 */
export function slipIn(quantity: Quantity, value: number, madeFor: MadeFor): number | undefined {
  const range = rangeOf(quantity, madeFor)
  if (!range || value === 0) return undefined
  const stands = (one: number) => one >= range[0] && one <= range[1]
  if (stands(value)) return undefined
  return [0.1, 10, 0.01, 100, 0.001, 1000].map((times) => value * times).find(stands)
}

/** Least of a counter of energy, Wh, that anybody notes of a run: less is kilowatt-hours. */
const leastCounted = 2

/** Watt-hours meant by a counter that shows kilowatt-hours: so few that nobody would note them, and a thousand times that is no more than was stored. */
export const kilowattHours = (Wh: number, stored: number | undefined): number | undefined =>
  stored !== undefined && Wh > 0 && Wh < leastCounted && Wh * 1000 <= 1.5 * stored ? Wh * 1000 : undefined
