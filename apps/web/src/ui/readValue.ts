import type { Quantity } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'

/** Typed in the unit shown, stored in SI: THD is typed in per cent. */
export const storedFactor = (quantity: Quantity) => (quantityData[quantity].unit === '%' ? 0.01 : 1)

export const showValue = (quantity: Quantity, value: number) =>
  String(Number((value / storedFactor(quantity)).toPrecision(10)))
