/** Output voltage of a unit: falls evenly with the load, by `fall` V per W, ≥ 0. */
export interface OutputVoltage {
  readonly noLoad: number
  readonly fall: number
}

export const voltageAt = ({ noLoad, fall }: OutputVoltage, P: number): number => noLoad - fall * P

/** A thing that takes W at V, rising or constant with V. */
export type Draw = (V: number) => number

/**
 * What loads take at the output voltage that they themselves cause: the P with P = draw(V(P)). Unique, for draw rises
 * with V and V falls with P. By going round a few times, which settles where the voltage is stiff; where it does not,
 * by bisection. To 1e-12 of the answer; 0 for loads that take nothing.
 */
export function settledPower(draw: Draw, voltage: OutputVoltage): number {
  const most = draw(voltage.noLoad)
  if (!(most > 0)) return 0
  let P = most
  for (let round = 0; round < 30; round++) {
    const next = draw(Math.max(0, voltageAt(voltage, P)))
    if (Math.abs(next - P) <= 1e-12 * most) return next
    P = next
  }
  let [low, high] = [0, most]
  while (high - low > 1e-12 * most) {
    const middle = (low + high) / 2
    if (middle === low || middle === high) break
    if (draw(Math.max(0, voltageAt(voltage, middle))) > middle) low = middle
    else high = middle
  }
  return (low + high) / 2
}
