import { inverse, Matrix } from 'ml-matrix'

export const dot = (x: readonly number[], y: readonly number[]) =>
  x.reduce((sum, value, i) => sum + value * (y[i] ?? 0), 0)

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
  const x = new Matrix(rows.map((row) => open.map((i) => row[i] ?? 0)))
  const weighted = new Matrix(
    rows.map((row, r) => open.map((i) => (row[i] ?? 0) / (variances[r] ?? 1))),
  ).transpose()
  const gain = inverse(weighted.mmul(x)).mmul(weighted)
  const wide = rows.map((_, r) => {
    const column = new Array<number>(size).fill(0)
    open.forEach((i, k) => (column[i] = gain.get(k, r)))
    return column
  })
  const theta = Array.from({ length: size }, (_, i) =>
    wide.reduce((sum, column, r) => sum + (column[i] ?? 0) * (y[r] ?? 0), 0),
  )
  return { theta, gains: wide, leverages: rows.map((row, r) => dot(row, wide[r] ?? [])) }
}
