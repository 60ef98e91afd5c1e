/** What samples say without any period. */
export interface Basics {
  readonly rms: number
  readonly dc: number
  readonly max: number
  readonly min: number
  /** Of the distance from the mean. */
  readonly meanAbsolute: number
}

/**
 * Figures of samples from `from` up to, not with, `to`, taken as evenly spaced, in the unit of the samples. At least one
 * sample (docs/method/waveform.md).
 */
export function basicsOf(x: Float64Array, from = 0, to = x.length): Basics {
  let sum = 0
  let squares = 0
  let max = -Infinity
  let min = Infinity
  for (let i = from; i < to; i++) {
    const v = x[i] as number
    sum += v
    squares += v * v
    if (v > max) max = v
    if (v < min) min = v
  }
  const n = to - from
  const dc = sum / n
  let off = 0
  for (let i = from; i < to; i++) off += Math.abs((x[i] as number) - dc)
  return { rms: Math.sqrt(squares / n), dc, max, min, meanAbsolute: off / n }
}

/** The same where the times lie unevenly: integrals by trapezoid over the time. At least two samples. */
export function unevenBasics(x: Float64Array, times: Float64Array): Basics {
  const over = (f: (v: number) => number) => {
    let sum = 0
    for (let i = 1; i < x.length; i++)
      sum +=
        ((f(x[i - 1] as number) + f(x[i] as number)) / 2) * ((times[i] as number) - (times[i - 1] as number))
    return sum / ((times[x.length - 1] as number) - (times[0] as number))
  }
  const dc = over((v) => v)
  const { max, min } = basicsOf(x)
  return { rms: Math.sqrt(over((v) => v * v)), dc, max, min, meanAbsolute: over((v) => Math.abs(v - dc)) }
}

/** Bins in which levels are looked for. */
const bins = 4096

/** Levels under which shares of the samples lie, each to 1/4096 of the range; two lone spikes move them little. */
export function levelsOf(x: Float64Array, shares: readonly number[]): number[] {
  const { min, max } = basicsOf(x)
  const counts = new Uint32Array(bins)
  const scale = max > min ? (bins - 1e-6) / (max - min) : 0
  for (const v of x) (counts[Math.floor((v - min) * scale)] as number)++
  return shares.map((share) => {
    let left = share * x.length
    const bin = counts.findIndex((count) => (left -= count) <= 0)
    return scale ? min + (bin + 0.5) / scale : min
  })
}
