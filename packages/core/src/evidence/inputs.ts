import type { Quantity, Revision, StoredMeter, Value } from '@even-watt/contract'
import { worstGrade, type Derived, type Missing } from '../figures'
import {
  contradict,
  exact,
  expanded,
  flicker,
  measured,
  normalisedError,
  ownSource,
  rangeFor,
  type Uncertain,
} from '../meters'
import { unfitOnWave, type Unfit } from './fitness'
import { quantities, quantityData } from './quantities'
import { append, spreadKey, type ReadingValues, type Spreads } from './spreads'

/** A value and the entry it was captured in. */
interface Found {
  readonly entry: string
  readonly value: Value
}

const notRead = Object.fromEntries(
  quantities.map((quantity) => [quantity, { missing: `${quantity} was not read.` }]),
) as Record<Quantity, Missing>

/** Every quantity over the readings of a step or a mode, or that it was not read. */
export function readFigures(
  readings: readonly ReadingValues[],
  revision: Revision,
  spreads: Spreads,
  where: string,
): Record<Quantity, Derived> {
  const found = new Map<Quantity, Found[]>()
  for (const { entry, values } of readings)
    for (const value of values) append(found, value.quantity, { entry, value })
  const figures: Record<Quantity, Derived> = { ...notRead }
  const unfit = unfitOnWave(revision.unit)
  for (const [quantity, values] of found)
    figures[quantity] = inputFigure(quantity, values, revision, spreads, where, unfit)
  return figures
}

/**
 * The value of one quantity, of at least one that was found. Repeats on one meter are averaged; of several meters the
 * one with the smaller expanded uncertainty is taken and a contradiction is noted, never averaged
 * (docs/method/meters.md). Only values of the best grade present are used.
 */
function inputFigure(
  quantity: Quantity,
  found: readonly Found[],
  revision: Revision,
  spreads: Spreads,
  where: string,
  unfit: Unfit,
): Derived {
  const grade = bestGrade(found.map(({ value }) => value.grade))
  const groups = new Map<string, Found[]>()
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
  if (!best) return notRead[quantity]
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
  if (meter && range)
    return measured({ values, spread: spread || flicker(range.count) }, meter.id, range, quantity, where)
  if (!spread) return exact(mean)
  return { value: mean, sources: new Map([[ownSource(quantity, where), spread / Math.sqrt(values.length)]]) }
}

const bestGrade = (present: readonly Value['grade'][]): Value['grade'] =>
  (['measured', 'display', 'estimated', 'observed'] as const).find((grade) => present.includes(grade)) ??
  worstGrade(present)
