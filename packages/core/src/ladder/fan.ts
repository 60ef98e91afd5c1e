import type { FanState, LossPoint } from './lossPoint'

/**
 * A stretch of loads over which the fan was seen in one state. Between the last load of one state and the first
 * of the next it may have been in either.
 */
export interface Regime {
  readonly from: number
  readonly to: number
  readonly states: readonly (FanState | undefined)[]
}

/** The states the fan may be in at a load; outside the measured range those of the nearest stretch. */
export const statesAt = (regimes: readonly Regime[], S: number): readonly (FanState | undefined)[] =>
  (regimes.find((regime) => S < regime.to) ?? regimes.at(-1))?.states ?? [undefined]

/** The fan at each point; where it was not noted, as at the next lower load. */
export function fanSeen(sorted: readonly LossPoint[]): Map<LossPoint, FanState | undefined> {
  let state = sorted.find((point) => point.fan !== undefined)?.fan
  return new Map(
    sorted.map((point) => {
      state = point.fan ?? state
      return [point, state] as const
    }),
  )
}

export function regimesOf(
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
