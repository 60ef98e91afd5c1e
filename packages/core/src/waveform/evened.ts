/** Samples given to each cycle, at most. */
const mostPerCycle = 1024

/** Value between samples, by the cubic through the four around it. */
function between(x: Float64Array, at: number): number {
  const i = Math.max(1, Math.min(x.length - 3, Math.floor(at)))
  const t = at - i
  const [a, b, c, d] = [x[i - 1] as number, x[i] as number, x[i + 1] as number, x[i + 2] as number]
  return b + (t / 2) * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)))
}

/**
 * Cycles of different lengths, each stretched to the same number of samples, so that harmonics of a wave whose frequency
 * moves can be told. `crossings` are the instants, in samples, at which its cycles begin. Returns the samples and how many
 * each cycle has.
 */
export function evened(x: Float64Array, crossings: readonly number[]): { x: Float64Array; perCycle: number } {
  const cycles = crossings.length - 1
  const mean = ((crossings.at(-1) as number) - (crossings[0] as number)) / cycles
  const perCycle = Math.max(16, Math.min(mostPerCycle, Math.round(mean)))
  const out = new Float64Array(cycles * perCycle)
  for (let cycle = 0; cycle < cycles; cycle++) {
    const from = crossings[cycle] as number
    const length = (crossings[cycle + 1] as number) - from
    for (let i = 0; i < perCycle; i++) out[cycle * perCycle + i] = between(x, from + (length * i) / perCycle)
  }
  return { x: out, perCycle }
}
