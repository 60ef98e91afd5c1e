import type { Value } from '@even-watt/contract'
import type { Refusal } from '../figures'
import type { Pooled } from '../meters'

export interface ReadingValues {
  readonly entry: string
  readonly values: readonly Value[]
  /** Why none of them may decide, whatever the gate says of each. */
  readonly refused?: Refusal | undefined
}

/** Pooled standard deviations of single readings, by `quantity|meter`. */
export type Spreads = ReadonlyMap<string, Pooled>

export const spreadKey = (value: Value) => `${value.quantity}|${value.meter ?? value.grade}`

export function append<T>(lists: Map<string, T[]>, key: string, item: T): void {
  const list = lists.get(key)
  if (list) list.push(item)
  else lists.set(key, [item])
}
