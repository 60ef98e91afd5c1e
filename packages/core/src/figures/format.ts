import { fahrenheit } from '../entry/measure'
import { expanded } from '../meters'
import type { Figure } from './figure'
import { writing } from './written'

/** Factor from storage (SI, fractions) to what is shown: efficiencies in %, resistances in mΩ, drops in mV. */
export const shownFactor = (unit: string): number =>
  unit === '%' ? 100 : unit === 'mΩ' || unit === 'mV' ? 1000 : 1

/** More decimals nobody reads off a bench, in the units that figures are shown in. */
const mostDecimals = 6

/** Decimals that show the given number of significant figures of x; never negative. What is too small to be shown is 0. */
export function decimals(x: number, significant: number): number {
  if (Math.abs(x) < 10 ** -mostDecimals || !Number.isFinite(x)) return 0
  return Math.min(mostDecimals, Math.max(0, significant - 1 - Math.floor(Math.log10(Math.abs(x)))))
}

/** What is shown of a figure: a value, and a unit, which need not be the one it is stored in. */
type Showable = Pick<Figure, 'x'> & { readonly unit: string }

/** A number as a label prints it: what was typed, without the tail that binary fractions leave; six figures at most. */
export const plain = (value: number): string => marked(String(shortened(value, 6)).replace('-', '−'))

/** Plain number to so many decimals, with a true minus sign. */
export function formatNumber(x: number, places: number): string {
  const text = Math.abs(x).toFixed(places)
  return marked(x < 0 && Number(text) !== 0 ? `−${text}` : text)
}

/** A number as a person would type it, for a field: with the decimal mark of the bench, and nothing of it lost. */
export const typedNumber = (x: number): string => marked(String(shortened(x, 12)))

/** A sentence or a name with its first letter large. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

const marked = (text: string): string => (writing().decimal === '.' ? text : text.replace('.', ','))

/** A figure in the unit that the bench reads it in. */
export function inUnits(figure: Showable): Showable {
  if (figure.unit !== '°C' || writing().temperature === '°C') return figure
  const sources = new Map([...figure.x.sources].map(([source, u]) => [source, (u * 9) / 5]))
  return { x: { value: fahrenheit(figure.x.value), sources }, unit: '°F' }
}

export interface Shown {
  readonly value: string
  /** Expanded uncertainty with two significant figures; absent for exact values. */
  readonly uncertainty?: string
}

/**
 * The value to the decimals its expanded uncertainty allows (two figures of it), or to three significant
 * figures (or as many as asked for) when it has none.
 */
export function showFigure(stored: Showable, significant = 3): Shown {
  const figure = inUnits(stored)
  const factor = shownFactor(figure.unit)
  const value = figure.x.value * factor
  const U = expanded(figure.x) * factor
  // What is left of rounding in the machine is no uncertainty.
  if (!(U > 1e-9 * Math.abs(value))) return { value: formatNumber(value, decimals(value, significant)) }
  const places = decimals(U, 2)
  return { value: formatNumber(value, places), uncertainty: formatNumber(U, places) }
}

/**
 * The value alone, for tables that leave the uncertainty to the working: to as many figures of its uncertainty as
 * asked for.
 */
export function showBare(stored: Showable, figures = 1): string {
  const figure = inUnits(stored)
  const factor = shownFactor(figure.unit)
  const U = expanded(figure.x) * factor
  return U > 0 ? formatNumber(figure.x.value * factor, decimals(U, figures)) : showFigure(figure).value
}

/** "93.1 ± 1.4 %" in one string, for sentences. */
export function sayFigure(stored: Showable, significant = 3): string {
  const figure = inUnits(stored)
  const { value, uncertainty } = showFigure(figure, significant)
  const unit = figure.unit ? ` ${figure.unit}` : ''
  return uncertainty ? `${value} ± ${uncertainty}${unit}` : `${value}${unit}`
}

/** Three significant figures and a unit, for values without uncertainty. */
export function say(x: number, unit: string, significant = 3): string {
  if (unit === '°C' && writing().temperature === '°F') return say(fahrenheit(x), '°F', significant)
  return `${formatNumber(x, decimals(x, significant))}${unit ? ` ${unit}` : ''}`
}

/** A number to so many digits: to be worked with or typed again, not yet to be shown. */
export const shortened = (x: number, digits: number): number => Number(x.toPrecision(digits))
