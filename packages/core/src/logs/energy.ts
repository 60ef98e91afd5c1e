import type { Quantity } from '@even-watt/contract'
import { contested, quantityData, rangeOf } from '../evidence'
import { formatNumber, isFigure, sayDuration, type Derived, type Figure, type FigureUnit } from '../figures'
import {
  halfWidth,
  methodSource,
  normalisedError,
  ownSource,
  rectangular,
  rounding,
  specificationSource,
  type Uncertain,
} from '../meters'
import { scopeOf, type Analysis } from '../trials'
import { integrate, type Integral } from './integrate'
import type { LoggedSeries } from './series'

/** Energies and charges that a log may come to, the rate each is added up from, and the counter that shows it. */
const energies = {
  E_B: { rate: 'P_B', unit: 'Wh', words: 'energy at the terminals' },
  Q_B: { rate: 'I', unit: 'Ah', words: 'charge drawn' },
  E_C: { rate: 'P_C', unit: 'Wh', words: 'energy at the outlet' },
  E_wall: { rate: 'P_wall', unit: 'Wh', words: 'energy from the wall' },
  E_in: { rate: 'P_in', unit: 'Wh', words: 'energy into the charge input' },
} as const satisfies Record<string, { rate: Quantity; unit: FigureUnit; words: string }>
export type EnergyName = keyof typeof energies
export const energyNames = Object.keys(energies) as EnergyName[]
export const energyUnit = (name: EnergyName): 'Wh' | 'Ah' => energies[name].unit
export const energyWords = (name: EnergyName): string => energies[name].words

/** An energy of a log by each way that it was read. */
export interface LoggedEnergy {
  /** The one that counts. */
  readonly figure: Derived
  /** Added up from watts over time, and what a counter rose by. */
  readonly added?: Figure
  readonly counted?: Figure
  /** How far the two differ: over 1 they contradict each other. */
  readonly E_n?: number
}

/** What a log knows of its own bounds, s from its beginning. */
export interface Span {
  readonly id: string
  readonly seconds: number
}

type Where = Pick<Analysis, 'record'>

/** Shares of a log’s length: what may lack at its beginning or end before it is said. */
const lacks = 0.02
/** A counter that shows no more than this many times what flowed since the beginning was zeroed there. */
const zeroedWithin = 1.5

/** Its rate held back to the beginning and on to the end: what was not read there is taken as it was next to it. */
function overAll({ points, integral, from }: LoggedSeries, { seconds }: Span): Integral & { held: number } {
  const [first, last] = [points[0], points.at(-1)]
  if (from === 'file' || !first || !last) return { ...integral, held: 0 }
  const before = Math.max(0, first.at)
  const after = Math.max(0, seconds - last.at)
  const all = integrate([
    { at: 0, value: first.value },
    ...points,
    { at: Math.max(seconds, last.at), value: last.value },
  ])
  const held = before + after
  const share = (Math.abs(first.value) * before + Math.abs(last.value) * after) / 3600
  return { ...all, open: Math.hypot(all.open, heldOpen * share), held }
}

/** Share of what was taken as it was next to it, as a standard uncertainty. */
const heldOpen = 0.05

const factorsOf = ({ quantity }: LoggedSeries): readonly [Quantity, Quantity] =>
  quantity === 'P_in' ? ['V_in', 'I_in'] : quantity === 'P_C' ? ['V_C', 'I_C'] : ['V_B', 'I']

/** What is common to all readings of a meter, over an integral of them: a share of each, and counts for as long. */
function commonOf(
  series: LoggedSeries,
  integral: Integral,
  { record }: Where,
): readonly (readonly [string, number])[] {
  const { revision } = record
  const at = (id: string | undefined, quantity: Quantity, value: number) => {
    const meter = revision.meters.find((one) => one.id === id)
    const range = meter && rangeOf(meter, { quantity, value, grade: 'measured' })
    return meter && range ? { source: specificationSource(meter.id, range.id), range } : undefined
  }
  if (series.product) {
    const { volts, amps } = series.product
    const parts = [
      [at(series.meters[0], factorsOf(series)[0], volts), volts],
      [at(series.meters[1], factorsOf(series)[1], amps), amps],
    ] as const
    return parts.flatMap(([found, mean]) =>
      found && mean
        ? [
            [
              found.source,
              (rectangular(halfWidth(found.range, mean)) / Math.abs(mean)) * integral.absolute,
            ] as const,
          ]
        : [],
    )
  }
  const found = at(series.meters[0], series.quantity as Quantity, series.largest)
  if (!found) return []
  const { percent, counts, count } = found.range
  const half = (percent / 100) * integral.absolute + counts * count * integral.hours
  return [[found.source, rectangular(half)]]
}

