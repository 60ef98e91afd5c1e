import { combine, exact, expanded, methodSource, scale, sumOf, type Uncertain } from '../meters'
import { statesAt, type Regime } from './fan'
import type { LossFit } from './lossFit'
import type { FanState } from './lossPoint'

/**
 * Watts of the fan over the first stretch's, in the states it may be in: the middle between them. The truth is
 * one or the other, so half their distance is the standard uncertainty.
 */
function fanLoss(fit: LossFit, states: readonly (FanState | undefined)[]): Uncertain {
  const of = (state: FanState | undefined) =>
    (state === undefined ? undefined : fit.fan.get(state)) ?? exact(0)
  const [first = exact(0), second] = states.map(of)
  if (!second) return first
  const middle = combine((first.value + second.value) / 2, [
    [first, 0.5],
    [second, 0.5],
  ])
  const half = Math.abs(second.value - first.value) / 2
  return {
    value: middle.value,
    sources: new Map([...middle.sources, [methodSource('fan', fit.name), half]]),
  }
}

/** Watts lost at output S (VA), with the fan as the ladder saw it there. */
export function lossAt(fit: LossFit, S: number, states = statesAt(fit.regimes, S)): Uncertain {
  const fan = fanLoss(fit, states)
  return combine(fit.p0.value + fit.p1.value * S + fit.p2.value * S ** 2 + fan.value, [
    [fit.p0, 1],
    [fit.p1, S],
    [fit.p2, S ** 2],
    [fan, 1],
  ])
}

/** η(P) = P/(P + P_loss) at power factor 1; P > 0, W. */
export function efficiencyAt(fit: LossFit, P: number, states?: Regime['states']): Uncertain {
  const loss = lossAt(fit, P, states)
  const input = P + loss.value
  return combine(P / input, [[loss, -P / input ** 2]])
}

export interface Peak {
  readonly P: Uncertain
  readonly eta: Uncertain
}

interface Stretch {
  readonly from: number
  readonly to: number
  readonly states: Regime['states']
  readonly constant: number
}

/** The measured range, cut where the fan changed. */
function stretches(fit: LossFit): Stretch[] {
  return fit.regimes
    .map((regime) => ({
      from: Math.max(regime.from, fit.low),
      to: Math.min(regime.to, fit.high),
      states: regime.states,
      constant: fit.p0.value + fanLoss(fit, regime.states).value,
    }))
    .filter((stretch) => stretch.to > stretch.from)
}

/**
 * Peak of the curve: P* = √(p0/p2), η* = 1/(1 + p1 + 2√(p0·p2)), p0 with the fan of that stretch (docs/method/ladder.md).
 * Undefined when p2 = 0, or when the best point is an end of the measured range or where the fan may be in either
 * state, or when its place is not even known to its own size: then no peak is claimed.
 */
export function peakOf(fit: LossFit): Peak | undefined {
  if (fit.p2.value <= 0) return undefined
  const tops = stretches(fit).map((stretch) => {
    const free = Math.sqrt(stretch.constant / fit.p2.value)
    const P = Math.min(stretch.to, Math.max(stretch.from, free))
    return { P, stretch, free: P === free, eta: efficiencyAt(fit, P, stretch.states) }
  })
  const best = tops.sort((a, b) => b.eta.value - a.eta.value)[0]
  if (!best?.free || best.stretch.states.length > 1) return undefined
  const { P, stretch, eta } = best
  const slope = P / (2 * stretch.constant)
  const position = combine(P, [
    [fit.p0, slope],
    [fanLoss(fit, stretch.states), slope],
    [fit.p2, -P / (2 * fit.p2.value)],
  ])
  return expanded(position) < P ? { P: position, eta } : undefined
}

export interface Interval {
  readonly from: number
  readonly to: number
}

/**
 * Where in the measured range η(P) ≥ target: the roots of p2·P² + (p1 − (1 − η)/η)·P + p0 = 0 in each stretch.
 * Touching intervals are joined; empty when it holds nowhere. target in (0, 1).
 */
export function rangeAbove(fit: LossFit, target: number): Interval[] {
  const intervals: Interval[] = []
  for (const stretch of stretches(fit)) {
    const b = fit.p1.value - (1 - target) / target
    const inside = within(fit.p2.value, b, stretch.constant)
    if (!inside) continue
    const from = Math.max(stretch.from, inside.from)
    const to = Math.min(stretch.to, inside.to)
    if (to <= from) continue
    const last = intervals.at(-1)
    if (last && Math.abs(last.to - from) < 1e-9) intervals[intervals.length - 1] = { from: last.from, to }
    else intervals.push({ from, to })
  }
  return intervals
}

/** Where a·x² + b·x + c ≤ 0 for x > 0, with a, c ≥ 0. */
function within(a: number, b: number, c: number): Interval | undefined {
  if (b >= 0) return undefined
  if (a === 0) return { from: -c / b, to: Infinity }
  const discriminant = b ** 2 - 4 * a * c
  if (discriminant < 0) return undefined
  const q = (-b + Math.sqrt(discriminant)) / 2
  return { from: c / q, to: q / a }
}

/** Shares at fractions of rated power, made for solar inverters (docs/method/ladder.md). */
export const weightings = {
  European: [
    [0.05, 0.03],
    [0.1, 0.06],
    [0.2, 0.13],
    [0.3, 0.1],
    [0.5, 0.48],
    [1, 0.2],
  ],
  Californian: [
    [0.1, 0.04],
    [0.2, 0.05],
    [0.3, 0.12],
    [0.5, 0.21],
    [0.75, 0.53],
    [1, 0.05],
  ],
} as const satisfies Record<string, readonly (readonly [fraction: number, weight: number])[]>

export type Weighting = keyof typeof weightings

/** Σ w·η(fraction × rated), rated > 0, W; undefined where a weight lies outside the measured range. */
export function weightedEfficiency(fit: LossFit, weighting: Weighting, rated: number): Uncertain | undefined {
  const weights = weightings[weighting]
  if (
    reachesOutside(
      fit,
      weights.map(([fraction]) => fraction * rated),
    )
  )
    return undefined
  return sumOf(weights.map(([fraction, weight]) => scale(efficiencyAt(fit, fraction * rated), weight)))
}

/**
 * The owner's duty: Σh·P / Σh·(P + P_loss), idle (0 W) included; hours and watts ≥ 0.
 * Undefined when no energy is drawn at all.
 */
export function dutyEfficiency(
  fit: LossFit,
  duty: readonly { hours: number; load: number }[],
): Uncertain | undefined {
  const lines = duty.map(({ hours, load }) => ({ hours, load, loss: lossAt(fit, load) }))
  const out = lines.reduce((sum, { hours, load }) => sum + hours * load, 0)
  const drawn = lines.reduce((sum, { hours, load, loss }) => sum + hours * (load + loss.value), 0)
  if (!(drawn > 0)) return undefined
  return combine(
    out / drawn,
    lines.map(({ hours, loss }) => [loss, (-out * hours) / drawn ** 2] as const),
  )
}

/** Largest load a figure uses, to say whether it reaches outside the measured range. */
export const reachesOutside = (fit: LossFit, loads: readonly number[]): boolean =>
  loads.some((load) => load > 0 && (load < fit.low * 0.999 || load > fit.high * 1.001))
