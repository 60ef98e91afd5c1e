import TinyQueue from 'tinyqueue'
import { costFrom, lookAhead, reachFrom, type Cost, type Reach } from './ahead'
import {
  changesBetween,
  coefficientsOf,
  itemsOf,
  powerOf,
  type Coefficients,
  type Question,
  type Settings,
} from './question'
import { successors } from './successors'
import { fewestChanges, fewestItems, windowFor, type Window } from './window'

interface PlannedStep {
  readonly target: number
  readonly set: Settings
  /** W expected at the voltage that it causes. */
  readonly power: number
  /** Inside ±2 % of its target. */
  readonly inside: boolean
  /** Loads that are set otherwise than in the step before. */
  readonly changes: number
}

export interface LadderPlan {
  readonly steps: readonly PlannedStep[]
  readonly changes: number
  readonly items: number
  /** Σ |P − target|/target. */
  readonly deviation: number
  /** No better ladder exists; false: the search was cut short, and any ladder has at least `bound` changes. */
  readonly proved: boolean
  readonly bound: number
}

interface State {
  readonly step: number
  readonly set: Settings
  readonly changes: number
  /** Loads on now, and over all steps so far. */
  readonly now: number
  readonly items: number
  readonly deviation: number
  readonly before: State | undefined
}

/** A state to go on from; `differ` not negative: its successors with so many changes, which are not made yet. */
interface Node extends Cost {
  readonly state: State
  readonly differ: number
  readonly reach: Reach
}

const same = 1e-12

/** Less than 0 where a is to be gone on from first. */
const before = (a: Node, b: Node): number => {
  if (a.changes !== b.changes) return a.changes - b.changes
  if (a.items !== b.items) return a.items - b.items
  if (Math.abs(a.deviation - b.deviation) > same) return a.deviation - b.deviation
  return b.state.step - a.state.step
}

export interface Limits {
  /** States looked at before the search is cut short. */
  readonly most?: number
  /** Told how many were looked at; false stops the search. */
  readonly progress?: (looked: number) => boolean
}

/**
 * The loads for every step of a ladder (docs/method/plan.md), best in this order: (1) inside ±2 % of each target, else
 * nearest to it; (2) fewest changes of setting summed over the ladder, counted from nothing plugged in; (3) fewest
 * loads on, summed; (4) least deviation, summed as shares of the targets.
 *
 * Exact: best-first search over the steps, with a bound on what the remaining steps must still cost. Successors are
 * made lazily, those with fewest changes first. Cut short, it gives a ladder by going from step to step with fewest
 * changes, says that it is not proved, and how many changes any ladder needs at least.
 */
export function choosePlan(question: Question, { most = 120_000, progress }: Limits = {}): LadderPlan {
  const windows = question.targets.map((_, step) => windowFor(question, step))
  const coefficients = coefficientsOf(question.loads)
  const ahead = lookAhead(question, windows)
  const start: State = {
    step: -1,
    set: question.loads.map(() => 0),
    changes: 0,
    now: 0,
    items: 0,
    deviation: 0,
    before: undefined,
  }
  const heap = new TinyQueue<Node>([], before)
  const offer = (state: State, differ: number, reach: Reach) => {
    const { step, changes, now: on, items, deviation } = state
    const cost = costFrom(ahead, step, { changes, on, items, deviation }, reach, differ)
    heap.push({ state, differ, reach, changes: cost.changes, items: cost.items, deviation: cost.deviation })
  }
  offer(start, -1, reachFrom(ahead, start.set, 0))
  const best = new Map<string, State>([[keyOf(start), start]])
  const add = (state: State) => {
    if (improves(best, state)) offer(state, -1, reachFrom(ahead, state.set, state.step + 1))
  }
  let looked = 0
  let bound = 0
  const nearestProved = windows.every(({ proved }) => proved)
  for (let node = heap.pop(); node; node = heap.pop()) {
    const { state, differ, reach } = node
    bound = node.changes
    const window = windows[state.step + 1]
    if (differ < 0) {
      if (!window) return planOf(question, windows, state, nearestProved, state.changes)
      if (best.get(keyOf(state)) !== state) continue
      offer(state, reach.changes[state.step + 1] ?? 0, reach)
      continue
    }
    if (!window) continue
    looked += 1
    if (looked > most || (looked % 256 === 0 && progress?.(looked) === false)) break
    if (differ < question.loads.length) offer(state, differ + 1, reach)
    // Of ways to the last step, of as many changes, only the best can be the answer.
    const isLast = state.step + 2 === windows.length
    let last: State | undefined
    for (const set of successors(state.set, differ, window, question)) {
      const next = extend(state, set, window, question, coefficients)
      if (!isLast) add(next)
      else if (!last || isBetter(next, last)) last = next
    }
    if (last) add(last)
  }
  return planOf(question, windows, greedy(question, windows, start), false, bound)
}

const keyOf = ({ step, set }: State): string => String.fromCharCode(step + 1, ...set)

const isBetter = (a: State, b: State): boolean =>
  (a.changes - b.changes || a.items - b.items || a.deviation - b.deviation) < 0

/** Whether a way to a set is better than all found to it so far; then it takes their place. */
function improves(best: Map<string, State>, state: State): boolean {
  const key = keyOf(state)
  const other = best.get(key)
  if (other && !isBetter(state, other)) return false
  best.set(key, state)
  return true
}

function extend(
  state: State,
  set: Settings,
  window: Window,
  question: Question,
  coefficients?: Coefficients,
): State {
  const now = itemsOf(set)
  return {
    step: state.step + 1,
    set,
    changes: state.changes + changesBetween(state.set, set),
    now,
    items: state.items + now,
    deviation:
      state.deviation + Math.abs(powerOf(question, set, coefficients) - window.target) / window.target,
    before: state,
  }
}

/** How many changes more than there must be the quick way looks at before it takes the example that each window has. */
const shortSight = 1

/** From step to step with fewest changes, then fewest loads: always a ladder, not always the best. */
function greedy(question: Question, windows: readonly Window[], start: State): State {
  return windows.reduce((state, window, step) => {
    const last = windows[step - 1]
    const least = last ? fewestChanges(last, window) : fewestItems(window)
    for (let differ = least; differ <= Math.max(2, least + shortSight); differ++) {
      const [best] = successors(state.set, differ, window, question)
        .map((set) => extend(state, set, window, question))
        .sort((a, b) => a.items - b.items || a.deviation - b.deviation)
      if (best) return best
    }
    return extend(state, window.example, window, question)
  }, start)
}

function planOf(
  question: Question,
  windows: readonly Window[],
  last: State,
  proved: boolean,
  bound: number,
): LadderPlan {
  const states: State[] = []
  for (let state: State | undefined = last; state && state.step >= 0; state = state.before)
    states.unshift(state)
  return {
    steps: states.map((state) => ({
      target: windows[state.step]?.target ?? 0,
      set: state.set,
      power: powerOf(question, state.set),
      inside: windows[state.step]?.inside ?? false,
      changes: state.changes - (state.before?.changes ?? 0),
    })),
    changes: last.changes,
    items: last.items,
    deviation: last.deviation,
    proved,
    bound,
  }
}
