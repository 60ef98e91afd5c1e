import { atCurrent, terminalSource, type Supply } from './constantPower'

export interface Headroom {
  /** A into the unit at the limit. */
  readonly current: number
  /** W at the terminals. */
  readonly inputPower: number
  /** What is met first. */
  readonly limitedBy: 'threshold' | 'most power' | 'weakest link'
}

/**
 * The most a supply can give before V_B falls to a threshold, V: I = (E − V)/R while V ≥ E/2, else E²/4R; where the
 * support source carries all of it only the path counts: I = (E − V)/R_path. Capped by a current, A, that the weakest
 * link carries (docs/method/supply.md). Zero when the threshold is above the rest voltage.
 */
export function headroom(supply: Supply, threshold: number, weakest = Infinity): Headroom {
  const free = freeReach(supply, threshold)
  const capped = free.current > weakest
  const current = capped ? weakest : free.current
  return {
    current,
    inputPower: current > 0 ? atCurrent(supply, current).V_B * current : 0,
    limitedBy: capped ? 'weakest link' : free.limitedBy,
  }
}

function freeReach(supply: Supply, threshold: number): Pick<Headroom, 'current' | 'limitedBy'> {
  const { bank, path, support } = supply
  const alone = path > 0 ? Math.max(0, (bank.E - threshold) / path) : Infinity
  if (alone <= support) return { current: alone, limitedBy: 'threshold' }
  const { E, R } = terminalSource(supply)
  return threshold >= E / 2
    ? { current: Math.max(0, (E - threshold) / R), limitedBy: 'threshold' }
    : { current: E / (2 * R), limitedBy: 'most power' }
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
