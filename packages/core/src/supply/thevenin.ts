import { solveNetwork, type Network } from './network'

/** Any linear source seen from two nodes: an EMF, V, behind one resistance, Ω. */
export interface Source {
  readonly E: number
  readonly R: number
}

/**
 * Thevenin's equivalent between two nodes: open-circuit volts and the fall of volts for one ampere drawn.
 * Undefined when nothing joins the two.
 */
export function sourceBetween(network: Network, positive: number, negative: number): Source | undefined {
  const across = (current: number) => {
    const solution = solveNetwork(network, negative, [{ from: positive, into: negative, current }])
    return solution?.voltages[positive]
  }
  const [open, loaded] = [across(0), across(1)]
  return open === undefined || loaded === undefined ? undefined : { E: open, R: open - loaded }
}
