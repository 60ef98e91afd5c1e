import type { Gauge } from '@even-watt/contract'
import { awgArea, formatAwg, formatGauge, nearestAwg } from '../conductors'
import { fahrenheit, inUnit } from '../entry/measure'
import { formatNumber, plain, say } from './format'
import { writing } from './written'

const rounded = (x: number, significant: number) => plain(Number(x.toPrecision(significant)))

/** "1.2 m", "3.94 ft": a length along the bench. */
export const sayLength = (metres: number): string => {
  const { length } = writing()
  return `${rounded(inUnit(metres, 'length', length), length === 'm' ? 6 : 3)} ${length}`
}

/** "340 × 210 × 95 mm", "13.4 × 8.3 × 3.7 in": the sides of a thing, in m. */
export function saySize(sides: readonly number[]): string {
  const [unit, places] = writing().length === 'm' ? (['mm', 0] as const) : (['in', 1] as const)
  return `${sides.map((side) => formatNumber(inUnit(side, 'length', unit), places)).join(' × ')} ${unit}`
}

/** "4.1 kg", "9.04 lb". */
export const sayMass = (kilograms: number): string => {
  const { mass } = writing()
  return `${rounded(inUnit(kilograms, 'mass', mass), mass === 'kg' ? 6 : 3)} ${mass}`
}

/** "8 N·m", "70.8 lb·in": no wrench is read closer. */
export const sayTorque = (newtonMetres: number): string => {
  const { torque } = writing()
  return `${rounded(inUnit(newtonMetres, 'torque', torque), 3)} ${torque}`
}

/** °C in the degrees that the bench reads. */
export const degrees = (celsius: number): number =>
  writing().temperature === '°F' ? fahrenheit(celsius) : celsius

/** "41 °C", "106 °F": in whole degrees, or to a tenth where it was stated so. */
export const sayTemperature = (celsius: number, places: 0 | 1 = 0): string =>
  `${plain(Number(degrees(celsius).toFixed(places)))} ${writing().temperature}`

/** "26 K", "47 °F": by how much one thing is warmer than another, in K. */
export const sayRise = (kelvins: number): string =>
  writing().temperature === '°F'
    ? `${formatNumber((kelvins * 9) / 5, 0)} °F`
    : `${formatNumber(kelvins, 0)} K`

/** As it is bought, and about what that is where the bench reads the other sizes: "4 AWG (21.2 mm²)", "16 mm² (about 5 AWG)". */
export function sayCableSize(gauge: Gauge): string {
  const bought = gauge.unit === 'AWG' ? formatGauge(gauge) : `${plain(gauge.area)} mm²`
  if (gauge.unit === writing().gauge) return bought
  if (gauge.unit === 'AWG') return `${bought} (${say(awgArea(gauge.number), 'mm²')})`
  const number = nearestAwg(gauge.area)
  return `${bought} (${number < thickestAwg ? `more than ${formatAwg(thickestAwg)}` : `about ${formatAwg(number)}`} AWG)`
}

/** 4/0: what is thicker has no number. */
const thickestAwg = -3
