import {
  capital,
  decimals,
  formatNumber,
  plain,
  say,
  sayCableSize,
  sayDuration,
  sayFigure,
  sayLength,
  sayTemperature,
  shortened,
  shownFactor,
  writing,
} from '../figures'
import type { Uncertain } from '../meters'
import { quantityOf, type QuantityId } from './quantities'
import type { Clash, Need, Sheet, SumRow } from './sheet'

const units: Readonly<Partial<Record<string, string>>> = { '×': '', money: '', hp: 'hp' }

/** A value of the sheet in the unit that the bench reads it in: "96.8 A", "94.4 … 95.1 A", "50 min". */
export function saySum({ id, x, range }: Pick<SumRow, 'id' | 'x' | 'range'>): string {
  if (!range) return sayOne(id, x)
  const { kind } = quantityOf(id)
  if (kind === 'h' || kind === 'm' || kind === 'mm²')
    return range.map((value) => sayOne(id, { value, sources: new Map() })).join(' … ')
  const unit = units[kind] ?? kind
  const [low, high] = range.map((value) => value * shownFactor(kind)) as [number, number]
  const places = Math.max(decimals(high - low, 2), Math.min(decimals(high, 3), 3))
  return `${formatNumber(low, places)} … ${formatNumber(high, places)}${unit ? ` ${unit}` : ''}`
}

function sayOne(id: QuantityId, x: Uncertain): string {
  const { kind } = quantityOf(id)
  const known = x.sources.size > 0
  // Nobody waits for seconds of a run, nor for less than one.
  if (kind === 'h' && !known)
    return x.value < 1 / 60 ? say(x.value * 3600, 's') : sayDuration(Math.round(x.value * 60) * 60)
  if (kind === 'm' && !known) return sayLength(shortened(x.value, 4))
  if (kind === 'mm²' && !known && writing().gauge === 'AWG')
    return sayCableSize({ unit: 'mm²', area: shortened(x.value, 3) })
  if (kind === '×' && !known) return plain(x.value)
  if (kind === '°C' && !known) return sayTemperature(x.value, 1)
  return sayFigure(
    { x, unit: units[kind] ?? kind },
    (kind === 'V' && x.value >= 10) || x.value * shownFactor(kind) >= 1000 ? 4 : 3,
  )
}

/** The name of a quantity as a line begins with it. */
export const nameOf = (id: QuantityId): string => capital(quantityOf(id).name)

/** What a sheet comes to, in a sentence or two; undefined where no amps follow. */
export function headline({ typed, follows }: Sheet): string | undefined {
  const rows = new Map([...typed, ...follows].map((row) => [row.id, row]))
  const told = (id: QuantityId) => {
    const row = rows.get(id)
    return row && saySum(row)
  }
  const [watts, amps, ideal, extra] = [
    told('watts') ?? told('wattsIn'),
    told('amps'),
    told('idealAmps'),
    told('extraAmps'),
  ]
  if (!watts || !(amps ?? ideal)) return undefined
  const first = `${watts} draw ${amps ?? `at least ${ideal}`} from this battery.`
  const lost = [
    told('leadsHeat') && `${told('leadsHeat')} warm the leads`,
    told('bankHeat') && `${told('bankHeat')} the battery`,
  ]
  const heat = lost.filter((one) => one !== undefined).join(', ')
  return amps && ideal && extra
    ? `${first} Without loss on the way it would be ${ideal}: ${extra} more, because a load that keeps its watts draws more amps at fewer volts.${heat ? ` ${capital(heat)}.` : ''}`
    : first
}

/** "How long it runs needs the battery’s ampere-hours." */
export const sayNeed = ({ wanted, needs }: Need): string =>
  `${capital(quantityOf(wanted).name)}: needs ${quantityOf(needs).name}.`

/** What contradicts, and what it may lie on. */
export function sayClash({ relation, id, stands, asks, among }: Clash): string {
  const { name } = quantityOf(id)
  const value = (x: number) => sayOne(id, { value: x, sources: new Map() })
  const names = among.map((one) => quantityOf(one).name).join(', ')
  const blame = among.length > 1 ? ` One of these is not so: ${names}.` : ''
  if (stands !== undefined && asks !== undefined)
    return `${capital(name)} cannot be ${value(stands)}: ${relation.equation} gives ${value(asks)}.${blame}`
  if (asks !== undefined) return `${capital(name)} would be ${value(asks)}, and that cannot be.${blame}`
  return `No value of ${name} would do for ${relation.equation}: what is asked is out of reach.${blame}`
}

/** "temperature of the copper 20 °C assumed". */
export function sayAssumed(id: QuantityId): string {
  const { name, kind, assumed = 0 } = quantityOf(id)
  const unit = units[kind] ?? kind
  const value =
    kind === '°C' ? sayTemperature(assumed) : `${plain(assumed * shownFactor(kind))}${unit && ` ${unit}`}`
  return `${name} ${value} assumed`
}
