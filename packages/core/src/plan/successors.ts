import { changesBetween, itemsOf, type Question, type Settings } from './question'
import type { Window } from './window'

/**
 * Every set in the window that differs from one in exactly so many loads. Of sets that are the same but for which of some
 * identical loads is taken, one: an identical load that stands alike is changed only after the one before it, and to no
 * higher a setting.
 */
export function successors(
  from: Settings,
  differ: number,
  window: Window,
  { outlets, loads, locked: fixed = [] }: Question,
): Settings[] {
  const { atLow, atHigh, low, high, locked } = window
  if (locked) return changesBetween(from, locked) === differ ? [locked] : []
  const sum = (table: readonly (readonly number[])[]) =>
    from.reduce((total, k, i) => total + (table[i]?.[k] ?? 0), 0)
  // The most and the least that one more change among the loads from i on can add.
  const n = from.length
  const rise = new Array<number>(n + 1).fill(0)
  const fall = new Array<number>(n + 1).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    const now = from[i] ?? 0
    rise[i] = Math.max(rise[i + 1] ?? 0, (window.most[i] ?? 0) - (atLow[i]?.[now] ?? 0))
    fall[i] = Math.min(fall[i + 1] ?? 0, -(atHigh[i]?.[now] ?? 0))
  }
  const twins = twinsBefore(from, loads, fixed)
  const found: Settings[] = []
  const set = [...from]
  const go = (at: number, left: number, drawnLow: number, drawnHigh: number, items: number) => {
    for (let i = at; i <= n - left; i++) {
      if (drawnLow + left * (rise[i] ?? 0) < low || drawnHigh + left * (fall[i] ?? 0) > high) return
      const now = from[i] ?? 0
      const twin = twins[i]
      const most = twin === undefined ? Infinity : (set[twin] ?? 0)
      // Its twin stays, so changing this one instead is the same.
      if (twin !== undefined && most === now) continue
      const [lows, highs] = [atLow[i] ?? [], atHigh[i] ?? []]
      const [restLow, restHigh] = [drawnLow - (lows[now] ?? 0), drawnHigh - (highs[now] ?? 0)]
      for (let k = 0; k < lows.length; k++) {
        if (k === now || k > most) continue
        const [nextLow, nextHigh] = [restLow + (lows[k] ?? 0), restHigh + (highs[k] ?? 0)]
        const on = items + (k ? 1 : 0) - (now ? 1 : 0)
        if (left > 1) {
          set[i] = k
          go(i + 1, left - 1, nextLow, nextHigh, on)
        } else if (nextLow >= low && nextHigh <= high && on <= outlets) {
          const whole = [...from]
          for (let done = 0; done < i; done++) whole[done] = set[done] ?? 0
          whole[i] = k
          found.push(whole)
        }
      }
      set[i] = now
    }
  }
  const [drawnLow, drawnHigh] = [sum(atLow), sum(atHigh)]
  const on = itemsOf(from)
  if (differ > 0) go(0, differ, drawnLow, drawnHigh, on)
  // A locked step may hold more loads than there are outlets; a free one after it may not.
  else if (drawnLow >= low && drawnHigh <= high && on <= outlets) found.push(from)
  return found
}

/** For each load the nearest one before it that is the very same, stands alike, and is fixed alike in every step. */
function twinsBefore(
  from: Settings,
  loads: Question['loads'],
  fixed: NonNullable<Question['locked']>,
): (number | undefined)[] {
  const last = new Map<string, number>()
  return loads.map(({ kind, volts, settings }, i) => {
    const alike = [kind, volts, settings, from[i], fixed.map((set) => set?.[i])].join('|')
    const twin = last.get(alike)
    last.set(alike, i)
    return twin
  })
}
