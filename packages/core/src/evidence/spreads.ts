import type { Entry, EntryOf, Revision, Value } from '@even-watt/contract'
import { pooledSpread, scatterOf, type Scatter } from '../meters'
import { remembering } from '../remember'
import { readingsOf, type Analysis, type RevisionRecord } from '../trials'

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

type Scatters = ReadonlyMap<string, Scatter>
const sameScatters = remembering<Entry, Scatters>()

/** Readings that repeat each other, each quantity and meter by itself; worked again only when a reading is added. */
function scattersOf(readings: readonly EntryOf<'ladder' | 'no load'>[]): Scatters {
  const [first] = readings
  if (!first || readings.length < 2) return new Map()
  return sameScatters(first, readings, () => {
    const here = new Map<string, number[]>()
    for (const { reading } of readings)
      for (const value of reading.values) append(here, spreadKey(value), value.value)
    return new Map([...here].map(([key, numbers]) => [key, scatterOf(numbers)]))
  })
}

/** Pools the scatter of repeats for each quantity and meter: those of one step, and of one mode at no load. */
function spreadsOf(record: RevisionRecord): Spreads {
  const groups = new Map<string, EntryOf<'ladder' | 'no load'>[]>()
  for (const entry of readingsOf(record, 'ladder')) append(groups, entry.reading.step, entry)
  for (const entry of readingsOf(record, 'no load')) append(groups, entry.reading.mode, entry)
  const pools = new Map<string, Scatter[]>()
  for (const readings of groups.values())
    for (const [key, scatter] of scattersOf(readings)) append(pools, key, scatter)
  return new Map([...pools].map(([key, scatters]) => [key, twoDigits(pooledSpread(scatters))]))
}

/**
 * A spread to two digits: a third would be known from 5,000 repeats. So one repeat more on a long ladder seldom
 * changes it, and the steps that rest on it stay as they are.
 */
const twoDigits = (spread: number): number => Number(spread.toPrecision(2))

const sameSpreads = remembering<Revision, Spreads>()

/** The scatter of single readings on one revision; the same object while it says the same. */
export function gatherEvidence({ record }: Analysis): Analysis['evidence'] {
  const spreads = spreadsOf(record)
  return { spreads: sameSpreads(record.revision, [...spreads].flat(), () => spreads) }
}
