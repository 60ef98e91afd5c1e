import { changesBetween, powerOf, type Question, type Settings } from './question'
import { fewestChanges, fewestItems, fewestToReach, type Window } from './window'

/** What every ladder must still cost from one step on, whatever set stands before it. */
interface Least {
  /** Changes over all steps after this one. */
  readonly changes: number
  /** Loads on at this step. */
  readonly items: number
  /** Σ |P − target|/target over this step and all after it. */
  readonly deviation: number
}

/** What stands before a search: for each step, and after the last one nothing. */
export interface Ahead {
  readonly windows: readonly Window[]
  readonly least: readonly Least[]
  /** Every load has one setting only, so that a change either adds one or takes one away. */
  readonly single: boolean
}

/** From a set: the fewest changes into each step's window, by its number, and how many of them must add a load. */
export interface Reach {
  readonly changes: readonly number[]
  readonly added: readonly number[]
}

/** What a ladder costs at least, best order first: changes, loads on, deviation. */
export interface Cost {
  readonly changes: number
  readonly items: number
  readonly deviation: number
}

export function lookAhead(question: Question, windows: readonly Window[]): Ahead {
  const least: Least[] = []
  let [changes, deviation] = [0, 0]
  for (let step = windows.length - 1; step >= 0; step--) {
    const [window, after] = [windows[step], windows[step + 1]]
    if (!window) continue
    if (after) changes += fewestChanges(window, after)
    deviation += leastDeviation(question, window)
    least[step] = { changes, items: fewestItems(window), deviation }
  }
  return { windows, least, single: question.loads.every(({ settings }) => settings.length <= 1) }
}

/**
 * How near a target a set can come at all. Where all loads follow one law at one label voltage, their watts add up to
 * whole steps of what divides them all, so power has steps too; else nothing is known.
 */
function leastDeviation(question: Question, { target, locked }: Window): number {
  if (locked) return Math.abs(powerOf(question, locked) - target) / target
  const [first] = question.loads
  const alike = question.loads.every(({ kind, volts }) => kind === first?.kind && volts === first.volts)
  const grain = alike ? grainOf(question.loads.flatMap(({ settings }) => settings)) : 0
  if (!first || !grain) return 0
  const powerAt = (watts: number) =>
    powerOf({ loads: [{ ...first, settings: [watts] }], voltage: question.voltage }, [1])
  // Power rises with the watts on the labels: the step under the target and the one above it are the nearest.
  let [under, over] = [0, 2 * Math.ceil(target / grain) + 2]
  while (over - under > 1) {
    const middle = Math.floor((under + over) / 2)
    if (powerAt(middle * grain) <= target) under = middle
    else over = middle
  }
  return Math.min(target - powerAt(under * grain), powerAt(over * grain) - target) / target
}

/** The greatest W that divides all, of whole watts; 0 where they are not whole. */
const grainOf = (watts: readonly number[]): number =>
  watts.every(Number.isInteger) ? watts.reduce((a, b) => greatestDivisor(a, b), 0) : 0

const greatestDivisor = (a: number, b: number): number => (b ? greatestDivisor(b, a % b) : a)

/** Where a load has several settings, a few changes reach anything: asking would cost more than it tells. */
const unasked: Reach = { changes: [], added: [] }

/** Fewest changes from a set into the windows from a step on. */
export function reachFrom({ windows, single }: Ahead, set: Settings, from: number): Reach {
  if (!single) return unasked
  const changes: number[] = []
  const added: number[] = []
  for (let step = from; step < windows.length; step++) {
    const window = windows[step]
    if (!window) continue
    const { atLow, atHigh, low, high, most, locked } = window
    const sum = (table: Window['atLow']) => set.reduce((total, k, i) => total + (table[i]?.[k] ?? 0), 0)
    const [lacking, over] = [low - sum(atLow), sum(atHigh) - high]
    const up =
      lacking > 0
        ? fewestToReach(
            lacking,
            set.map((k, i) => (most[i] ?? 0) - (atLow[i]?.[k] ?? 0)),
          )
        : 0
    added[step] = up
    changes[step] = locked
      ? changesBetween(set, locked)
      : over > 0
        ? fewestToReach(
            over,
            set.map((k, i) => atHigh[i]?.[k] ?? 0),
          )
        : up
  }
  return { changes, added }
}

/**
 * What any ladder must cost that goes on from a set at a step with at least `differ` changes to the next one. Loads on and
 * deviation hold for ladders of no more changes than must be; one of more is worse in the first place.
 */
export function costFrom(
  ahead: Ahead,
  step: number,
  now: { readonly changes: number; readonly on: number; readonly items: number; readonly deviation: number },
  reach: Reach,
  differ: number,
): Cost {
  const { windows, least, single } = ahead
  const after = (to: number) => least[to]?.changes ?? 0
  const must = step < 0 ? (least[0]?.items ?? 0) : after(step) - after(step + 1)
  const next = Math.max(differ, must, reach.changes[step + 1] ?? 0)
  let more = next + after(step + 1)
  let up = 0
  for (let to = step + 1; to < windows.length; to++) {
    more = Math.max(more, (reach.changes[to] ?? 0) + after(to))
    up = Math.max(up, reach.added[to] ?? 0)
  }
  // What is not needed to rise may take loads away.
  const away = more - up
  let items = now.items
  // The most loads that were on at a step, and how many changes there must be until then.
  let [most, until] = [now.on, 0]
  for (let to = step + 1; to < windows.length; to++) {
    const left = single
      ? now.on + Math.max(reach.added[to] ?? 0, differ - away) - away
      : most - (more - after(to) - until)
    const on = Math.max(least[to]?.items ?? 0, left)
    items += on
    const spent = Math.max(next + after(step + 1) - after(to), reach.changes[to] ?? 0)
    if (on + spent >= most + until) [most, until] = [on, spent]
  }
  return {
    changes: now.changes + more,
    items,
    deviation: now.deviation + (least[step + 1]?.deviation ?? 0),
  }
}
