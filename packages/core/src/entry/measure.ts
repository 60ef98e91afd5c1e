import { parseNumber, type Parsed } from './number'

export const wattsInHorsepower = 745.6998715822702

/** Units accepted beside SI, with what turns them into SI (docs/method/evidence.md). */
const conversions = {
  length: { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, "'": 0.3048, in: 0.0254, '"': 0.0254 },
  mass: { kg: 1, g: 0.001, lb: 0.45359237, oz: 0.028349523125 },
  torque: {
    'n·m': 1,
    nm: 1,
    'lb·ft': 1.3558179483314004,
    'lb-ft': 1.3558179483314004,
    'lb·in': 0.1129848290276167,
    'lb-in': 0.1129848290276167,
    'lb in': 0.1129848290276167,
  },
  power: { w: 1, kw: 1000, hp: wattsInHorsepower },
} as const

export type Dimension = keyof typeof conversions

/** More digits than anything is known to, and few enough to be typed again. */
const tidy = (value: number): number => Number(value.toPrecision(12))

/**
 * "4 ft", "2.6 lb", "1,5 hp"; a plain number is in SI, or in the unit named as the usual one. The result is in m, kg, N·m or
 * W.
 */
export function parseMeasure(typed: string, dimension: Dimension, usual?: string): Parsed {
  const text = typed.trim().toLowerCase()
  const units: Record<string, number> = conversions[dimension]
  const unit = Object.keys(units)
    .sort((a, b) => b.length - a.length)
    .find((candidate) => text.endsWith(candidate) && /[\d.,\s]$/.test(text.slice(0, -candidate.length)))
  const number = parseNumber(unit ? text.slice(0, -unit.length) : text)
  if (!number.ok) {
    return {
      ok: false,
      why: `"${typed.trim().slice(0, 24)}" is not understood. Accepted units: ${Object.keys(units).join(', ')}.`,
    }
  }
  return { ok: true, value: tidy(number.value * (units[unit ?? usual?.toLowerCase() ?? ''] ?? 1)) }
}

/**
 * Shaft power as a motor's plate prints it, "0.5 hp" or "370 W", in W. A plain number is in the usual unit, unless no motor on a
 * bench has so little or so much: then it is asked about, never guessed.
 */
export function parseShaftPower(typed: string, usual: 'W' | 'hp'): Parsed {
  const read = parseMeasure(typed, 'power', usual)
  const bare = read.ok && parseNumber(typed).ok
  return bare && (read.value < leastShaft || read.value > mostShaft)
    ? { ok: false, why: `Is "${typed.trim()}" in W or hp? Add the unit.` }
    : read
}
/** W of the smallest and largest motors that anybody starts from a battery. */
const [leastShaft, mostShaft] = [8, 20_000]

/** A length, mass, torque or power in SI, in the unit named. */
export const inUnit = (value: number, dimension: Dimension, unit: string): number => {
  const factors: Record<string, number> = conversions[dimension]
  return value / (factors[unit.toLowerCase()] ?? 1)
}

export const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32

/** K for a difference of one °F. */
export const kelvinsInFahrenheit = 5 / 9

/** Whether a heading names °F: "case °F", "temp (F)", "T [F]", "fahrenheit". */
export const saysFahrenheit = (heading: string): boolean =>
  /°\s?f\b|[([]f[)\]]|\bdeg\s?f\b|fahrenheit|\btemp(?:erature)?[ _,]{1,3}f\b/i.test(heading.slice(0, 200))

/** Whether it names °C, in the same ways. */
export const saysCelsius = (heading: string): boolean =>
  /°\s?c\b|[([]c[)\]]|\bdeg\s?c\b|celsius|\btemp(?:erature)?[ _,]{1,3}c\b/i.test(heading.slice(0, 200))

/** Temperature as typed, "104 °F" or "40", in °C; a plain number is in the usual unit. */
export function parseTemperature(typed: string, usual: '°C' | '°F' = '°C'): Parsed {
  const text = typed.trim().toLowerCase()
  const fahrenheit = text.endsWith('f') || (usual === '°F' && !text.endsWith('c'))
  // Cut step by step: a pattern that looks for what may stand between goes over it again and again.
  const bare = /[fc]$/.test(text) ? text.slice(0, -1).trimEnd() : text
  const number = parseNumber(bare.endsWith('°') ? bare.slice(0, -1) : bare)
  if (!number.ok || !fahrenheit) return number
  return { ok: true, value: tidy(((number.value - 32) * 5) / 9) }
}
