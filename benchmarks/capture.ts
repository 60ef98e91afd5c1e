import { ladderOf, workOutAll } from './ladders'
import { say } from './report'

/** Working out everything again after one more capture on a ladder of 600 steps. */
export function benchCapture(): void {
  for (const [repeats, words] of [
    [1, 'a step more'],
    [3, 'a repeat more, so that every spread changes'],
  ] as const) {
    const { trial, entries } = ladderOf(600, repeats)
    const first = entries.length - 40
    workOutAll({ trial, entries: entries.slice(0, first) })
    const times = Array.from({ length: 40 }, (_, i) => {
      const from = performance.now()
      workOutAll({ trial, entries: entries.slice(0, first + i + 1) })
      return performance.now() - from
    }).sort((a, b) => a - b)
    say(`capture on 600 steps × ${repeats}, ${words}, median`, times[20] ?? 0, 'what is promised', 50, 'ms')
  }
}
