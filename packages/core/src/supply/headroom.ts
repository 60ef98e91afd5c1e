import { terminalSource, type Supply } from './constantPower'

export interface Headroom {
  /** A into the unit at the limit. */
  readonly current: number
  /** W at the terminals. */
  readonly inputPower: number
  /** What is met first. */
  readonly limitedBy: 'threshold' | 'most power' | 'weakest link'
}

/**
 * The most a supply can give before V_B falls to a threshold, V: I = (E − V)/R while V ≥ E/2, else E²/4R; capped
 * by a current, A, that the weakest link carries (docs/method/supply.md). Zero when the threshold is above the rest voltage.
 */
export function headroom(supply: Supply, threshold: number, weakest = Infinity): Headroom {
  const { E, R } = terminalSource(supply)
  const free =
    threshold >= E / 2
      ? { current: Math.max(0, (E - threshold) / R), limitedBy: 'threshold' as const }
      : { current: E / (2 * R), limitedBy: 'most power' as const }
  const capped = free.current > weakest
  const current = capped ? weakest : free.current
  return {
    current,
    inputPower: (E - R * current) * current,
    limitedBy: capped ? 'weakest link' : free.limitedBy,
  }
}

/**
 * Output watts for input watts: the largest P with P + loss(P) ≤ P_B, by bisection; loss must not fall with P.
 * 0 when not even the idle loss can be fed.
 */
export function outputFor(inputPower: number, loss: (P: number) => number): number {
  if (inputPower <= loss(0)) return 0
  let [low, high] = [0, inputPower]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (middle + loss(middle) <= inputPower) low = middle
    else high = middle
  }
  return low
}
