import { changesBetween, itemsOf, type Question, type Settings } from './question'
import type { Window } from './window'

/** Every set in the window that differs from one in exactly so many loads. */
export function successors(
  from: Settings,
  differ: number,
  window: Window,
  { outlets }: Question,
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
  const found: Settings[] = []
  const set = [...from]
  const go = (at: number, left: number, drawnLow: number, drawnHigh: number, items: number) => {
    for (let i = at; i <= n - left; i++) {
      if (drawnLow + left * (rise[i] ?? 0) < low || drawnHigh + left * (fall[i] ?? 0) > high) return
      const now = from[i] ?? 0
      const [lows, highs] = [atLow[i] ?? [], atHigh[i] ?? []]
      const [restLow, restHigh] = [drawnLow - (lows[now] ?? 0), drawnHigh - (highs[now] ?? 0)]
      for (let k = 0; k < lows.length; k++) {
        if (k === now) continue
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
