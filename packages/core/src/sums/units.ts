import { wattsInHorsepower } from '../entry'

/** Units in which quantities of the sheet are typed, with what turns them into the unit they are kept in (docs/method/sums.md). */
const kinds = {
  V: { V: 1, mV: 1e-3, kV: 1000, volt: 1, volts: 1 },
  A: { A: 1, mA: 1e-3, amp: 1, amps: 1 },
  W: { W: 1, mW: 1e-3, kW: 1000, watt: 1, watts: 1 },
  VA: { VA: 1, kVA: 1000 },
  /** Kept in Ω. */
  mΩ: { mΩ: 1e-3, Ω: 1, kΩ: 1000, mohm: 1e-3, ohm: 1, ohms: 1 },
  /** Kept as a fraction. */
  '%': { '%': 0.01, percent: 0.01 },
  Ah: { Ah: 1, mAh: 1e-3 },
  Wh: { Wh: 1, kWh: 1000 },
  h: { h: 1, hour: 1, hours: 1, min: 1 / 60, minutes: 1 / 60, s: 1 / 3600 },
  days: { days: 1, day: 1 },
  s: { s: 1, ms: 1e-3, min: 60 },
  m: { m: 1, cm: 0.01, mm: 1e-3, ft: 0.3048, in: 0.0254 },
  'mm²': { 'mm²': 1, mm2: 1, 'mm^2': 1, sqmm: 1 },
  /** Read by its own reader, for °F is no factor. */
  '°C': { '°C': 1, C: 1, '°F': 1 },
  '×': { '×': 1, x: 1, times: 1 },
  hp: { hp: 1, W: 1 / wattsInHorsepower, kW: 1000 / wattsInHorsepower },
  'kVA/hp': { 'kVA/hp': 1 },
  C: { C: 1 },
  µF: { µF: 1, uF: 1, mF: 1000, F: 1e6 },
  J: { J: 1 },
  kg: { kg: 1, g: 1e-3, lb: 0.45359237 },
  l: { l: 1, litres: 1 },
  'W/kg': { 'W/kg': 1 },
  'W/l': { 'W/l': 1 },
  money: { money: 1 },
} as const

export type Kind = keyof typeof kinds

/** What one of a unit is in the unit kept; undefined where a kind is not typed in it. */
export const unitOfKind = (kind: Kind, unit: string): number | undefined => {
  const units: Readonly<Record<string, number>> = kinds[kind]
  return units[unit]
}

/** Every unit that is understood. */
export const knownUnits: ReadonlySet<string> = new Set(
  Object.values(kinds).flatMap((units) => Object.keys(units)),
)

/** Units in which a kind may be typed, for a sentence. */
export const unitsOf = (kind: Kind): readonly string[] =>
  Object.keys(kinds[kind]).filter((unit) => !/^[a-z ]{3,}$/.test(unit) || unit === 'money')
