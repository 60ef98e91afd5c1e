import { Matrix, solve } from 'ml-matrix'

/**
 * Part of a circuit of direct current: an EMF, V, behind a resistance, Ω, between two nodes. The EMF drives
 * current from `from` to `to`: V_to − V_from = emf − resistance·i, i counted from `from` to `to`.
 * A plain resistor has emf 0; an open branch carries nothing.
 */
export interface Branch {
  readonly from: number
  readonly to: number
  readonly emf: number
  readonly resistance: number
  readonly open?: boolean
}

export interface Network {
  /** Nodes are numbered from 0. */
  readonly nodes: number
  readonly branches: readonly Branch[]
}

/** A current, A, drawn out of one node and returned into another. */
export interface Drawn {
  readonly from: number
  readonly into: number
  readonly current: number
}

export interface Solution {
  /** V of each node against the reference; undefined where no closed branch leads to it. */
  readonly voltages: readonly (number | undefined)[]
  /** A of each branch, from `from` to `to`; 0 in open ones. */
  readonly currents: readonly number[]
}

/**
 * Nodal analysis (docs/method/supply.md): node voltages and branch currents of any network of EMFs behind resistances,
 * with currents drawn between its nodes. Parts without a closed branch to the reference are solved on their own,
 * so that currents circulating in them show, but have no voltage against it.
 * Undefined when a current is drawn between parts that are not joined.
 * Errors: RangeError when a closed branch has a resistance that is not above 0, or names a node that is not there.
 */
export function solveNetwork(
  network: Network,
  reference: number,
  drawn: readonly Drawn[] = [],
): Solution | undefined {
  check(network, reference)
  const part = parts(network)
  if (drawn.some(({ from, into, current }) => current !== 0 && part[from] !== part[into])) return undefined

  const grounds = new Map<number, number>()
  grounds.set(part[reference] ?? 0, reference)
  part.forEach((name, node) => {
    if (!grounds.has(name)) grounds.set(name, node)
  })
  const unknown: number[] = part.map((name, node) => (grounds.get(name) === node ? -1 : 0))
  let count = 0
  for (let node = 0; node < unknown.length; node++) if (unknown[node] === 0) unknown[node] = count++

  const G = Matrix.zeros(Math.max(count, 1), Math.max(count, 1))
  const J = Matrix.zeros(Math.max(count, 1), 1)
  if (count === 0) G.set(0, 0, 1)
  const inject = (node: number, current: number) => {
    const row = unknown[node] ?? -1
    if (row >= 0) J.set(row, 0, J.get(row, 0) + current)
  }
  for (const branch of network.branches) {
    if (branch.open) continue
    const g = 1 / branch.resistance
    const [a, b] = [unknown[branch.from] ?? -1, unknown[branch.to] ?? -1]
    if (a >= 0) G.set(a, a, G.get(a, a) + g)
    if (b >= 0) G.set(b, b, G.get(b, b) + g)
    if (a >= 0 && b >= 0) {
      G.set(a, b, G.get(a, b) - g)
      G.set(b, a, G.get(b, a) - g)
    }
    inject(branch.from, -g * branch.emf)
    inject(branch.to, g * branch.emf)
  }
  for (const { from, into, current } of drawn) {
    inject(from, -current)
    inject(into, current)
  }
  const found = solve(G, J)
  const volts = unknown.map((row) => (row < 0 ? 0 : found.get(row, 0)))
  return {
    voltages: volts.map((volt, node) => (part[node] === part[reference] ? volt : undefined)),
    currents: network.branches.map(({ from, to, emf, resistance, open }) =>
      open ? 0 : ((volts[from] ?? 0) - (volts[to] ?? 0) + emf) / resistance,
    ),
  }
}

function check({ nodes, branches }: Network, reference: number): void {
  const there = (node: number) => Number.isInteger(node) && node >= 0 && node < nodes
  if (!there(reference)) throw new RangeError(`Node ${reference} is not in the network.`)
  for (const branch of branches) {
    if (!there(branch.from) || !there(branch.to)) {
      throw new RangeError(`A branch leads from node ${branch.from} to ${branch.to}, which is not there.`)
    }
    if (!branch.open && !(branch.resistance > 0)) {
      throw new RangeError('Every closed branch needs a resistance above 0.')
    }
  }
}

/** For each node, the lowest node it is joined to by closed branches. */
function parts({ nodes, branches }: Network): number[] {
  const part = Array.from({ length: nodes }, (_, node) => node)
  for (let again = true; again;) {
    again = false
    for (const { from, to, open } of branches) {
      const [a, b] = [part[from] ?? 0, part[to] ?? 0]
      if (open || a === b) continue
      part[a > b ? from : to] = Math.min(a, b)
      again = true
    }
  }
  return part
}
