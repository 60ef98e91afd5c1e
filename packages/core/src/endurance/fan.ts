import { seriesFor, type Log } from '../logs'

/** How a fan behaved over a log, by what check-ins noted. */
export interface FanCourse {
  /** It was seen standing still before; else it may have run from the beginning. */
  readonly seenToStart: boolean
  /** s at which it was first seen running, and the temperature of the case and the watts then. */
  readonly starts: number
  readonly celsius: number | undefined
  readonly watts: number | undefined
  /** s that it ran on after the end. */
  readonly runsOn: number | undefined
  /** s from one start to the next, mean. */
  readonly cycle: number | undefined
}

/** What is told of the fan; undefined: it was never seen to start. */
export function fanOf(log: Log): FanCourse | undefined {
  const states = log.checkIns.flatMap(({ at, entry: { reading } }) => {
    if (reading.event === 'fan on') return [{ at, on: true }]
    if (reading.event === 'fan off') return [{ at, on: false }]
    return reading.fan === undefined ? [] : [{ at, on: reading.fan !== 'off' }]
  })
  const starts = states.filter(({ on }, i) => on && !(states[i - 1]?.on ?? false))
  const [first] = starts
  if (!first) return undefined
  const near = (quantity: 'T' | 'P_C') => {
    const points = seriesFor(log, quantity)?.points ?? []
    return points.findLast(({ at }) => at <= first.at)?.value ?? points[0]?.value
  }
  const end = log.ended?.at
  const stopped = end === undefined ? undefined : states.find(({ at, on }) => !on && at > end)
  const last = starts.at(-1)
  return {
    seenToStart: states[0] !== first,
    starts: first.at,
    celsius: near('T'),
    watts: near('P_C'),
    runsOn: stopped && end !== undefined ? stopped.at - end : undefined,
    cycle: last && starts.length > 1 ? (last.at - first.at) / (starts.length - 1) : undefined,
  }
}
