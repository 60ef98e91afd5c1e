import { Integrator, Riser, type Integral } from '../integrate'
import type { RowSink } from './rows'

/** Points of a course, at most; the same as the contract's. */
const mostCourse = 480

/** What all rows of one column come to. */
export interface ColumnDigest {
  readonly count: number
  readonly min: number
  readonly max: number
  readonly first: number
  readonly last: number
  readonly integral: Integral
  readonly rise: { readonly value: number; readonly restarts: number }
}

export interface LogDigest {
  readonly rows: number
  readonly seconds: number
  readonly gap: { readonly from: number; readonly seconds: number }
  readonly columns: readonly ColumnDigest[]
  /** s, and for each column its means there; null where it held nothing. */
  readonly times: readonly number[]
  readonly courses: readonly (readonly (number | null)[])[]
}

/** Two columns whose product is another: watts of volts and amperes. */
export interface Product {
  readonly volts: number
  readonly amps: number
}

class ColumnSum {
  count = 0
  min = Infinity
  max = -Infinity
  first = NaN
  last = NaN
  readonly integrator = new Integrator()
  readonly riser = new Riser()

  add(seconds: number, x: number): void {
    if (Number.isNaN(x)) return
    if (this.count++ === 0) this.first = x
    if (x < this.min) this.min = x
    if (x > this.max) this.max = x
    this.last = x
    this.integrator.add(seconds, x)
    this.riser.add(x)
  }
}

/** Means over runs of rows; when there are too many, each two become one, so that any length stays a few hundred points. */
class Course {
  private readonly times: number[] = []
  private readonly sums: number[][]
  private readonly counts: number[][]
  private rows = 1
  private filled = 0

  constructor(width: number) {
    this.sums = Array.from({ length: width }, () => [])
    this.counts = Array.from({ length: width }, () => [])
  }

  add(seconds: number, values: Float64Array): void {
    if (this.filled === 0) {
      if (this.times.length === mostCourse) this.halve()
      this.times.push(0)
      for (const sums of this.sums) sums.push(0)
      for (const counts of this.counts) counts.push(0)
    }
    const at = this.times.length - 1
    this.times[at] = (this.times[at] ?? 0) + seconds / this.rows
    for (let i = 0; i < values.length; i++) {
      const x = values[i] as number
      if (Number.isNaN(x)) continue
      const [sums, counts] = [this.sums[i] as number[], this.counts[i] as number[]]
      sums[at] = (sums[at] as number) + x
      counts[at] = (counts[at] as number) + 1
    }
    this.filled = (this.filled + 1) % this.rows
  }

  private halve(): void {
    const pairs = (list: number[], merge: (a: number, b: number) => number) => {
      for (let i = 0; i < list.length / 2; i++)
        list[i] = merge(list[2 * i] as number, list[2 * i + 1] as number)
      list.length = mostCourse / 2
    }
    pairs(this.times, (a, b) => (a + b) / 2)
    for (const sums of this.sums) pairs(sums, (a, b) => a + b)
    for (const counts of this.counts) pairs(counts, (a, b) => a + b)
    this.rows *= 2
  }

  get done(): Pick<LogDigest, 'times' | 'courses'> {
    // The last run may not be full.
    const times =
      this.filled === 0
        ? this.times
        : [...this.times.slice(0, -1), ((this.times.at(-1) ?? 0) * this.rows) / this.filled]
    return {
      times,
      courses: this.sums.map((sums, i) =>
        sums.map((sum, k) => (this.counts[i]?.[k] ? sum / (this.counts[i][k] as number) : null)),
      ),
    }
  }
}

/** Takes rows as they come and keeps what follows from all of them; a product stands as a column after the others. */
export class Digest implements RowSink {
  private readonly sums: ColumnSum[]
  private readonly course: Course
  private readonly whole: Float64Array
  private before = 0
  private rows = 0
  private gap = { from: 0, seconds: 0 }

  constructor(
    private readonly width: number,
    private readonly products: readonly Product[] = [],
    private readonly next?: RowSink,
  ) {
    const all = width + products.length
    this.sums = Array.from({ length: all }, () => new ColumnSum())
    this.course = new Course(all)
    this.whole = new Float64Array(all)
  }

  row(seconds: number, values: Float64Array): void {
    const { whole } = this
    whole.set(values)
    this.products.forEach(({ volts, amps }, i) => {
      whole[this.width + i] = (values[volts] as number) * (values[amps] as number)
    })
    if (this.rows++ > 0 && seconds - this.before > this.gap.seconds)
      this.gap = { from: this.before, seconds: seconds - this.before }
    this.before = seconds
    for (let i = 0; i < whole.length; i++) this.sums[i]?.add(seconds, whole[i] as number)
    this.course.add(seconds, whole)
    if (!this.next) return
    // Kept to the third decimal, as readings are; what follows from it was worked from the whole product.
    for (let i = this.width; i < whole.length; i++) whole[i] = Math.round((whole[i] as number) * 1000) / 1000
    this.next.row(seconds, whole)
  }

  get done(): LogDigest {
    return {
      rows: this.rows,
      seconds: this.before,
      gap: this.gap,
      columns: this.sums.map(({ count, min, max, first, last, integrator, riser }) => ({
        count,
        min: count ? min : 0,
        max: count ? max : 0,
        first: count ? first : 0,
        last: count ? last : 0,
        integral: integrator.integral,
        rise: riser.rise,
      })),
      ...this.course.done,
    }
  }
}
