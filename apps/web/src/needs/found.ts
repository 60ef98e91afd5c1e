import type { Compared, UnitForNeed } from '@even-watt/core'

/** Every unit that was tested here, held against what an owner needs. */
export type Found = readonly { readonly one: Compared; readonly fit: UnitForNeed }[]
