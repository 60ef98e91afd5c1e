import type { Quantity, Revision, StoredMeter, Value } from '@even-watt/contract'
import { gradeRank, type Derived, type Missing, type Refusal } from '../figures'
import {
  contradict,
  exact,
  expanded,
  flicker,
  measured,
  methodSource,
  normalisedError,
  ownSource,
  rectangular,
  uncertain,
  type Uncertain,
} from '../meters'
import { displayError, type DisplayCheck } from './displayCheck'
import type { Gate } from './gate'
import { quantities, quantityData } from './quantities'
import { rangeOf } from './rangeOf'
import { append, spreadKey, type ReadingValues, type Spreads } from './spreads'

/** A value and the entry it was captured in. */
interface Found {
  readonly entry: string
  readonly value: Value
}

const notRead = Object.fromEntries(
  quantities.map((quantity) => [quantity, { missing: `${quantity} was not read.` }]),
) as Record<Quantity, Missing>

/** What values are read by: the revision's meters, and the gate that lets them in. */
export interface Ground {
  readonly revision: Revision
  readonly gate: Gate
  /** Of a display that may stand in for a meter; empty where it may not. */
  readonly checks: ReadonlyMap<Quantity, DisplayCheck>
}

/** Every quantity over the readings of a step or a mode, or that it was not read. */
export function readFigures(
  readings: readonly ReadingValues[],
  ground: Ground,
  spreads: Spreads,
  where: string,
): Record<Quantity, Derived> {
  const found = new Map<Quantity, Found[]>()
  for (const { entry, values } of readings)
    for (const value of values) append(found, value.quantity, { entry, value })
  const figures: Record<Quantity, Derived> = { ...notRead }
  for (const [quantity, values] of found)
    figures[quantity] = inputFigure(quantity, values, ground, spreads, where)
  return figures
}

interface Candidate {
  readonly meter: StoredMeter | undefined
  readonly x: Uncertain
  readonly refused: Refusal | undefined
  readonly grade: Value['grade']
  readonly entries: string[]
}

/**
 * The value of one quantity, of at least one that was found. Repeats on one meter are averaged; of several meters the
 * one with the smaller expanded uncertainty is taken and a contradiction is noted, never averaged
 * (docs/method/meters.md). What the gate refuses is not used beside what it lets in; where it lets nothing in, the best
 * that there is stands, marked as refused.
 */
function inputFigure(
  quantity: Quantity,
  found: readonly Found[],
  { revision, gate, checks }: Ground,
  spreads: Spreads,
  where: string,
): Derived {
  const groups = new Map<string, { refused: Refusal | undefined; items: Found[] }>()
  for (const item of found) {
    const refused = gate(item.value, item.entry)
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
    const spread = spreads.get(spreadKey(sample.value)) ?? 0
    return [
      {
        meter,
        x:
          sample.value.grade === 'display'
            ? shownValue(sample.value, numbers, checks, where)
            : valueOf(sample.value, numbers, meter, spread, where),
        refused,
        grade: sample.value.grade,
        entries: items.map((item) => item.entry),
      },
    ]
  })
  candidates.sort(
    (a, b) =>
      Number(!!a.refused) - Number(!!b.refused) ||
      gradeRank(a.grade) - gradeRank(b.grade) ||
      uncertaintyOf(a) - uncertaintyOf(b),
  )
  const [best, ...others] = candidates
  if (!best) return notRead[quantity]
  const notes = best.refused ? [`Decides nothing: ${best.refused.why} ${best.refused.todo}`] : []
  for (const other of others) {
    const name = other.meter?.name ?? `What was ${other.grade}`
    if (other.refused) notes.push(`${name} is not used: ${other.refused.why}`)
    else if (contradict(best.x, other.x))
      notes.push(`${name} contradicts it (E_n ${normalisedError(best.x, other.x).toFixed(1)}).`)
  }
  return {
    symbol: quantity,
    unit: quantityData[quantity].unit,
    x: best.x,
    grade: best.grade,
    ...(best.refused ? { refused: best.refused } : {}),
    working: {
      formula: `${quantity} read on ${best.meter?.name ?? 'no named meter'}`,
      inputs: [],
      notes,
      entries: best.entries,
    },
  }
}

const uncertaintyOf = (candidate: { meter: StoredMeter | undefined; x: Uncertain }) =>
  candidate.meter ? expanded(candidate.x) : Infinity

/** What a display showed; checked, with the error it was found to have, which is the same one at every reading. */
function shownValue(
  { quantity }: Value,
  values: readonly number[],
  checks: Ground['checks'],
  where: string,
): Uncertain {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const off = displayError(checks.get(quantity), mean)
  const scope = where.slice(where.indexOf('|') + 1)
  return off === undefined
    ? exact(mean)
    : uncertain(mean, methodSource(`display of ${quantity}`, scope), rectangular(off))
}

function valueOf(
  sample: Value,
  values: number[],
  meter: StoredMeter | undefined,
  spread: number,
  where: string,
): Uncertain {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const { quantity } = sample
  const range = meter && rangeOf(meter, { ...sample, value: mean })
  if (meter && range)
    return measured({ values, spread: spread || flicker(range.count) }, meter.id, range, quantity, where)
  if (!spread) return exact(mean)
  return { value: mean, sources: new Map([[ownSource(quantity, where), spread / Math.sqrt(values.length)]]) }
}
