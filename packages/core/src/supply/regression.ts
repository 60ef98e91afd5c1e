import { Matrix, QrDecomposition, solve } from 'ml-matrix'

export interface Regression {
  /** One for each column of the design, in its order. */
  readonly coefficients: readonly number[]
  /** (XᵀWX)⁻¹: the covariance of the coefficients when the weights are 1/u² of independent errors. */
  readonly covariance: readonly (readonly number[])[]
  /** coefficient k = Σ response[k][i]·y[i]: what carries correlated errors of y through. */
  readonly response: readonly (readonly number[])[]
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
  if (!columns || weights.filter((w) => w > 0).length < columns) return undefined
  const roots = weights.map(Math.sqrt)
  const qr = new QrDecomposition(new Matrix(X.map((row, i) => row.map((x) => x * (roots[i] ?? 0)))))
  if (!independent(qr.upperTriangularMatrix)) return undefined
  // (√w·X)⁺ = R⁻¹Qᵀ, of as many rows as columns of X: never a square of the observations.
  const pseudo = solve(qr.upperTriangularMatrix, qr.orthogonalMatrix.transpose()).to2DArray()
  const response = pseudo.map((row) => row.map((r, i) => r * (roots[i] ?? 0)))
  const coefficients = response.map((row) => row.reduce((sum, r, i) => sum + r * (y[i] ?? 0), 0))
  const residuals = y.map((value, i) =>
    (X[i] ?? []).reduce((rest, x, k) => rest - x * (coefficients[k] ?? 0), value),
  )
  return {
    coefficients,
    response,
    residuals,
    covariance: pseudo.map((a) => pseudo.map((b) => a.reduce((sum, x, i) => sum + x * (b[i] ?? 0), 0))),
    chiSquared: residuals.reduce((sum, r, i) => sum + (weights[i] ?? 0) * r * r, 0),
    freedom: weights.filter((w) => w > 0).length - columns,
  }
}

/** Whether no column is a combination of others, to the accuracy of the machine. */
function independent(R: Matrix): boolean {
  const diagonal = R.diagonal().map(Math.abs)
  return Math.min(...diagonal) > 1e-12 * Math.max(...diagonal)
}
