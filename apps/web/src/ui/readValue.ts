import type { Quantity } from '@even-watt/contract'
import { formatNumber, quantityData, shortened, typedNumber } from '@even-watt/core'
import { typedTemperature } from './units'

/** Typed in the unit shown, stored in SI: THD is typed in per cent. */
export const storedFactor = (quantity: Quantity) => (quantityData[quantity].unit === '%' ? 0.01 : 1)

/** A value in the unit shown; with the decimals it was typed to, where they are known. */
export function showValue(quantity: Quantity, value: number, decimals?: number): string {
  if (quantity === 'T') return typedTemperature(value)
  const shown = shortened(value / storedFactor(quantity), 10)
  return decimals === undefined ? typedNumber(shown) : formatNumber(shown, decimals)
}

/** Decimals of a plain number as typed, where zeros stand at its end that the number itself would lose. */
export function typedDecimals(text: string): { decimals?: number } {
  const decimals = /^[+-]?\d{1,9}[.,](\d{0,11}0)$/.exec(text.trim())?.[1]?.length
  return decimals === undefined ? {} : { decimals }
}
