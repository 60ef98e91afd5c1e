import { inverse, Matrix } from 'ml-matrix'

export const dot = (x: readonly number[], y: readonly number[]) =>
  x.reduce((sum, value, i) => sum + value * (y[i] ?? 0), 0)

/** Σ xᵢ·xⱼ/variance over the rows. */
function weighted(
  rows: readonly (readonly number[])[],
  variances: readonly number[],
  i: number,
  j: number,
): number {
  let sum = 0
  for (let r = 0; r < rows.length; r++) {
    const row = rows[r] as readonly number[]
    sum += ((row[i] as number) * (row[j] as number)) / (variances[r] ?? 1)
  }
  return sum
}

export interface LeastSquares {
  readonly theta: readonly number[]
  /** ∂θ/∂y: for each row the change of every term when its observation changes by one. */
  readonly gains: readonly (readonly number[])[]
  /** Share of its own value in what is fitted at each row, 0 to 1. */
  readonly leverages: readonly number[]
}

/**
 * Weighted linear least squares: minimises Σ (y − x·θ)²/variance. `rows` are the columns of each observation, as many
 * as terms; at least as many rows as terms, variances > 0. A term whose column is left out of `open` is held at 0.
 */
export function leastSquares(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  variances: readonly number[],
  open: readonly number[],
): LeastSquares {
  const size = rows[0]?.length ?? 0
  const sums = open.map((i) => open.map((j) => weighted(rows, variances, i, j)))
  const inverted = inverse(new Matrix(sums)).to2DArray()
  const theta = new Array<number>(size).fill(0)
  const gains = rows.map((row, r) => {
    const gain = new Array<number>(size).fill(0)
    open.forEach((i, a) => {
      const sum = open.reduce((all, j, b) => all + (inverted[a]?.[b] ?? 0) * (row[j] ?? 0), 0)
      gain[i] = sum / (variances[r] ?? 1)
      theta[i] = (theta[i] ?? 0) + gain[i] * (y[r] ?? 0)
    })
    return gain
  })
  return { theta, gains, leverages: rows.map((row, r) => dot(row, gains[r] ?? [])) }
}
