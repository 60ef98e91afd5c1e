import { changesBetween, itemsOf, powerOf, type Question, type Settings } from './question'
import { successors } from './successors'
import { windowFor } from './window'

export interface Alternative {
  readonly set: Settings
  readonly power: number
  /** Changes from the step before and to the step after, together. */
  readonly changes: number
  readonly items: number
  readonly deviation: number
}

/** How many changes from a neighbouring step alternatives are looked for. */
const reach = 2

/**
 * Other sets for one step, within two changes of the step before or after it: fewest changes on both sides first,
 * then fewest loads, then nearest to the target.
 */
export function alternativesFor(
  question: Question,
  sets: readonly Settings[],
  step: number,
  most = 6,
): Alternative[] {
  const free = { ...question, locked: question.locked?.map((set, i) => (i === step ? undefined : set)) ?? [] }
  const window = windowFor(free, step)
  const nothing = question.loads.map(() => 0)
  const before = sets[step - 1] ?? nothing
  const after = sets[step + 1]
  const found = new Map<string, Settings>()
  for (const neighbour of after ? [before, after] : [before]) {
    for (let differ = 0; differ <= reach; differ++) {
      for (const set of successors(neighbour, differ, window, question)) found.set(set.join(), set)
    }
  }
  found.set(window.example.join(), window.example)
  found.delete((sets[step] ?? nothing).join())
  return [...found.values()]
    .map((set) => {
      const power = powerOf(question, set)
      return {
        set,
        power,
        changes: changesBetween(before, set) + (after ? changesBetween(set, after) : 0),
        items: itemsOf(set),
        deviation: Math.abs(power - window.target) / window.target,
      }
    })
    .sort((a, b) => a.changes - b.changes || a.items - b.items || a.deviation - b.deviation)
    .slice(0, most)
}