/** An energy or charge added up from its rate by trapezoids over the whole log. */
function addedUp(name: EnergyName, series: LoggedSeries, span: Span, where: Where): Figure {
  const { unit, rate } = energies[name]
  const integral = overAll(series, span)
  const scope = `${span.id}|${scopeOf(where.record)}`
  const sources = new Map<string, number>(commonOf(series, integral, where))
  sources.set(methodSource('between readings', `${name}|${scope}`), integral.open)
  const notes = [
    `${series.from === 'file' ? 'All rows' : `${series.points.length} readings`} over ${sayDuration(span.seconds)}, by trapezoids over their real times.`,
    ...(integral.held > lacks * span.seconds
      ? [`For ${sayDuration(integral.held)} at its ends nothing was read: taken as it was next to it.`]
      : []),
    ...(series.product ? ['No wattmeter: volts times amps.'] : []),
  ]
  return figureOf(name, unit, { value: integral.value, sources }, series, `∫ ${rate} dt`, notes)
}

/** What a counter of Wh or Ah rose by over the log; undefined where it shows nothing of it. */
function countedUp(name: EnergyName, series: LoggedSeries, span: Span, where: Where): Figure | undefined {
  const { unit } = energies[name]
  const [first, last] = [series.points[0], series.points.at(-1)]
  if (!first || !last) return undefined
  const rate = series.rise.value / Math.max(1, last.at - first.at)
  const zeroed = first.at > 0 && first.value >= 0 && first.value <= zeroedWithin * rate * first.at
  if (series.points.length < 2 && !(first.at > 0)) return undefined
  const value = series.points.length < 2 ? first.value : series.rise.value + (zeroed ? first.value : 0)
  const meter = where.record.revision.meters.find(({ id }) => id === series.meters[0])
  const range = meter && rangeOf(meter, { quantity: name, value, grade: 'measured' })
  const sources = new Map<string, number>()
  if (meter && range) {
    sources.set(
      specificationSource(meter.id, range.id),
      rectangular((range.percent / 100) * Math.abs(value) + range.counts * range.count),
    )
    sources.set(ownSource(name, `${span.id}|${scopeOf(where.record)}`), rounding(range.count))
  }
  const dark = span.seconds - last.at
  const notes = [
    ...(zeroed ? ['It stood at nothing when the log began.'] : []),
    ...(series.rise.restarts
      ? [
          `It began again ${series.rise.restarts === 1 ? 'once' : `${series.rise.restarts} times`}: what it counted just before is lost.`,
        ]
      : []),
    ...(dark > lacks * span.seconds ? [`Its last reading is from ${sayDuration(dark)} before the end.`] : []),
  ]
  return figureOf(name, unit, { value, sources }, series, 'what the counter rose by', notes)
}

const figureOf = (
  symbol: EnergyName,
  unit: FigureUnit,
  x: Uncertain,
  { grade, refused, entries }: LoggedSeries,
  formula: string,
  notes: readonly string[],
): Figure => ({
  symbol,
  unit,
  x,
  grade,
  ...(refused ? { refused } : {}),
  working: { formula, inputs: [], notes, entries },
})

/** Whether a counter stood all along: it did not begin again, and was read at the end. */
const stood = (series: LoggedSeries, { seconds }: Span) =>
  series.rise.restarts === 0 && seconds - (series.points.at(-1)?.at ?? 0) <= lacks * seconds

/**
 * An energy of a log: a counter that stood all along beats what is added up, and what is added up beats one that began
 * again or went dark. Where both were read, both are kept, with how far they differ (docs/method/logs.md).
 */
export function energyOf(
  name: EnergyName,
  all: readonly LoggedSeries[],
  span: Span,
  where: Where,
): LoggedEnergy {
  const { rate, words } = energies[name]
  const best = (quantity: string) =>
    all
      .filter((series) => series.quantity === quantity && series.points.length > 0)
      .sort(
        (a, b) =>
          Number(Boolean(a.refused)) - Number(Boolean(b.refused)) || b.points.length - a.points.length,
      )[0]
  const [rates, counter] = [best(rate), best(name)]
  const added = rates && rates.points.length > 1 ? addedUp(name, rates, span, where) : undefined
  const counted = counter && countedUp(name, counter, span, where)
  const chosen =
    counter && counted && (stood(counter, span) || !added) && (!counted.refused || !added || added.refused)
      ? counted
      : added
  if (!chosen)
    return {
      figure: { missing: `The ${words} was not read: ${quantityData[rate].words} over time, or a counter.` },
    }
  const E_n = added && counted ? normalisedError(added.x, counted.x) : undefined
  const other = chosen === counted ? added : counted
  const otherWay = chosen === counted ? `${quantityData[rate].words} over time` : 'its counter'
  // A counter that began again or went dark lost what it lacks: that contradicts nothing.
  const whole = counter !== undefined && stood(counter, span)
  const held = other && whole ? contested(chosen, { figure: other, words: otherWay }) : chosen
  const note =
    E_n !== undefined && other
      ? [
          `${chosen === counted ? 'Added up from readings it is' : 'The counter says'} ${formatNumber(other.x.value, 0)} ${other.unit}${E_n > 1 ? `: they contradict (E_n ${formatNumber(E_n, 1)})` : ''}.`,
        ]
      : []
  return {
    figure: isFigure(held)
      ? { ...held, working: { ...held.working, notes: [...held.working.notes, ...note] } }
      : held,
    ...(added ? { added } : {}),
    ...(counted ? { counted } : {}),
    ...(E_n === undefined ? {} : { E_n }),
  }
}
