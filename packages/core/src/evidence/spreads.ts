import type { Revision, Value } from '@even-watt/contract'
import { pooledSpread } from '../meters'
import { remembering } from '../remember'
import { type Analysis, readingsOf, type RevisionRecord } from '../trials'

export interface ReadingValues {
  readonly entry: string
  readonly values: readonly Value[]
}

/** Pooled standard deviations of single readings, by `quantity|meter`. */
export type Spreads = ReadonlyMap<string, number>

declare module '../trials/analysis' {
  interface Analysis {
    readonly evidence: { readonly spreads: Spreads }
  }
}

export const spreadKey = (value: Value) => `${value.quantity}|${value.meter ?? value.grade}`

export function append<T>(lists: Map<string, T[]>, key: string, item: T): void {
  const list = lists.get(key)
  if (list) list.push(item)
  else lists.set(key, [item])
}

/** Pools the scatter of repeats over groups of readings of one thing, for each quantity and meter. */
export function spreadsOf(groups: Iterable<readonly ReadingValues[]>): Spreads {
  const pools = new Map<string, number[][]>()
  for (const readings of groups) {
    if (readings.length < 2) continue
    const here = new Map<string, number[]>()
    for (const reading of readings) {
      for (const value of reading.values) append(here, spreadKey(value), value.value)
    }
    for (const [key, numbers] of here) append(pools, key, numbers)
  }
  return new Map([...pools].map(([key, numbers]) => [key, pooledSpread(numbers)]))
}

/** Readings of one step of the ladder repeat each other, and those of one mode at no load. */
function repeatsIn(record: RevisionRecord): Iterable<ReadingValues[]> {
  const groups = new Map<string, ReadingValues[]>()
  for (const { id, reading } of readingsOf(record, 'ladder'))
    append(groups, `step ${reading.step}`, { entry: id, values: reading.values })
  for (const { id, reading } of readingsOf(record, 'no load'))
    append(groups, `no load ${reading.mode}`, { entry: id, values: reading.values })
  return groups.values()
}

const sameSpreads = remembering<Revision, Spreads>()

/** The scatter of single readings on one revision; the same object while it says the same. */
export function gatherEvidence({ record }: Analysis): Analysis['evidence'] {
  const spreads = spreadsOf(repeatsIn(record))
  return { spreads: sameSpreads(record.revision, [...spreads].flat(), () => spreads) }
}
