import { ownSource } from './sources'
import type { Split } from './split'

/**
 * Results that are linear in many uncertain inputs, as forms over the inputs' sources (JCGM 102).
 * `gains` holds ∂result/∂input for each result, in their order. Sources that are one input's own are folded into as
 * many as there are results (a Cholesky factor of their covariance, named after `name`), so that what follows from
 * 10,000 readings stays small and keeps its covariance. `scatter` is covariance that no source explains, results ×
 * results, and is folded in with them.
 */
export function linearForms(
  gains: Iterable<readonly [Split, ArrayLike<number>]>,
  size: number,
  name: string,
  scatter?: readonly (readonly number[])[],
): Map<string, number>[] {
  const shared = new Map<string, Float64Array>()
  const folded = Array.from({ length: size }, (_, i) =>
    Float64Array.from({ length: size }, (_unused, j) => scatter?.[i]?.[j] ?? 0),
  )
  for (const [{ own, shared: sources }, gain] of gains) {
    for (const [source, sensitivity] of sources) {
      let sums = shared.get(source)
      if (!sums) shared.set(source, (sums = new Float64Array(size)))
      for (let i = 0; i < size; i++) sums[i] = (sums[i] as number) + (gain[i] as number) * sensitivity
    }
    if (own > 0)
      for (let i = 0; i < size; i++) {
        const row = folded[i] as Float64Array
        const most = (gain[i] as number) * own
        if (most !== 0)
          for (let j = 0; j < size; j++) row[j] = (row[j] as number) + most * (gain[j] as number)
      }
  }
  const factor = cholesky(folded)
  const forms = Array.from(
    { length: size },
    (_, i) => new Map([...shared].flatMap(([source, sums]) => (sums[i] ? [[source, sums[i]] as const] : []))),
  )
  forms.forEach((form, i) => {
    for (let j = 0; j <= i; j++) {
      const part = factor[i]?.[j] ?? 0
      if (part !== 0) form.set(ownSource(`fit ${j}`, name), part)
    }
  })
  return forms
}

/** Lower factor of a positive semi-definite matrix; directions without variance get 0. */
function cholesky(matrix: readonly Float64Array[]): Float64Array[] {
  const n = matrix.length
  const lower = Array.from({ length: n }, () => new Float64Array(n))
  const at = (rows: readonly Float64Array[], i: number, j: number) => rows[i]?.[j] ?? 0
  for (let j = 0; j < n; j++) {
    let diagonal = at(matrix, j, j)
    for (let k = 0; k < j; k++) diagonal -= at(lower, j, k) ** 2
    const root = diagonal > 1e-14 * at(matrix, j, j) ? Math.sqrt(diagonal) : 0
    for (let i = j; i < n; i++) {
      let rest = at(matrix, i, j)
      for (let k = 0; k < j; k++) rest -= at(lower, i, k) * at(lower, j, k)
      const row = lower[i]
      if (row) row[j] = root > 0 ? rest / root : 0
    }
  }
  return lower
}
