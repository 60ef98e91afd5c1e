import { inverse, Matrix } from 'ml-matrix'
import { isOwn, ownSource, type Uncertain } from '../meters'

export type FanState = 'off' | 'on' | 'speed'

/** One measured point: output VA, input watts lost, and the fan as seen. */
export interface LossPoint {
  readonly key: string
  readonly S: Uncertain
  readonly loss: Uncertain
  readonly fan?: FanState | undefined
}

/**
 * A stretch of loads over which the fan was seen in one state. Between the last load of one state and the first
 * of the next it may have been in either.
 */
export interface Regime {
  readonly from: number
  readonly to: number
  readonly states: readonly (FanState | undefined)[]
}

export interface LossFit {
  /** Tells the sources of this fit from those of others. */
  readonly name: string
  /** W, W/VA, W/VA² */
  readonly p0: Uncertain
  readonly p1: Uncertain
  readonly p2: Uncertain
  /** Watts more than in the first regime, by fan state. */
  readonly fan: ReadonlyMap<FanState, Uncertain>
  readonly regimes: readonly Regime[]
  /** Names of terms held at their bound 0. */
  readonly atBound: readonly string[]
  /** Measured range of S, VA. */
  readonly low: number
  readonly high: number
  /** Observed minus fitted, with the independent standard uncertainty of the point. */
  readonly residuals: readonly { key: string; residual: number; u: number; offered: boolean }[]
  readonly notes: readonly string[]
}

/** Loaded points needed for a curve. */
export const leastLoaded = 3

/** Points of one curve, and the name that tells its sources from those of others. */
export interface LossCurve {
  readonly name: string
  readonly points: readonly LossPoint[]
}

type MaybeFit = LossFit | { readonly missing: string }

/**
 * Fits P_loss = p0 + p1·S + p2·S² (+ a constant for each further fan state), all ≥ 0, by generalised least
 * squares (handbook §8). Sources that several points share, such as a meter's factor, are nuisance parameters
 * with a unit-variance prior, so that the bias of a meter does not bend the curve. The terms come back as
 * linear forms over the same sources: bands, weights and differences keep their covariance.
 *
 * Points may come in any order. Fewer than three different loaded points: no fit, and what is missing. While a
 * bound is active the band stays that of the free fit, which is the wider one.
 */
export const fitLoss = (points: readonly LossPoint[], name: string): MaybeFit =>
  fitTogether([{ name, points }])[0] ?? { missing: 'No curve.' }

/**
 * Fits several curves with the factors of their common meters held in common: both curves then speak of the same
 * meter, and their difference is known as well as it can be (handbook §7, §21). A curve with too few points is
 * left out and says so.
 */
export function fitTogether(curves: readonly LossCurve[]): MaybeFit[] {
  const plans = curves.map(planOf)
  const ready = plans.filter(isPlan)
  if (!ready.length) return plans.flatMap((plan) => (isPlan(plan) ? [] : [plan]))
  const shared = sharedSources(ready.flatMap((plan) => plan.sorted))
  const size = ready.reduce((sum, plan) => sum + plan.size, 0)
  let offset = 0
  const blocks = ready.map((plan) => {
    const block = { plan, offset }
    offset += plan.size
    return block
  })
  const rows = blocks.flatMap(({ plan, offset: at }) =>
    plan.sorted.map((point): Row => {
      const x = new Array<number>(size).fill(0)
      plan.columns(point).forEach((value, i) => (x[at + i] = value))
      return { point, x, slopeAt: at, top: plan.top }
    }),
  )
  const first = solve(rows, size, shared, undefined)
  const free = solve(rows, size, shared, first.theta)
  const feasible = free.theta.slice(0, size).every((value) => value >= 0)
  const bounded = feasible
    ? { theta: free.theta, held: new Set<number>() }
    : nonNegative(free.normal, free.right, size)
  const forms = linearForms(free, rows, size, curves.map((curve) => curve.name).join('+'))
  const fits = new Map(
    blocks.map(({ plan, offset: at }) => [
      plan,
      fitOf(plan, at, { rows, shared, size, free, bounded, forms }),
    ]),
  )
  return plans.map((plan) => (isPlan(plan) ? (fits.get(plan) ?? { missing: 'No curve.' }) : plan))
}

