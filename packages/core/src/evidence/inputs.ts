import type { Quantity, Revision, StoredMeter, Value } from '@even-watt/contract'
import { worstGrade, type Figure, type Missing } from '../figures'
import {
  contradict,
  exact,
  expanded,
  measured,
  normalisedError,
  ownSource,
  rangeFor,
  type Uncertain,
} from '../meters'
import { quantityData } from './quantities'
import { append, spreadKey, type ReadingValues, type Spreads } from './spreads'

/** A meter that must not be used on this wave, with why; see the oddities for the same in words. */
export type Unfit = (meter: StoredMeter, value: Value) => string | undefined

/**
 * The value of one quantity over the readings of a step. Repeats on one meter are averaged; of several
 * meters the one with the smaller expanded uncertainty is taken and a contradiction is noted, never averaged
 * (docs/method/meters.md). Only values of the best grade present are used.
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
