/** Points of a mean cycle. */
const cyclePoints = 256

/** A rise between two neighbouring samples, as a share of all the wave spans, that is an edge: no sine is so steep. */
const edge = 0.3

/**
 * Turns by which samples are taken late: where the rate is a multiple of the frequency they fall right between two points, and
 * the last digit of a sine, in which engines differ, would choose.
 */
const nudge = 1e-7

/** A cycle as it was on the average, and between what it moved. */
export interface MeanCycle {
  readonly mean: Float64Array
  readonly low: Float64Array
  readonly high: Float64Array
  /** Standard deviation of a single sample about the mean, typical of the flat parts: an edge would add its own slope. */
  readonly noise: number
}

/** Gathers samples by the phase in which they fell. */
export class Folding {
  private readonly sum = new Float64Array(cyclePoints)
  private readonly squares = new Float64Array(cyclePoints)
  private readonly count = new Uint32Array(cyclePoints)
  private readonly low = new Float64Array(cyclePoints).fill(Infinity)
  private readonly high = new Float64Array(cyclePoints).fill(-Infinity)

  /** Adds samples; `w` rad a sample, `phase` of the first. */
  add(x: Float64Array, w: number, phase: number, from: number, to: number): void {
    const perSample = w / (2 * Math.PI)
    const start = phase / (2 * Math.PI) + nudge
    for (let i = from; i < to; i++) {
      const turn = start + perSample * (i - from)
      const bin = Math.floor((turn - Math.floor(turn)) * cyclePoints) % cyclePoints
      const v = x[i] as number
      this.sum[bin] = (this.sum[bin] as number) + v
      this.squares[bin] = (this.squares[bin] as number) + v * v
      this.count[bin] = (this.count[bin] as number) + 1
      if (v < (this.low[bin] as number)) this.low[bin] = v
      if (v > (this.high[bin] as number)) this.high[bin] = v
    }
  }

  /** Points in whose phase no sample fell lie between their neighbours; an edge there is taken in the middle of the gap. */
  mean(): MeanCycle {
    const span = Math.max(...this.high) - Math.min(...this.low)
    const known = [...this.count.keys()].filter((i) => this.count[i])
    const between = (values: (i: number) => number) =>
      Float64Array.from({ length: cyclePoints }, (_, i) => {
        if (this.count[i]) return values(i)
        const after = known.find((k) => k > i) ?? (known[0] as number) + cyclePoints
        const before = known.findLast((k) => k < i) ?? (known.at(-1) as number) - cyclePoints
        const share = (i - before) / (after - before)
        const at = (k: number) => values((k + cyclePoints) % cyclePoints)
        if (Math.abs(at(after) - at(before)) > edge * span) return share < 0.5 ? at(before) : at(after)
        return at(before) * (1 - share) + at(after) * share
      })
    const mean = between((i) => (this.sum[i] as number) / (this.count[i] as number))
    const spreads = known
      .filter((i) => (this.count[i] as number) > 2)
      .map((i) => {
        const n = this.count[i] as number
        return Math.max(0, ((this.squares[i] as number) - (this.sum[i] as number) ** 2 / n) / (n - 1))
      })
      .sort((a, b) => a - b)
    return {
      mean,
      low: between((i) => this.low[i] as number),
      high: between((i) => this.high[i] as number),
      noise: Math.sqrt(spreads[Math.floor(spreads.length / 4)] ?? 0),
    }
  }
}
