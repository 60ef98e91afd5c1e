export interface Regression {
  /** One for each column of the design, in its order. */
  readonly coefficients: readonly number[]
  /** (XᵀWX)⁻¹: the covariance of the coefficients when the weights are 1/u² of independent errors. */
  readonly covariance: readonly (readonly number[])[]
  /** coefficient k = Σ response[k][i]·y[i]: what carries correlated errors of y through. */
  readonly response: readonly ArrayLike<number>[]
  readonly residuals: readonly number[]
  /** Σ w·r². */
  readonly chiSquared: number
  readonly freedom: number
}

/**
 * Weighted linear least squares: y ≈ X·β minimising Σ w·r², w ≥ 0. X has one row for each observation.
 * Computed by QR of √w·X, so that nearly parallel columns cost no more digits than they must.
 * Undefined with fewer observations of weight than columns, or when the columns are not independent.
 */
export function regress(
  X: readonly (readonly number[])[],
  y: readonly number[],
  weights: readonly number[],
): Regression | undefined {
  const columns = X[0]?.length ?? 0
  const weighty = weights.reduce((count, w) => count + (w > 0 ? 1 : 0), 0)
  if (!columns || weighty < columns) return undefined
  const roots = Float64Array.from(weights, Math.sqrt)
  const found = orthogonal(
    Array.from({ length: columns }, (_, k) =>
      roots.map((root, i) => root * ((X[i] as readonly number[])[k] as number)),
    ),
  )
  if (!found) return undefined
  // (√w·X)⁺ = R⁻¹Qᵀ, of as many rows as columns of X: never a square of the observations.
  const pseudo = solvedUpper(found)
  const response = pseudo.map((row) => row.map((r, i) => r * (roots[i] as number)))
  const coefficients = response.map((row) => product(row, y))
  const residuals = y.map((value, i) => value - product(X[i] as readonly number[], coefficients))
  return {
    coefficients,
    response,
    residuals,
    covariance: pseudo.map((a) => pseudo.map((b) => product(a, b))),
    chiSquared: residuals.reduce((sum, r, i) => sum + (weights[i] ?? 0) * r * r, 0),
    freedom: weighty - columns,
  }
}

function product(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number)
  return sum
}

/** Less of its length than this left of a column, and it is a combination of those before it. */
const parallel = 1e-12

interface Orthogonal {
  /** Of length 1, at right angles to each other. */
  readonly Q: readonly Float64Array[]
  /** R[j][k], j ≤ k. */
  readonly R: readonly (readonly number[])[]
}

/**
 * Columns as Q·R by Gram and Schmidt, each column twice: what the first time leaves of the others the second takes out, so that
 * Q is as good as one by reflections. Fits ask for it thousands of times, each of a few long columns: no matrix is built.
 */
function orthogonal(columns: readonly Float64Array[]): Orthogonal | undefined {
  const Q: Float64Array[] = []
  const R = columns.map(() => columns.map(() => 0))
  for (const [k, column] of columns.entries()) {
    for (let round = 0; round < 2; round++)
      for (const [j, q] of Q.entries()) {
        const along = product(q, column)
        for (let i = 0; i < column.length; i++) column[i] = (column[i] as number) - along * (q[i] as number)
        const row = R[j] as number[]
        row[k] = (row[k] as number) + along
      }
    const length = Math.sqrt(product(column, column))
    ;(R[k] as number[])[k] = length
    Q.push(column.map((x) => x / length))
  }
  const diagonal = R.map((row, k) => row[k] as number)
  return Math.min(...diagonal) > parallel * Math.max(...diagonal) ? { Q, R } : undefined
}

/** R⁻¹Qᵀ, a row for each column. */
function solvedUpper({ Q, R }: Orthogonal): Float64Array[] {
  const rows = Q.map((q) => q.slice())
  for (let k = rows.length - 1; k >= 0; k--) {
    const row = rows[k] as Float64Array
    for (let j = k + 1; j < rows.length; j++) {
      const [factor, other] = [R[k]?.[j] as number, rows[j] as Float64Array]
      for (let i = 0; i < row.length; i++) row[i] = (row[i] as number) - factor * (other[i] as number)
    }
    const length = R[k]?.[k] as number
    for (let i = 0; i < row.length; i++) row[i] = (row[i] as number) / length
  }
  return rows
}
