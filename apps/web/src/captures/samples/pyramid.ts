/** How many samples of one level make one of the next. */
const step = 16

/** Lowest and highest in slices of a view. */
export interface Slices {
  readonly low: Float64Array
  readonly high: Float64Array
}

/** Lowest and highest of ever larger runs of samples: any view of millions of them is drawn from a few thousand numbers. */
export class Pyramid {
  private readonly levels: Slices[]

  constructor(x: Float64Array) {
    this.levels = [{ low: x, high: x }]
    for (let below = { low: x, high: x } as Slices; below.low.length > step;) {
      const length = Math.ceil(below.low.length / step)
      const next = { low: new Float64Array(length), high: new Float64Array(length) }
      for (let i = 0; i < length; i++) {
        let [low, high] = [Infinity, -Infinity]
        for (let k = i * step; k < Math.min(below.low.length, (i + 1) * step); k++) {
          low = Math.min(low, below.low[k] as number)
          high = Math.max(high, below.high[k] as number)
        }
        next.low[i] = low
        next.high[i] = high
      }
      this.levels.push(next)
      below = next
    }
  }

  /** Slices from one sample up to another; a slice takes in its first neighbour, so that the line has no gaps. */
  look(from: number, to: number, slices: number): Slices {
    const perSlice = (to - from) / slices
    const level = Math.max(
      0,
      Math.min(this.levels.length - 1, Math.floor(Math.log(perSlice / 2) / Math.log(step))),
    )
    const { low, high } = this.levels[level] as Slices
    const size = step ** level
    const view = { low: new Float64Array(slices), high: new Float64Array(slices) }
    for (let i = 0; i < slices; i++) {
      const first = Math.max(0, Math.floor((from + i * perSlice) / size))
      const last = Math.min(low.length - 1, Math.max(first, Math.floor((from + (i + 1) * perSlice) / size)))
      let [least, most] = [Infinity, -Infinity]
      for (let k = first; k <= last; k++) {
        least = Math.min(least, low[k] as number)
        most = Math.max(most, high[k] as number)
      }
      view.low[i] = least
      view.high[i] = most
    }
    return view
  }
}
