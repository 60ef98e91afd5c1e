import { linearForms, standard, type Uncertain } from '../meters'
import type { Regime } from './fan'
import type { FanState, LossPoint } from './lossPoint'
import { planOf } from './lossPlan'
import { errorsOf, farOff, solveLoss, type LossSystem } from './lossSystem'
import { misfitOf } from './misfit'

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
  /** √(χ²/dof): how far the points lie off, in their own scatter. 0 where no point is to spare. */
  readonly misfit: number
  readonly residuals: readonly LossResidual[]
  readonly notes: readonly string[]
}

/** Why there is no curve, and what to do. */
export interface NoCurve {
  readonly missing: string
  /** There are steps enough, and they lie on none: something was misread, or changed along the ladder. */
  readonly misfit?: true
}

/** Scatters from which one point of a ladder is worth reading again; at 3 every fiftieth sound ladder would have one. */
const outlying = 3.5

/** Observed minus fitted, W, with the independent standard uncertainty of the point. */
interface LossResidual {
  readonly key: string
  /** Output, VA. */
  readonly S: number
  readonly residual: number
  readonly u: number
  /** Much more than it should be: offered for re-reading. */
  readonly offered: boolean
}

/**
 * Fits P_loss = p0 + p1·S + p2·S² (+ a constant for each further fan state) to what the meters read, by weighted linear
 * least squares with the independent parts of the readings and their scatter only; p0, p2 ≥ 0. What the points scatter
 * more than that widens all by √(χ²/dof). The meters' common factors are then carried through the fit, by their names,
 * so bands, figures and differences of curves keep their covariance (docs/method/ladder.md). Estimating those factors
 * from the fit instead would let the curve leave its points.
 *
 * Points may come in any order. Fewer than three different loaded points, or points that no such curve fits: no fit,
 * and what is missing or to be repeated. A fan term that is 0 within 2u goes. While a bound is active the band stays
 * that of the free fit, which is the wider one.
 */
export function fitLoss(points: readonly LossPoint[], name: string): LossFit | NoCurve {
  const plan = planOf(points)
  if ('missing' in plan) return plan
  const system = solveLoss(plan, points)
  const misfit = misfitOf(system, (fewer) => {
    const left = planOf(fewer)
    return 'missing' in left ? undefined : solveLoss(left, fewer)
  })
  return misfit ? { missing: misfit, misfit: true } : fitOf(system, name)
}

/** The terms of a solved curve, back in watts per VA, with all that is uncertain about them. */
function fitOf(system: LossSystem, name: string): LossFit {
  const { plan, free, kept, held, slopes, variances, residuals, chi } = system
  const { top, states, sorted } = plan
  const size = 3 + states.length
  const wider = Math.max(1, chi) ** 2
  const errors = sorted.map((point, r) => errorsOf(point, slopes[r] ?? 0))
  const gains = errors.map((one, r) => [one, free.gains[r] ?? []] as const)
  // What is independent in each point beside its own sources: its scatter, and what the points show beyond.
  const extra = sorted.map((_, r) => (variances[r] ?? 0) * wider - (errors[r]?.own ?? 0))
  const scatter = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (_unused, j) =>
      free.gains.reduce((sum, gain, r) => sum + (gain[i] ?? 0) * (gain[j] ?? 0) * (extra[r] ?? 0), 0),
    ),
  )
  const forms = linearForms(gains, size, name, scatter)
  const scales = [1, 1 / top, 1 / top ** 2]
  const term = (i: number): Uncertain => {
    const scale = scales[i] ?? 1
    return {
      value: (kept.theta[i] ?? 0) * scale,
      sources: new Map([...(forms[i] ?? [])].map(([source, s]) => [source, s * scale])),
    }
  }
  const names = ['idle term p0', 'linear term p1', 'square term p2']
  const atBound = names.filter((_, i) => held.includes(i))
  const p1 = term(1)
  return {
    name,
    p0: term(0),
    p1,
    p2: term(2),
    fan: new Map(states.map((state, i) => [state, term(3 + i)])),
    regimes: plan.regimes,
    atBound,
    low: plan.low,
    high: top,
    misfit: chi,
    residuals: sorted.map(({ key, S }, r) => ({
      key,
      S: S.value,
      residual: residuals[r] ?? 0,
      u: Math.sqrt(variances[r] ?? 0),
      offered: farOff(system, r) > outlying,
    })),
    notes: [
      ...plan.notes,
      ...(atBound.length ? [`Held at 0: ${atBound.join(', ')}. The band is that of the free fit.`] : []),
      ...(p1.value < 2 * standard(p1) ? ['No part in proportion to the load is shown.'] : []),
    ],
  }
}
