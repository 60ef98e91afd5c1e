import { shortened } from '../figures'
import {
  coefficientsOf,
  itemsOf,
  powerOf,
  tolerance,
  wattsTable,
  type Question,
  type Settings,
} from './question'
import { voltageAt } from './voltage'

/**
 * The sets that may stand at one target: those whose settled power lies in [low, high]. As draw falls with the
 * voltage that falls with it, a set lies inside just when it draws at least `low` at V(low) and at most `high` at
 * V(high): two sums of the tables decide it exactly.
 */
export interface Window {
  readonly target: number
  readonly low: number
  readonly high: number
  /** W of each setting at V(low) and at V(high). */
  readonly atLow: readonly (readonly number[])[]
  readonly atHigh: readonly (readonly number[])[]
  /** The most that each load draws at V(low). */
  readonly most: readonly number[]
  /** Inside ±2 %, rather than the nearest there is. */
  readonly inside: boolean
  /** One set in it, so that there always is a ladder. */
  readonly example: Settings
  /** What the tester fixed. */
  readonly locked: Settings | undefined
  /** The search for the nearest was not cut short. */
  readonly proved: boolean
}

/** Room for rounding at the ends of a window. */
const slack = 1e-9

export function windowFor(question: Question, step: number): Window {
  const target = question.targets[step] ?? 0
  const locked = question.locked?.[step]
  if (locked) {
    const power = powerOf(question, locked)
    const inside = Math.abs(power - target) <= tolerance * target
    return make(question, target, power, power, { inside, example: locked, locked, proved: true })
  }
  const { set, distance, proved } = nearest(question, target)
  const within = distance <= tolerance * target * (1 + slack)
  const reach = within ? tolerance * target : distance
  return make(question, target, target - reach, Math.min(target + reach, question.mostPower), {
    inside: within,
    example: set,
    locked: undefined,
    proved: within || proved,
  })
}

function make(
  question: Question,
  target: number,
  low: number,
  high: number,
  rest: Pick<Window, 'inside' | 'example' | 'locked' | 'proved'>,
): Window {
  const atLow = wattsTable(question.loads, voltageAt(question.voltage, Math.max(0, low)))
  return {
    target,
    low: low - slack * target,
    high: high + slack * target,
    atLow,
    most: atLow.map((watts) => Math.max(...watts)),
    atHigh: wattsTable(question.loads, voltageAt(question.voltage, Math.max(0, high))),
    ...rest,
  }
}

/** Sets looked at before the nearest is given up as unproved. */
const mostLooked = 2_000_000

/**
 * The set whose settled power is nearest a target, or the first found inside ±2 %: depth first over the loads, largest
 * first, with bounds by the highest and lowest voltage there can be; partial sums met before are not gone into again.
 */
function nearest(question: Question, target: number): { set: Settings; distance: number; proved: boolean } {
  const { loads, voltage, outlets, mostPower } = question
  const enough = tolerance * target
  const most = wattsTable(loads, voltage.noLoad)
  const least = wattsTable(loads, voltageAt(voltage, Math.min(mostPower, 2 * target)))
  const order = loads
    .map((_, i) => i)
    .sort((a, b) => Math.max(...(most[b] ?? [0])) - Math.max(...(most[a] ?? [0])))
  const suffix = new Array<number>(order.length + 1).fill(0)
  for (let at = order.length - 1; at >= 0; at--) {
    suffix[at] = (suffix[at + 1] ?? 0) + Math.max(...(most[order[at] ?? 0] ?? [0]))
  }
  const set = loads.map(() => 0)
  let best = { set: [...set] as Settings, distance: target }
  let looked = 0
  const seen = new Set<string>()
  const coefficients = coefficientsOf(loads)
  const search = (at: number, low: number, high: number, items: number): boolean => {
    if (best.distance <= enough || looked > mostLooked) return true
    const power = items ? powerOf(question, set, coefficients) : 0
    const distance = Math.abs(power - target)
    looked += 1
    if (power <= mostPower * (1 + slack) && distance < best.distance) best = { set: [...set], distance }
    if (at >= order.length || items >= outlets) return false
    // Nothing below can come nearer: too little even with all the rest on, or too much already.
    if (high + (suffix[at] ?? 0) < target - best.distance || low > target + best.distance) return false
    const key = `${at}|${items}|${shortened(low, 9)}|${shortened(high, 9)}`
    if (seen.has(key)) return false
    seen.add(key)
    const load = order[at] ?? 0
    const settings = most[load]?.length ?? 1
    for (let k = settings - 1; k >= 0; k--) {
      set[load] = k
      const stop = search(
        at + 1,
        low + (least[load]?.[k] ?? 0),
        high + (most[load]?.[k] ?? 0),
        items + (k ? 1 : 0),
      )
      set[load] = 0
      if (stop) return true
    }
    return false
  }
  search(0, 0, 0, 0)
  return { ...best, proved: looked <= mostLooked }
}

/** How many of the largest, taken one after another, reach a sum. */
export function fewestToReach(wanted: number, watts: readonly number[]): number {
  const sorted = Float64Array.from(watts).sort()
  let sum = 0
  for (let i = 0; i < sorted.length; i++) {
    if (sum >= wanted) return i
    sum += sorted[sorted.length - 1 - i] ?? 0
  }
  return sorted.length
}

/** Fewest loads that any set in the window can have: as many of the largest as are needed to reach its low end. */
export const fewestItems = ({ low, most, locked }: Window): number =>
  locked ? itemsOf(locked) : fewestToReach(low, most)

/**
 * Fewest changes from any set of one window to any of the next: none when they overlap, else as many as it takes to
 * bridge the gap between them with the largest loads there are, put on or taken off.
 */
export function fewestChanges(from: Window, to: Window): number {
  if (from.locked && to.locked)
    return to.locked.reduce((sum, k, i) => sum + (k === from.locked?.[i] ? 0 : 1), 0)
  if (from.high < to.low) return Math.max(1, fewestToReach(to.low - from.high, to.most))
  if (to.high < from.low)
    return Math.max(
      1,
      fewestToReach(
        from.low - to.high,
        to.atHigh.map((watts) => Math.max(...watts)),
      ),
    )
  return 0
}
