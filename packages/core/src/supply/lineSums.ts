import { isClear } from './line'

/** One observation as the sums take it: its row of the design, V, and its weight. */
export interface Weighed {
  /** 1, −I, hours; in what the sums are centred on. */
  readonly row: readonly [number, number, number]
  readonly V: number
  readonly weight: number
}

type Rows = readonly (readonly number[])[]

/** A straight line in V = E − R·I, or one with a drift in time, by its normal equations. */
export interface SummedLine {
  readonly coefficients: readonly number[]
  /** (XᵀWX)⁻¹ */
  readonly inverse: Rows
  readonly chiSquared: number
  readonly freedom: number
}

/**
 * The normal equations of a weighted line, from which single observations are taken out again: a fit without one of N costs
 * what one with it does, whatever N is. So a search for those that do not belong needs no fit of its own for each.
 */
export class LineSums {
  private readonly xx = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ]
  /** The same with the square of the weights. */
  private readonly xxx = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ]
  private readonly xy = [0, 0, 0]
  private yy = 0
  private count = 0

  constructor(all: readonly Weighed[]) {
    for (const one of all) this.move(one, 1)
  }

  remove(one: Weighed): void {
    this.move(one, -1)
  }

  private move({ row, V, weight }: Weighed, sign: 1 | -1): void {
    this.count += sign
    this.yy += sign * weight * V * V
    for (let i = 0; i < 3; i++) {
      const a = row[i] as number
      this.xy[i] = (this.xy[i] as number) + sign * weight * a * V
      for (let j = 0; j < 3; j++) {
        const product = sign * weight * a * (row[j] as number)
        const [sums, squares] = [this.xx[i] as number[], this.xxx[i] as number[]]
        sums[j] = (sums[j] as number) + product
        squares[j] = (squares[j] as number) + product * weight
      }
    }
  }

  /** The line through what is left, with a drift only where that is clear; undefined where it is not determined. */
  line(mayDrift: boolean): SummedLine | undefined {
    const plain = this.fitted(2)
    const drifting = mayDrift && this.count >= 5 ? this.fitted(3) : undefined
    return plain && drifting && isClear({ ...drifting, covariance: drifting.inverse }, plain)
      ? drifting
      : plain
  }

  private fitted(columns: 2 | 3): SummedLine | undefined {
    const inverse = inverted(this.xx.slice(0, columns).map((row) => row.slice(0, columns)))
    if (!inverse) return undefined
    const coefficients = inverse.map((row) => row.reduce((sum, x, k) => sum + x * (this.xy[k] ?? 0), 0))
    const explained = coefficients.reduce((sum, x, k) => sum + x * (this.xy[k] ?? 0), 0)
    return {
      coefficients,
      inverse,
      chiSquared: Math.max(0, this.yy - explained),
      freedom: this.count - columns,
    }
  }

  /** How sure the line is at a row, as a factor on the scatter of single observations. */
  reach({ inverse }: SummedLine, row: readonly number[]): number {
    const at = inverse.map((line) => line.reduce((sum, x, k) => sum + x * (row[k] ?? 0), 0))
    return at.reduce(
      (sum, a, i) => sum + a * at.reduce((inner, b, j) => inner + (this.xxx[i]?.[j] ?? 0) * b, 0),
      0,
    )
  }
}

/** Inverse of a small symmetric matrix, by cofactors; undefined where its columns depend on each other. */
function inverted(m: Rows): Rows | undefined {
  const at = (i: number, j: number) => m[i]?.[j] ?? 0
  if (m.length === 2) {
    const det = at(0, 0) * at(1, 1) - at(0, 1) * at(1, 0)
    if (!(det > 1e-12 * at(0, 0) * at(1, 1))) return undefined
    return [
      [at(1, 1) / det, -at(0, 1) / det],
      [-at(1, 0) / det, at(0, 0) / det],
    ]
  }
  const cofactor = (i: number, j: number) => {
    const [a, b] = [0, 1, 2].filter((k) => k !== i) as [number, number]
    const [c, d] = [0, 1, 2].filter((k) => k !== j) as [number, number]
    return ((i + j) % 2 ? -1 : 1) * (at(a, c) * at(b, d) - at(a, d) * at(b, c))
  }
  const det = [0, 1, 2].reduce((sum, j) => sum + at(0, j) * cofactor(0, j), 0)
  if (!(det > 1e-12 * at(0, 0) * at(1, 1) * at(2, 2))) return undefined
  return [0, 1, 2].map((i) => [0, 1, 2].map((j) => cofactor(j, i) / det))
}