/** How one curve enters the system: its points in order, its fan, and its columns. */
interface Plan {
  readonly name: string
  readonly sorted: readonly LossPoint[]
  readonly low: number
  readonly top: number
  readonly regimes: readonly Regime[]
  readonly states: readonly FanState[]
  readonly size: number
  readonly notes: readonly string[]
  readonly columns: (point: LossPoint) => number[]
}

const isPlan = (plan: Plan | { missing: string }): plan is Plan => 'sorted' in plan

function planOf({ name, points }: LossCurve): Plan | { missing: string } {
  const sorted = [...points].sort((a, b) => a.S.value - b.S.value)
  const top = sorted.at(-1)?.S.value ?? 0
  const loaded = sorted.filter((point) => point.S.value > 0.01 * top)
  const distinct = loaded.filter(
    (point, i) => i === 0 || point.S.value - (loaded[i - 1]?.S.value ?? 0) > 0.01 * top,
  ).length
  if (distinct < leastLoaded) {
    const more = leastLoaded - distinct
    return {
      missing: `No curve yet: ${more} more loaded step${more > 1 ? 's' : ''} with input and output power needed.`,
    }
  }
  const seen = fanSeen(sorted)
  const regimes = regimesOf(sorted, seen)
  const base = regimes[0]?.states[0]
  const others = [...new Set(seen.values())].filter(
    (state) => state !== undefined && state !== base,
  ) as FanState[]
  const told = sorted.length >= 3 + others.length
  const states = told ? others : []
  return {
    name,
    sorted,
    low: loaded[0]?.S.value ?? 0,
    top,
    regimes,
    states,
    size: 3 + states.length,
    notes: told ? [] : ['Too few steps to tell the fan from the rest: no fan term.'],
    columns: (point) => {
      const share = point.S.value / top
      return [1, share, share ** 2, ...states.map((state) => (seen.get(point) === state ? 1 : 0))]
    },
  }
}

interface System {
  readonly rows: readonly Row[]
  readonly shared: readonly string[]
  readonly size: number
  readonly free: Solution
  readonly bounded: { theta: readonly number[]; held: ReadonlySet<number> }
  readonly forms: readonly ReadonlyMap<string, number>[]
}

/** Takes one curve's terms out of the solved system, back in watts per VA. */
function fitOf(plan: Plan, at: number, { rows, shared, size, free, bounded, forms }: System): LossFit {
  const scales = [1, 1 / plan.top, 1 / plan.top ** 2, ...plan.states.map(() => 1)]
  const term = (i: number): Uncertain => {
    const scale = scales[i] ?? 1
    return {
      value: (bounded.theta[at + i] ?? 0) * scale,
      sources: new Map([...(forms[at + i] ?? [])].map(([source, s]) => [source, s * scale])),
    }
  }
  const names = [
    'idle term p0',
    'linear term p1',
    'square term p2',
    ...plan.states.map((state) => `fan ${state}`),
  ]
  const atBound = names.filter((_, i) => bounded.held.has(at + i))
  const residuals = rows.flatMap((row, r) => {
    if (row.slopeAt !== at) return []
    const detail = free.rows[r]
    const nuisance = shared.reduce(
      (sum, _, k) => sum + (detail?.shared[k] ?? 0) * (bounded.theta[size + k] ?? 0),
      0,
    )
    const residual = row.point.loss.value - dot(row.x, bounded.theta) - nuisance
    const u = Math.sqrt(detail?.variance ?? 0)
    return [{ key: row.point.key, residual, u, offered: Math.abs(residual) > 3 * u }]
  })
  return {
    name: plan.name,
    p0: term(0),
    p1: term(1),
    p2: term(2),
    fan: new Map(plan.states.map((state, i) => [state, term(3 + i)])),
    regimes: plan.regimes,
    atBound,
    low: plan.low,
    high: plan.top,
    residuals,
    notes: [
      ...plan.notes,
      ...(atBound.length ? [`Held at 0: ${atBound.join(', ')}. The band is that of the free fit.`] : []),
    ],
  }
}

/** The states the fan may be in at a load; outside the measured range those of the nearest stretch. */
export const statesAt = (regimes: readonly Regime[], S: number): readonly (FanState | undefined)[] =>
  (regimes.find((regime) => S < regime.to) ?? regimes.at(-1))?.states ?? [undefined]

