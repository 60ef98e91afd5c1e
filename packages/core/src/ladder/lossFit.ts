import type { Uncertain } from '../meters'
import { fanSeen, regimesOf, type FanState, type Regime } from './fan'
import type { LossPoint } from './lossPoint'
import {
  dot,
  termForms,
  nonNegative,
  sharedSources,
  solve,
  type LossRow,
  type LossSolution,
} from './lossSystem'

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
const leastLoaded = 3

/** Points of one curve, and the name that tells its sources from those of others. */
export interface LossCurve {
  readonly name: string
  readonly points: readonly LossPoint[]
}

type MaybeFit = LossFit | { readonly missing: string }

/**
 * Fits P_loss = p0 + p1·S + p2·S² (+ a constant for each further fan state), all ≥ 0, by generalised least
 * squares (docs/method/ladder.md). Sources that several points share, such as a meter's factor, are nuisance parameters
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
 * meter, and their difference is known as well as it can be (docs/method/ladder.md). A curve with too few points is
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
    plan.sorted.map((point): LossRow => {
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
  const forms = termForms(free, rows, size, curves.map((curve) => curve.name).join('+'))
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
  readonly rows: readonly LossRow[]
  readonly shared: readonly string[]
  readonly size: number
  readonly free: LossSolution
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
