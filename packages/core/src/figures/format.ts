import { expanded } from '../meters'
import type { Figure } from './figure'

/** Factor from storage (SI, fractions) to what is shown: efficiencies in %, resistances in mΩ, drops in mV. */
export const shownFactor = (unit: string): number =>
  unit === '%' ? 100 : unit === 'mΩ' || unit === 'mV' ? 1000 : 1

/** Decimals that show the given number of significant figures of x; never negative. */
export function decimals(x: number, significant: number): number {
  if (x === 0 || !Number.isFinite(x)) return 0
  return Math.min(12, Math.max(0, significant - 1 - Math.floor(Math.log10(Math.abs(x)))))
}

/** What is shown of a figure: a value, and a unit, which need not be the one it is stored in. */
type Showable = Pick<Figure, 'x'> & { readonly unit: string }

/** A number as a label prints it: what was typed, without the tail that binary fractions leave; six figures at most. */
export const plain = (value: number): string => String(Number(value.toPrecision(6))).replace('-', '−')

/** Plain number with a true minus sign. */
export function formatNumber(x: number, places: number): string {
  const text = Math.abs(x).toFixed(places)
  return x < 0 && Number(text) !== 0 ? `−${text}` : text
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
export function showFigure(figure: Showable, significant = 3): Shown {
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
export function showBare(figure: Showable, figures = 1): string {
  const factor = shownFactor(figure.unit)
  const U = expanded(figure.x) * factor
  return U > 0 ? formatNumber(figure.x.value * factor, decimals(U, figures)) : showFigure(figure).value
}

/** "93.1 ± 1.4 %" in one string, for sentences. */
export function sayFigure(figure: Showable, significant = 3): string {
  const { value, uncertainty } = showFigure(figure, significant)
  const unit = figure.unit ? ` ${figure.unit}` : ''
  return uncertainty ? `${value} ± ${uncertainty}${unit}` : `${value}${unit}`
}

/** Three significant figures and a unit, for values without uncertainty. */
export const say = (x: number, unit: string, significant = 3): string =>
  `${formatNumber(x, decimals(x, significant))}${unit ? ` ${unit}` : ''}`
