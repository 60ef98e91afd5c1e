import { inverse, Matrix } from 'ml-matrix'
import { linearForms, type Uncertain } from '../meters'
import type { LossPoint } from './lossPoint'

export const dot = (x: readonly number[], y: readonly number[]) =>
  x.reduce((sum, value, i) => sum + value * (y[i] ?? 0), 0)

/** Sources named by more than one point: the nuisance parameters. */
export function sharedSources(points: readonly LossPoint[]): string[] {
  const counts = new Map<string, number>()
  for (const point of points) {
    for (const source of new Set([...point.loss.sources.keys(), ...point.S.sources.keys()])) {
      counts.set(source, (counts.get(source) ?? 0) + 1)
    }
  }
  return [...counts].filter(([, count]) => count > 1).map(([source]) => source)
}

export interface LossRow {
  readonly point: LossPoint
  readonly x: readonly number[]
  /** Where the terms of its curve begin, and the curve's largest load. */
  readonly slopeAt: number
  readonly top: number
}

export interface LossSolution {
  readonly normal: Matrix
  readonly right: readonly number[]
  readonly theta: readonly number[]
  readonly inverse: Matrix
  /** For each row: error sources, their shared part in the order of the nuisance parameters, and the rest. */
  readonly rows: readonly {
    errors: ReadonlyMap<string, number>
    shared: readonly number[]
    variance: number
  }[]
}

/** Normal equations of the augmented system; the slope at the given terms carries the error of S over. */
export function solve(
  rows: readonly LossRow[],
  size: number,
  shared: readonly string[],
  guess: readonly number[] | undefined,
): LossSolution {
  const n = size + shared.length
  const position = new Map(shared.map((source, k) => [source, k]))
  const normal = Matrix.zeros(n, n)
  const right = new Array<number>(n).fill(0)
  for (let k = 0; k < shared.length; k++) normal.set(size + k, size + k, 1)
  const typical = Math.max(...rows.map((row) => Math.abs(row.point.loss.value)), 1e-9)

  const details = rows.map(({ point, x, slopeAt, top }) => {
    const [linear = 0, square = 0] = guess?.slice(slopeAt + 1, slopeAt + 3) ?? []
    const slope = (linear + 2 * square * (point.S.value / top)) / top
    const errors = new Map(point.loss.sources)
    for (const [source, s] of point.S.sources) errors.set(source, (errors.get(source) ?? 0) - slope * s)
    const common = new Array<number>(shared.length).fill(0)
    let variance = (1e-9 * typical) ** 2
    for (const [source, s] of errors) {
      const k = position.get(source)
      if (k === undefined) variance += s ** 2
      else common[k] = s
    }
    const columns = [...x, ...common]
    for (let i = 0; i < n; i++) {
      const weighted = (columns[i] ?? 0) / variance
      if (weighted === 0) continue
      right[i] = (right[i] ?? 0) + weighted * point.loss.value
      for (let j = 0; j < n; j++) normal.set(i, j, normal.get(i, j) + weighted * (columns[j] ?? 0))
    }
    return { errors, shared: common, variance }
  })
  const inverted = inverse(normal)
  return {
    normal,
    right,
    theta: inverted.mmul(Matrix.columnVector(right)).to1DArray(),
    inverse: inverted,
    rows: details,
  }
}

/**
 * The least-squares minimum with the first `size` terms ≥ 0, exactly: every set of terms held at 0 is tried and
 * the feasible one with the lowest sum of squares taken (32 sets at the most).
 */
export function nonNegative(
  normal: Matrix,
  right: readonly number[],
  size: number,
): { theta: number[]; held: ReadonlySet<number> } {
  let best: { theta: number[]; held: ReadonlySet<number>; objective: number } | undefined
  for (let mask = 0; mask < 2 ** size; mask++) {
    const held = new Set(Array.from({ length: size }, (_, i) => i).filter((i) => mask & (1 << i)))
    const open = right.map((_, i) => i).filter((i) => !held.has(i))
    const b = open.map((i) => right[i] ?? 0)
    const solved = open.length
      ? inverse(normal.selection(open, open)).mmul(Matrix.columnVector(b)).to1DArray()
      : []
    const theta = new Array<number>(right.length).fill(0)
    open.forEach((i, k) => (theta[i] = solved[k] ?? 0))
    if (theta.slice(0, size).some((value) => value < 0)) continue
    const objective = -dot(b, solved)
    if (!best || objective < best.objective) best = { theta, held, objective }
  }
  return best ?? { theta: new Array<number>(right.length).fill(0), held: new Set() }
}

/** Sensitivity of each term to every source, those of single readings folded together. */
export function termForms(
  solution: LossSolution,
  rows: readonly LossRow[],
  size: number,
  name: string,
): Map<string, number>[] {
  const gains = new Map<Uncertain, readonly number[]>()
  rows.forEach((row, r) => {
    const detail = solution.rows[r]
    if (!detail) return
    const columns = [...row.x, ...detail.shared]
    gains.set(
      { value: row.point.loss.value, sources: detail.errors },
      Array.from({ length: size }, (_, i) => dot(solution.inverse.getRow(i), columns) / detail.variance),
    )
  })
  return linearForms(gains, size, name)
}
