import type { Battery } from '@even-watt/contract'
import { say } from '../figures'
import { sharing } from '../supply'
import type { Log } from '../logs'
import type { Analysis } from '../trials'

/** One string of a bank over a run-down. */
interface StringShare {
  readonly name: string
  /** Share of the bank’s current, as it was read and as the network has it; absent: not read, not known. */
  readonly read?: number
  readonly predicted?: number
  /** V per 12 V of nominal when it was last read. */
  readonly last?: number
}

export interface BatteryShares {
  readonly strings: readonly StringShare[]
  /** The one that is lowest, where it is clearly lower than the others. */
  readonly first: { readonly name: string; readonly sentence: string } | undefined
  /** V between highest and lowest, per 12 V, at the beginning and at the end. */
  readonly spread: { readonly from: number; readonly to: number } | undefined
}

/** V per 12 V by which one must stand under the others to be called the first to end. */
const clearlyLower = 0.15

/**
 * How batteries of a bank shared a run-down, against what the network of their resistances and links has at the take-off
 * that is used (docs/method/endurance.md). Undefined where no battery was read by itself.
 */
export function batteriesIn(log: Log, { record }: Analysis): BatteryShares | undefined {
  const { bank } = record.revision.rig
  const batteries = bank.strings.flat()
  const of = (quantity: string, { id }: Battery) =>
    log.series.find((one) => one.quantity === quantity && one.battery === id)?.points
  const per12 = (volts: number, { nominal }: Battery) => (volts * 12) / nominal
  if (!batteries.some((battery) => ['V_battery', 'I_battery', 'charge'].some((name) => of(name, battery))))
    return undefined
  const amps = bank.strings.map((string) => {
    const points = string.flatMap((battery) => of('I_battery', battery) ?? [])
    return points.length ? points.reduce((sum, { value }) => sum + value, 0) / points.length : undefined
  })
  const all = amps.every((one) => one !== undefined)
    ? amps.reduce<number>((sum, one) => sum + (one ?? 0), 0)
    : undefined
  const predicted = all ? sharing(bank, all) : undefined
  const strings = bank.strings.map((string, i): StringShare => {
    const lasts = string.flatMap((battery) => {
      const last = of('V_battery', battery)?.at(-1)
      return last ? [per12(last.value, battery)] : []
    })
    const read = all && amps[i] !== undefined ? amps[i] / all : undefined
    const share = predicted && all ? (predicted[i] ?? 0) / all : undefined
    return {
      name: string.map(({ name }) => name).join(' + '),
      ...(read === undefined ? {} : { read }),
      ...(share === undefined ? {} : { predicted: share }),
      ...(lasts.length ? { last: Math.min(...lasts) } : {}),
    }
  })
  const at = (when: 'first' | 'last') => {
    const volts = batteries.flatMap((battery) => {
      const point = of('V_battery', battery)?.at(when === 'first' ? 0 : -1)
      return point ? [per12(point.value, battery)] : []
    })
    return volts.length > 1 ? Math.max(...volts) - Math.min(...volts) : undefined
  }
  const [from, to] = [at('first'), at('last')]
  return {
    strings,
    first: firstOf(batteries, of, per12),
    spread: from === undefined || to === undefined ? undefined : { from, to },
  }
}

/** Share of a current under which a battery gives nothing any more, and points of charge that tell one from another. */
const givesNothing = 0.03
const clearlyEmptier = 0.05

type PointsOf = (quantity: string, battery: Battery) => readonly { value: number }[] | undefined

/** The battery that ended first: it gives nothing while others do; else its own app shows least; else it stands lowest. */
function firstOf(
  batteries: readonly Battery[],
  of: PointsOf,
  per12: (volts: number, battery: Battery) => number,
): BatteryShares['first'] {
  const amps = batteries.map((battery) => of('I_battery', battery)?.map(({ value }) => value) ?? [])
  const all = amps.flatMap((own) => own.at(-1) ?? []).reduce((sum, one) => sum + one, 0)
  const gone = batteries.findIndex((_, i) => {
    const [before, last] = [amps[i]?.at(-2), amps[i]?.at(-1)]
    return (
      all > 1 &&
      before !== undefined &&
      last !== undefined &&
      before > givesNothing * all &&
      last < givesNothing * all
    )
  })
  const out = batteries[gone]
  if (out)
    return {
      name: out.name,
      sentence: `${out.name} gave nothing any more while the others carried ${say(all, 'A')}.`,
    }
  const shown = lowestOf(batteries, (battery) => of('charge', battery)?.at(-1)?.value)
  if (shown && shown.next - shown.lowest > clearlyEmptier)
    return {
      name: shown.battery.name,
      sentence: `${shown.battery.name} is emptiest, by its own app at ${say(100 * shown.lowest, '%', 2)}; ${shown.other.name} has ${say(100 * shown.next, '%', 2)}.`,
    }
  const stood = lowestOf(batteries, (battery) => {
    const last = of('V_battery', battery)?.at(-1)
    return last && per12(last.value, battery)
  })
  if (!stood || stood.next - stood.lowest < clearlyLower) return undefined
  const volts = (battery: Battery) => say(of('V_battery', battery)?.at(-1)?.value ?? 0, 'V', 4)
  return {
    name: stood.battery.name,
    sentence: `${stood.battery.name} stood lowest, at ${volts(stood.battery)}, while ${stood.other.name} had ${volts(stood.other)}.`,
  }
}

/** The battery of which something is lowest, and the one next to it; undefined: fewer than two tell. */
function lowestOf(batteries: readonly Battery[], value: (battery: Battery) => number | undefined) {
  const told = batteries
    .flatMap((battery) => {
      const x = value(battery)
      return x === undefined ? [] : [{ battery, x }]
    })
    .sort((a, b) => a.x - b.x)
  const [lowest, next] = told
  return lowest && next
    ? { battery: lowest.battery, lowest: lowest.x, other: next.battery, next: next.x }
    : undefined
}

/**
 * Which string of a bank runs empty first at a steady current, by its share and its Ah: hours from full. Undefined while a
 * resistance or a capacity is not known, or where there is only one.
 */
export function firstEmpty(
  { record }: Pick<Analysis, 'record'>,
  current: number,
): { readonly name: string; readonly hours: number; readonly others: number } | undefined {
  const { bank } = record.revision.rig
  if (bank.strings.length < 2) return undefined
  const shares = sharing(bank, current)
  const hours = bank.strings.flatMap((string, i) => {
    const capacity = Math.min(...string.map((battery) => battery.capacity ?? NaN))
    const share = shares?.[i] ?? NaN
    return Number.isFinite(capacity) && share > 0
      ? [{ name: string.map(({ name }) => name).join(' + '), hours: capacity / share }]
      : []
  })
  const [first, second] = hours.sort((a, b) => a.hours - b.hours)
  if (!first || !second || hours.length < bank.strings.length) return undefined
  return { ...first, others: second.hours }
}
