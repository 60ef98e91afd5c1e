/** What a column of times says. */
export interface Times {
  readonly dt: number
  /** Set where they lie unevenly. */
  readonly uneven: Float64Array | undefined
  readonly notes: readonly string[]
}

/** Share of a step that a time may be off. */
const off = 0.001

/**
 * Whether times (in s) lie evenly: within 0.1 % of a step beside half their last printed digit, which is `digit` s. Times that
 * stand twice or run back are said. At least two, the last above the first; else undefined.
 */
export function timesOf(times: Float64Array, digit: number): Times | undefined {
  const n = times.length
  const [first, last] = [times[0] as number, times[n - 1] as number]
  const dt = (last - first) / (n - 1)
  if (!(dt > 0)) return undefined
  let [worst, doubled, longest] = [0, 0, 0]
  for (let i = 0; i < n; i++) {
    worst = Math.max(worst, Math.abs((times[i] as number) - first - i * dt))
    if (i === 0) continue
    const step = (times[i] as number) - (times[i - 1] as number)
    if (step <= 0) doubled++
    longest = Math.max(longest, step)
  }
  if (worst <= off * dt + 1.01 * digit && !(doubled && digit < dt / 2))
    return { dt, uneven: undefined, notes: [] }
  return {
    dt,
    uneven: times,
    notes: [
      ...(doubled ? [`${doubled} times stand twice or run back.`] : []),
      ...(longest > 2.5 * dt ? [`There is a gap of ${longest.toPrecision(3)} s.`] : []),
      'The samples lie unevenly in time: volts and amperes are told, harmonics are not.',
    ],
  }
}
