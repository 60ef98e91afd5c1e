import { hoursAt } from '../endurance'
import { say } from '../figures'

export type RunsFor =
  | {
      readonly hours: number
      /** Lighter than what was tried: the unit's own draw then eats more of it. */ readonly atMost: boolean
    }
  | { readonly missing: string }

/** How much heavier than what was run down a load may be and still be taken as like it. */
const like = 1.05

/**
 * Hours that a load runs on what was run down, from Wh given against load: between the loads that were tried as straight
 * between them, lighter than the lightest at most so long. A load heavier than any that was tried is not answered: nobody
 * showed that it is carried at all.
 */
export function runsFor(curve: readonly { watts: number; Wh: number }[], watts: number): RunsFor {
  const [lightest, heaviest] = [curve[0], curve.at(-1)]
  if (!lightest || !heaviest) return { missing: 'Nothing was run down.' }
  if (watts > heaviest.watts * like) return { missing: `Only ${say(heaviest.watts, 'W')} was run down.` }
  const hours = hoursAt(curve, watts)
  return hours === undefined ? { missing: 'Nothing runs.' } : { hours, atMost: watts < lightest.watts / like }
}
