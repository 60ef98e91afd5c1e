import type { Course, StartOutcome } from '@even-watt/contract'

/** What a capture shows of one start. Times in s, from the start where not said otherwise. */
export interface SeenStart {
  /** From the first sample. */
  readonly begins: number
  /** Until it was within 10 % of running; undefined: it never was. */
  readonly toRun: number | undefined
  /** Until the output or the input was gone. */
  readonly goneAfter: number | undefined
  readonly outcome: StartOutcome
  /** RMS over the worst cycle, and while it runs; A. */
  readonly worst: number
  readonly running: number | undefined
  /** Over the worst cycle, W and VA; undefined without volts. */
  readonly watts: number | undefined
  readonly VA: number | undefined
  /** The watts with what else was on taken out at V². */
  readonly motorWatts: number | undefined
  /** W before. */
  readonly base: number
  /** Lowest RMS volts before the output was gone, and s under 90, 80 and 70 % of nominal. */
  readonly lowest: number | undefined
  readonly under: Readonly<Record<90 | 80 | 70, number>>
  readonly inputBefore: number | undefined
  /** Lowest mean over a cycle before the input was gone. */
  readonly lowestInput: number | undefined
  readonly inputGone: boolean
  readonly highestInput: number | undefined
}

export interface NoStart {
  readonly fault: string
}

/** s after which a start is a late one, where nothing shows how long it takes on a stiff supply. */
export const late = 1
/** Share of nominal under which output or input are gone. */
const gone = 0.1
const inputGoneAt = 0.5
/** A start raises the current by more than this. */
const rises = 1.3
/** Share of the tail by which running is steady, and of the worst cycle under which it runs. */
const steady = 1.25
const runs = 0.7
/** Cycles that straddle the moment in which something goes, in half cycles. */
const straddling = 3

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

/**
 * A start as the course of its capture shows it (docs/method/motors.md); `nominal` V RMS, `baseLoad` W that was on beside it
 * where no volts and amperes before the start show it. A sentence where the capture holds no start, or begins after it.
 */
export function startIn(
  course: Course,
  nominal: number,
  baseLoad = 0,
  usualTime = late,
): SeenStart | NoStart {
  const { I_C, V_C, P, V_B, I, step } = course
  if (!I_C || I_C.length < 8) return { fault: 'It holds no amperes of the outlet, so no start can be told.' }
  const worst = Math.max(...I_C)
  const level = I_C[0] as number
  if (!(worst > 0)) return { fault: 'No current flows in it.' }
  const highest = I_C.indexOf(worst)
  if (level > 0.5 * worst && level * rises > worst)
    return {
      fault:
        median(I_C.slice(-Math.ceil(I_C.length / 10))) < runs * worst
          ? 'It begins after the start: the current is at its highest at once. Set the trigger so that some time before it is caught.'
          : 'Nothing starts in it: the current stays as it is.',
    }
  const first = I_C.findIndex((amps) => amps > level + 0.1 * (worst - level))
  const base = I_C.slice(0, Math.max(1, first - 1))
  const before = (values: readonly number[] | undefined) =>
    values && median(values.slice(0, Math.max(1, first - 1)))
  const inputBefore = before(V_B)
  const goneOutput = V_C?.findIndex((volts, k) => k > first && volts < gone * nominal) ?? -1
  const goneInput =
    inputBefore === undefined
      ? -1
      : (V_B?.findIndex((volts, k) => k > first && volts < inputGoneAt * inputBefore) ?? -1)
  const ends = [goneOutput, goneInput].filter((k) => k >= 0)
  const end = ends.length ? Math.min(...ends) : I_C.length
  const until = Math.max(first + 1, ends.length ? end - straddling : end)
  const during = <T>(values: readonly T[] | undefined) => values?.slice(first, until)
  const tail = I_C.slice(-Math.max(5, Math.ceil(I_C.length / 10)))
  const back = goneOutput >= 0 && (V_C?.at(-1) ?? 0) > 0.9 * nominal
  const settled = tailRunning(tail, worst, median(base))
  const lastAbove =
    settled === undefined ? -1 : I_C.findLastIndex((amps, k) => k >= highest && amps > 1.1 * settled)
  const toRun =
    settled === undefined || (ends.length && !back) ? undefined : Math.max(0, lastAbove + 1 - first) * step
  const voltsBefore = before(V_C)
  const powerBefore = P && before(P)
  const baseWatts =
    powerBefore !== undefined && powerBefore > 0.005 * nominal * worst ? powerBefore : baseLoad
  const at = (k: number) => {
    const [volts, amps, watts] = [V_C?.[k], I_C[k] as number, P?.[k]]
    if (volts === undefined || watts === undefined || !(volts > 0)) return undefined
    const own = watts - baseWatts * (volts / (voltsBefore ?? nominal)) ** 2
    return { watts, VA: volts * amps, own }
  }
  const points = Array.from({ length: until - first }, (_, k) => at(first + k)).filter(
    (one) => one !== undefined,
  )
  const most = (pick: (one: NonNullable<ReturnType<typeof at>>) => number) =>
    points.length ? Math.max(...points.map(pick)) : undefined
  const volts = during(V_C)
  const time = (share: number) => (volts ?? []).filter((one) => one < share * nominal).length * step
  const low = (values: readonly number[] | undefined) => (values?.length ? Math.min(...values) : undefined)
  return {
    begins: course.from + first * step,
    toRun,
    goneAfter: ends.length ? (end - first) * step : undefined,
    outcome: outcomeOf({ ended: ends.length > 0, back, toRun, usualTime }),
    worst: Math.max(...(during(I_C) as readonly number[])),
    running: settled,
    watts: most((one) => one.watts),
    VA: most((one) => one.VA),
    motorWatts: most((one) => one.own),
    base: baseWatts,
    lowest: low(volts),
    under: { 90: time(0.9), 80: time(0.8), 70: time(0.7) },
    inputBefore,
    lowestInput: low(during(V_B)),
    inputGone: goneInput >= 0,
    highestInput: I && Math.max(...(during(I) as readonly number[])),
  }
}

/** Running current, where the end of a capture is steady, under the worst cycle and over what flowed before. */
function tailRunning(tail: readonly number[], worst: number, base: number): number | undefined {
  const [low, high] = [Math.min(...tail), Math.max(...tail)]
  const middle = median(tail)
  if (!(high < steady * low) || !(middle < runs * worst)) return undefined
  // It was let go again, by its own switch or by hand: what flows is only what flowed before.
  return middle > base + 0.02 * worst ? middle : undefined
}

const outcomeOf = ({
  ended,
  back,
  toRun,
  usualTime,
}: {
  readonly ended: boolean
  readonly back: boolean
  readonly toRun: number | undefined
  readonly usualTime: number
}): StartOutcome => {
  if (ended) return back ? 'tripped and recovered' : 'tripped'
  if (toRun === undefined) return 'stalled'
  return toRun > usualTime ? 'started late' : 'started'
}
