import type { Quantity, StoredMeter, Value } from '@even-watt/contract'
import { gradeRank, type Refusal } from '../figures'
import {
  exact,
  expanded,
  flicker,
  measured,
  methodSource,
  rectangular,
  repeatSource,
  type Pooled,
  uncertain,
  type Uncertain,
} from '../meters'
import { shownBy, type DisplayChecks } from './displayCheck'
import type { Ground } from './ground'
import { rangeOf } from './rangeOf'
import { append, spreadKey, type ReadingValues, type Spreads } from './readingValues'

/** A value and the entry it was captured in. */
export interface Found {
  readonly entry: string
  readonly value: Value
  readonly refused?: Refusal | undefined
}

/** One way in which a quantity was read: on one meter and range, and let in or not. */
export interface Candidate {
  readonly meter: StoredMeter | undefined
  readonly x: Uncertain
  readonly refused: Refusal | undefined
  readonly grade: Value['grade']
  readonly entries: readonly string[]
}

/** Every value of some readings, by its quantity. */
export function foundIn(readings: readonly ReadingValues[]): ReadonlyMap<Quantity, readonly Found[]> {
  const found = new Map<Quantity, Found[]>()
  for (const { entry, values, refused } of readings)
    for (const value of values) append(found, value.quantity, { entry, value, refused })
  return found
}

/**
 * The ways in which one quantity was read, the one to use first: let in before refused, the better grade, the smaller
 * expanded uncertainty (docs/method/meters.md). Repeats on one meter and range are averaged.
 */
export function candidatesOf(
  found: readonly Found[],
  { revision, gate, checks }: Ground,
  spreads: Spreads,
  where: string,
): Candidate[] {
  const groups = new Map<string, { refused: Refusal | undefined; items: Found[] }>()
  for (const item of found) {
    const refused = gate(item.value, item.entry) ?? item.refused
    const key = `${spreadKey(item.value)}|${item.value.range ?? ''}|${refused?.why ?? ''}`
    const group = groups.get(key) ?? { refused, items: [] }
    groups.set(key, group)
    group.items.push(item)
  }
  const candidates = [...groups.values()].flatMap(({ refused, items }): Candidate[] => {
    const [sample] = items
    if (!sample) return []
    const meter = revision.meters.find((candidate) => candidate.id === sample.value.meter)
    const numbers = items.map((item) => item.value.value)
    const pooled = spreads.get(spreadKey(sample.value))
    return [
      {
        meter,
        x:
          sample.value.grade === 'display'
            ? shownValue(sample.value, numbers, checks, where)
            : valueOf(sample.value, numbers, meter, pooled, where),
        refused,
        grade: sample.value.grade,
        entries: items.map((item) => item.entry),
      },
    ]
  })
  return candidates.sort(
    (a, b) =>
      Number(!!a.refused) - Number(!!b.refused) ||
      gradeRank(a.grade) - gradeRank(b.grade) ||
      uncertaintyOf(a) - uncertaintyOf(b),
  )
}

const uncertaintyOf = (candidate: Candidate) => (candidate.meter ? expanded(candidate.x) : Infinity)

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** What a display showed; checked, with the error it was found to have, which is the same one at every reading. */
function shownValue(
  { quantity }: Value,
  values: readonly number[],
  checks: DisplayChecks,
  where: string,
): Uncertain {
  const mean = meanOf(values)
  const shown = shownBy(checks.get(quantity), mean)
  const scope = where.slice(where.indexOf('|') + 1)
  return shown === undefined
    ? exact(mean)
    : uncertain(shown.value, methodSource(`display of ${quantity}`, scope), rectangular(shown.half))
}

function valueOf(
  sample: Value,
  values: readonly number[],
  meter: StoredMeter | undefined,
  pooled: Pooled | undefined,
  where: string,
): Uncertain {
  const mean = meanOf(values)
  const { quantity } = sample
  const range = meter && rangeOf(meter, { ...sample, value: mean })
  const known = pooled?.spread
    ? {
        spread: pooled.spread,
        pooled: { name: spreadKey(sample).replace('|', ' '), freedom: pooled.freedom },
      }
    : undefined
  if (meter && range)
    return measured(
      { values, ...(known ?? { spread: flicker(range.count) }) },
      meter.id,
      range,
      quantity,
      where,
    )
  if (!known) return exact(mean)
  const { name, freedom } = known.pooled
  return {
    value: mean,
    sources: new Map([
      [repeatSource(quantity, where, name, freedom), known.spread / Math.sqrt(values.length)],
    ]),
  }
}
