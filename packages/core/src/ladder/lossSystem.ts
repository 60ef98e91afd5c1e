import { ownCovariance, splitOf, type Split } from '../meters'
import { remembering } from '../remember'
import { dot, leastSquares, type LeastSquares } from './leastSquares'
import { planOf, type LossPlan } from './lossPlan'
import type { LossPoint } from './lossPoint'

/** Terms that cannot be negative; p1 can, for a common factor of the meters adds to it. */
const bounded: readonly number[] = [0, 2]

/** One solved curve: free, and with its bounds. */
export interface LossSystem {
  readonly plan: LossPlan
  readonly free: LeastSquares
  readonly kept: LeastSquares
  readonly held: readonly number[]
  /** W per VA of the curve at each point, by which S's own errors are carried over into the loss. */
  readonly slopes: readonly number[]
  /** Variance of each point by its independent parts, W². */
  readonly variances: readonly number[]
  readonly residuals: readonly number[]
  readonly chi: number
}

/** Solves with every state of the fan, then without those that show nothing. */
export function solveLoss(plan: LossPlan, points: readonly LossPoint[]): LossSystem {
  const system = solve(plan)
  const idle = plan.states.filter((_, i) => {
    const term = 3 + i
    const u = Math.sqrt(
      system.free.gains.reduce(
        (sum, gain, r) => sum + (gain[term] ?? 0) ** 2 * (system.variances[r] ?? 0),
        0,
      ),
    )
    return (system.free.theta[term] ?? 0) <= 2 * u * Math.max(1, system.chi)
  })
  if (!idle.length) return system
  const plain = planOf(points, idle)
  return 'missing' in plain ? system : solve(plain)
}

function solve(plan: LossPlan): LossSystem {
  const { sorted, rows, top } = plan
  const y = sorted.map((point) => point.loss.value)
  const all = Array.from({ length: 3 + plan.states.length }, (_, i) => i)
  const typical = Math.max(...y.map(Math.abs), 1e-9)
  const weigh = (slopeAt: (S: number) => number) => {
    const slopes = sorted.map(({ S }) => slopeAt(S.value))
    const variances = sorted.map(
      (point, r) => ownVariance(point, slopes[r] ?? 0) + point.scatter ** 2 + (1e-9 * typical) ** 2,
    )
    return { slopes, variances, free: leastSquares(rows, y, variances, all) }
  }
  const [, linear = 0, square = 0] = weigh(() => 0).free.theta
  const { slopes, variances, free } = weigh((S) => (linear + (2 * square * S) / top) / top)
  const held: number[] = []
  let kept = free
  for (;;) {
    const below = bounded.find((i) => (kept.theta[i] ?? 0) < 0)
    if (below === undefined) break
    held.push(below)
    kept = leastSquares(
      rows,
      y,
      variances,
      all.filter((i) => !held.includes(i)),
    )
  }
  const residuals = rows.map((row, r) => (y[r] ?? 0) - dot(row, kept.theta))
  const spare = sorted.length - (all.length - held.length)
  const squares = residuals.reduce((sum, residual, r) => sum + residual ** 2 / (variances[r] ?? 1), 0)
  return {
    plan,
    free,
    kept,
    held,
    slopes,
    variances,
    residuals,
    chi: spare > 0 ? Math.sqrt(squares / spare) : 0,
  }
}

const sameOwn = remembering<LossPoint['loss']['sources'], number>()

/** Variance of a point's loss by what is its own, along a curve of that slope. */
function ownVariance({ loss, S }: LossPoint, slope: number): number {
  const { own } = splitOf(loss)
  if (slope === 0) return own
  const both = sameOwn(loss.sources, [S.sources], () => ownCovariance(loss, S))
  return own - 2 * slope * both + slope ** 2 * splitOf(S).own
}

/** Errors of a point's loss along a curve of that slope: those of S are carried over by it. */
export function errorsOf(point: LossPoint, slope: number): Split {
  const shared = new Map(splitOf(point.loss).shared)
  for (const [source, s] of splitOf(point.S).shared) shared.set(source, (shared.get(source) ?? 0) - slope * s)
  return { own: ownVariance(point, slope), shared: [...shared] }
}

/** How far a point lies off, in its own uncertainty, its own pull on the curve taken out; 0 where it alone decides. */
export function farOff({ kept, residuals, variances }: LossSystem, r: number): number {
  const spare = 1 - (kept.leverages[r] ?? 1)
  return spare > 1e-6 ? Math.abs(residuals[r] ?? 0) / Math.sqrt((variances[r] ?? 0) * spare) : 0
}