/** The fan at each point; where it was not noted, as at the next lower load. */
function fanSeen(sorted: readonly LossPoint[]): Map<LossPoint, FanState | undefined> {
  let state = sorted.find((point) => point.fan !== undefined)?.fan
  return new Map(
    sorted.map((point) => {
      state = point.fan ?? state
      return [point, state] as const
    }),
  )
}

function regimesOf(
  sorted: readonly LossPoint[],
  seen: ReadonlyMap<LossPoint, FanState | undefined>,
): Regime[] {
  const regimes: Regime[] = []
  let from = 0
  sorted.forEach((point, i) => {
    const before = sorted[i - 1]
    if (!before || seen.get(before) === seen.get(point)) return
    regimes.push(
      { from, to: before.S.value, states: [seen.get(before)] },
      { from: before.S.value, to: point.S.value, states: [seen.get(before), seen.get(point)] },
    )
    from = point.S.value
  })
  const last = sorted.at(-1)
  return [...regimes, { from, to: Infinity, states: [last && seen.get(last)] }]
}

const dot = (x: readonly number[], y: readonly number[]) =>
  x.reduce((sum, value, i) => sum + value * (y[i] ?? 0), 0)

/** Sources named by more than one point: the nuisance parameters. */
function sharedSources(points: readonly LossPoint[]): string[] {
  const counts = new Map<string, number>()
  for (const point of points) {
    for (const source of new Set([...point.loss.sources.keys(), ...point.S.sources.keys()])) {
      counts.set(source, (counts.get(source) ?? 0) + 1)
    }
  }
  return [...counts].filter(([, count]) => count > 1).map(([source]) => source)
}

interface Row {
  readonly point: LossPoint
  readonly x: readonly number[]
  /** Where the terms of its curve begin, and the curve's largest load. */
  readonly slopeAt: number
  readonly top: number
}

interface Solution {
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
function solve(
  rows: readonly Row[],
  size: number,
  shared: readonly string[],
  guess: readonly number[] | undefined,
): Solution {
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
function nonNegative(
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

/**
 * Sensitivity of each term to every source. Sources of a single reading are folded into as many as there are
 * terms (a Cholesky factor of their covariance), so that a curve of 10,000 steps stays small.
 */
function linearForms(
  solution: Solution,
  rows: readonly Row[],
  size: number,
  name: string,
): Map<string, number>[] {
  const forms = Array.from({ length: size }, () => new Map<string, number>())
  const folded = Matrix.zeros(size, size)
  rows.forEach((row, r) => {
    const detail = solution.rows[r]
    if (!detail) return
    const columns = [...row.x, ...detail.shared]
    const gain = Array.from(
      { length: size },
      (_, i) => dot(solution.inverse.getRow(i), columns) / detail.variance,
    )
    for (const [source, s] of detail.errors) {
      if (isOwn(source)) {
        for (let i = 0; i < size; i++)
          for (let j = 0; j < size; j++)
            folded.set(i, j, folded.get(i, j) + (gain[i] ?? 0) * (gain[j] ?? 0) * s ** 2)
      } else {
        forms.forEach((form, i) => form.set(source, (form.get(source) ?? 0) + (gain[i] ?? 0) * s))
      }
    }
  })
  const factor = cholesky(folded)
  forms.forEach((form, i) => {
    for (let j = 0; j <= i; j++) form.set(ownSource(`fit ${j}`, name), factor.get(i, j))
  })
  return forms
}

/** Lower factor of a positive semi-definite matrix; directions without variance get 0. */
function cholesky(matrix: Matrix): Matrix {
  const n = matrix.rows
  const lower = Matrix.zeros(n, n)
  for (let j = 0; j < n; j++) {
    let diagonal = matrix.get(j, j)
    for (let k = 0; k < j; k++) diagonal -= lower.get(j, k) ** 2
    const root = diagonal > 1e-14 * matrix.get(j, j) ? Math.sqrt(diagonal) : 0
    lower.set(j, j, root)
    for (let i = j + 1; i < n; i++) {
      let rest = matrix.get(i, j)
      for (let k = 0; k < j; k++) rest -= lower.get(i, k) * lower.get(j, k)
      lower.set(i, j, root > 0 ? rest / root : 0)
    }
  }
  return lower
}
