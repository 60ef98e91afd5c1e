import type { Figure } from '../figures'
import { splitOf } from '../meters'
import { regress, type Regression } from './regression'

/** Volts along one line, as a sum of figures with their signs, at one current. */
export interface Observation {
  /** The step it comes from; undefined: idle. */
  readonly step: string | undefined
  readonly hours: number
  readonly volts: readonly (readonly [Figure, 1 | -1])[]
  readonly I: Figure
}

/** A fitted line V = E − R·I (+ drift·t) with the observations it rests on. */
export interface Line {
  readonly observations: readonly Observation[]
  readonly inputs: readonly Figure[]
  readonly fit: Regression
  /** 1/u² of each observation across the line. */
  readonly weights: readonly number[]
  readonly drifts: boolean
  /** Means of currents, times and volts, on which sums are centred. */
  readonly middle: { readonly I: number; readonly hours: number; readonly V: number }
}

export const isLine = (line: Line | { missing: string }): line is Line => 'fit' in line

/** Currents must spread over at least this share of the largest, or the slope means nothing. */
const leastSpread = 0.2

/**
 * The line through the observations, weighted by the independent parts of both axes; with a drift in time where it may
 * drift and does so clearly. `volts` names what was read, for what is missing.
 */
export function lineOf(
  observations: readonly Observation[],
  volts: string,
  mayDrift: boolean,
): Line | { missing: string } {
  if (observations.length < 3) return { missing: `Three steps with ${volts} and the current are needed.` }
  const I = observations.map((one) => one.I.x.value)
  const V = observations.map((one) =>
    one.volts.reduce((sum, [figure, sign]) => sum + sign * figure.x.value, 0),
  )
  if (Math.max(...I) - Math.min(...I) < leastSpread * Math.max(...I)) {
    return { missing: 'The currents lie too close together.' }
  }
  const weights = settledWeights(I, V, observations)
  const fit = regress(
    I.map((x) => [1, -x]),
    V,
    weights,
  )
  if (!fit) return { missing: 'The currents do not differ.' }
  const inputs = observations.flatMap((one) => [...one.volts.map(([figure]) => figure), one.I])
  const drifting =
    mayDrift && observations.length >= 5
      ? regress(
          I.map((x, i) => [1, -x, observations[i]?.hours ?? 0]),
          V,
          weights,
        )
      : undefined
  const chosen = drifting && isClear(drifting, fit) ? drifting : fit
  const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length
  const middle = { I: mean(I), hours: mean(observations.map(({ hours }) => hours)), V: mean(V) }
  return { observations, inputs, weights, fit: chosen, drifts: chosen === drifting, middle }
}

/** Scatter beyond what the meters explain, as a factor on u² (Birge), never under 1. */
export const excess = ({ chiSquared, freedom }: Pick<Regression, 'chiSquared' | 'freedom'>): number =>
  freedom > 0 ? Math.max(1, chiSquared / freedom) : 1

type Fitted = Pick<Regression, 'chiSquared' | 'freedom' | 'coefficients' | 'covariance'>

/** Whether a drift halves what is left over, and is itself beyond three of its uncertainties. */
export function isClear(drifting: Fitted, plain: Pick<Fitted, 'chiSquared' | 'freedom'>): boolean {
  const left = ({ chiSquared, freedom }: Pick<Fitted, 'chiSquared' | 'freedom'>) =>
    freedom > 0 ? chiSquared / freedom : 0
  const u = Math.sqrt((drifting.covariance[2]?.[2] ?? 0) * excess(drifting))
  return left(drifting) < left(plain) / 2 && Math.abs(drifting.coefficients[2] ?? 0) > 3 * u
}

/** 1/u² of each point across the line; u needs the slope, which settles after a round or two. */
function settledWeights(
  I: readonly number[],
  V: readonly number[],
  observations: readonly Observation[],
): number[] {
  const varianceI = observations.map((one) => splitOf(one.I.x).own)
  const varianceV = observations.map((one) =>
    one.volts.reduce((sum, [figure]) => sum + splitOf(figure.x).own, 0),
  )
  const across = (R: number) => {
    const variance = varianceV.map((v, i) => v + R ** 2 * (varianceI[i] ?? 0))
    const floor = (1e-9 + 1e-6 * Math.sqrt(Math.max(...variance))) ** 2
    return variance.map((v) => 1 / Math.max(v, floor))
  }
  return across(slopeOf(I, V, across(slopeOf(I, V, across(0)))))
}

/** −dV/dI of a weighted straight line. */
function slopeOf(I: readonly number[], V: readonly number[], weights: readonly number[]): number {
  let sum = 0
  let sumI = 0
  let sumV = 0
  let sumII = 0
  let sumIV = 0
  weights.forEach((w, i) => {
    const x = I[i] ?? 0
    const y = V[i] ?? 0
    sum += w
    sumI += w * x
    sumV += w * y
    sumII += w * x * x
    sumIV += w * x * y
  })
  return (sumI * sumV - sum * sumIV) / (sum * sumII - sumI ** 2)
}
