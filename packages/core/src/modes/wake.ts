import { say } from '../figures'
import type { RevisionRecord } from '../trials'
import { modeTests } from './draw'

export interface Wake {
  /** W that did not wake it, the most; and that did, the least. */
  readonly sleeps: number | undefined
  readonly wakes: number | undefined
  /** Loads that woke it once and not another time. */
  readonly undecided: boolean
  /** W to be tried next: half-way between the two. */
  readonly tryNext: number
  readonly sentence: string
}

/** A threshold this near, as a share, needs no more trying. */
const near = 0.15
const firstTry = 20

/** Where search mode wakes, from small loads that were tried, and which to try next (docs/method/modes.md). */
export function wakeOf(record: RevisionRecord): Wake | undefined {
  const tried = modeTests(record, 'wake').map(({ reading }) => reading)
  if (!tried.length) return undefined
  const of = (woke: boolean) => tried.filter((one) => one.woke === woke).map(({ watts }) => watts)
  const sleeps = of(false).length ? Math.max(...of(false)) : undefined
  const wakes = of(true).length ? Math.min(...of(true)) : undefined
  const undecided = sleeps !== undefined && wakes !== undefined && sleeps >= wakes
  const tryNext =
    sleeps === undefined ? (wakes ?? firstTry) / 2 : wakes === undefined ? sleeps * 2 : (sleeps + wakes) / 2
  const found = sleeps !== undefined && wakes !== undefined && !undecided
  const sentence = undecided
    ? `It woke at ${say(wakes ?? 0, 'W', 2)} and slept at ${say(sleeps ?? 0, 'W', 2)}: its threshold is not steady.`
    : found
      ? `It sleeps at ${say(sleeps, 'W', 2)} and wakes at ${say(wakes, 'W', 2)}${wakes / sleeps - 1 < near ? '' : `; try ${say(tryNext, 'W', 2)}`}.`
      : sleeps !== undefined
        ? `It sleeps at ${say(sleeps, 'W', 2)}; try ${say(tryNext, 'W', 2)}.`
        : `It wakes at ${say(wakes ?? 0, 'W', 2)}; try ${say(tryNext, 'W', 2)}.`
  return { sleeps, wakes, undecided, tryNext, sentence }
}
