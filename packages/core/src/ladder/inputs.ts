import type { Quantity, Readable, Revision, StoredMeter, Value } from '@even-watt/contract'
import { worstGrade, type Figure, type FigureUnit, type Missing } from '../figures'
import {
  contradict,
  exact,
  expanded,
  measured,
  normalisedError,
  ownSource,
  pooledSpread,
  rangeFor,
  type Uncertain,
} from '../meters'

/** What each quantity is read as, in which unit, and where (handbook §4). */
export const quantityData: Record<
  Quantity,
  { reads: Readable; unit: FigureUnit; words: string; tap: 'A' | 'B' | 'C' | 'any' }
> = {
  V_A: { reads: 'DC voltage', unit: 'V', words: 'volts at the posts', tap: 'A' },
  I_bank: { reads: 'DC current', unit: 'A', words: 'bank current', tap: 'A' },
  V_B: { reads: 'DC voltage', unit: 'V', words: 'volts at the terminals', tap: 'B' },
  I: { reads: 'DC current', unit: 'A', words: 'input current', tap: 'B' },
  V_C: { reads: 'AC voltage', unit: 'V', words: 'volts at the outlet', tap: 'C' },
  I_C: { reads: 'AC current', unit: 'A', words: 'output current', tap: 'C' },
  P_C: { reads: 'active power', unit: 'W', words: 'watts at the outlet', tap: 'C' },
  PF: { reads: 'power factor', unit: '', words: 'power factor', tap: 'C' },
  f: { reads: 'frequency', unit: 'Hz', words: 'frequency', tap: 'C' },
  THD: { reads: 'THD', unit: '%', words: 'distortion', tap: 'C' },
  T: { reads: 'temperature', unit: '°C', words: 'temperature', tap: 'any' },
}

export const quantities = Object.keys(quantityData) as Quantity[]

export interface ReadingValues {
  readonly entry: string
  readonly values: readonly Value[]
}

/** Pooled standard deviations of single readings, by `quantity|meter`. */
export type Spreads = ReadonlyMap<string, number>

const spreadKey = (value: Value) => `${value.quantity}|${value.meter ?? value.grade}`

/** Pools the scatter of repeats over the steps of a ladder, for each quantity and meter. */
export function spreadsOf(steps: readonly (readonly ReadingValues[])[]): Spreads {
  const groups = new Map<string, number[][]>()
  for (const readings of steps) {
    if (readings.length < 2) continue
    const here = new Map<string, number[]>()
    for (const reading of readings) {
      for (const value of reading.values) append(here, spreadKey(value), value.value)
    }
    for (const [key, numbers] of here) append(groups, key, numbers)
  }
  return new Map([...groups].map(([key, numbers]) => [key, pooledSpread(numbers)]))
}

function append<T>(lists: Map<string, T[]>, key: string, item: T): void {
  const list = lists.get(key)
  if (list) list.push(item)
  else lists.set(key, [item])
}

/** A meter that must not be used on this wave, with why; see the oddities for the same in words. */
export type Unfit = (meter: StoredMeter, value: Value) => string | undefined

/**
 * The value of one quantity over the readings of a step. Repeats on one meter are averaged; of several
 * meters the one with the smaller expanded uncertainty is taken and a contradiction is noted, never averaged
 * (handbook §7). Only values of the best grade present are used.
 */
export function inputFigure(
  quantity: Quantity,
  readings: readonly ReadingValues[],
  revision: Revision,
  spreads: Spreads,
  where: string,
  unfit: Unfit = () => undefined,
): Figure | Missing {
  const found: { entry: string; value: Value }[] = []
  for (const { entry, values } of readings) {
    for (const value of values) if (value.quantity === quantity) found.push({ entry, value })
  }
  if (!found.length) return { missing: `${quantity} was not read.` }
  const grade = bestGrade(found.map(({ value }) => value.grade))
  const groups = new Map<string, typeof found>()
  for (const item of found) if (item.value.grade === grade) append(groups, spreadKey(item.value), item)
  const candidates: {
    meter: StoredMeter | undefined
    x: Uncertain
    reason: string | undefined
    entries: string[]
  }[] = []
  for (const [key, items] of groups) {
    const sample = items[0]
    if (!sample) continue
    const meter = revision.meters.find((candidate) => candidate.id === sample.value.meter)
    const numbers = items.map((item) => item.value.value)
    candidates.push({
      meter,
      x: valueOf(quantity, numbers, meter, spreads.get(key) ?? 0, where),
      reason: meter && unfit(meter, sample.value),
      entries: items.map((item) => item.entry),
    })
  }
  candidates.sort((a, b) => Number(!!a.reason) - Number(!!b.reason) || uncertaintyOf(a) - uncertaintyOf(b))
  const [best, ...others] = candidates
  if (!best) return { missing: `${quantity} was not read.` }
  const notes = best.reason ? [best.reason] : []
  if (!best.meter) notes.push('No meter is named, so its uncertainty is not known.')
  for (const other of others) {
    const name = other.meter?.name ?? 'another reading'
    if (other.reason) notes.push(`${name} is not used: ${other.reason}`)
    else if (contradict(best.x, other.x)) {
      notes.push(`${name} contradicts it (E_n ${normalisedError(best.x, other.x).toFixed(1)}).`)
    }
  }
  return {
    symbol: quantity,
    unit: quantityData[quantity].unit,
    x: best.x,
    grade,
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

function valueOf(
  quantity: Quantity,
  values: number[],
  meter: StoredMeter | undefined,
  spread: number,
  where: string,
): Uncertain {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const range = meter && rangeFor(meter.ranges, quantityData[quantity].reads, mean)
  if (meter && range) return measured({ values, spread }, meter.id, range, quantity, where)
  if (!spread) return exact(mean)
  return { value: mean, sources: new Map([[ownSource(quantity, where), spread / Math.sqrt(values.length)]]) }
}

const bestGrade = (present: readonly Value['grade'][]): Value['grade'] =>
  (['measured', 'display', 'estimated', 'observed'] as const).find((grade) => present.includes(grade)) ??
  worstGrade(present)
