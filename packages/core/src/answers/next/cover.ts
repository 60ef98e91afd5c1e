interface Covering {
  readonly settles: readonly string[]
  readonly cost: number
}

/** So many are tried in every combination; more are taken one by one. */
const mostTried = 12

/**
 * The cheapest of the given ones that together settle all that any of them settles; none whose part the others have already.
 * More than twelve: the one of most for its cost first, until nothing is left.
 */
export function cheapestCover<C extends Covering>(all: readonly C[]): C[] {
  const wanted = new Set(all.flatMap(({ settles }) => settles))
  if (all.length > mostTried) return greedily(all, wanted)
  let best: { readonly cost: number; readonly chosen: C[] } | undefined
  for (let set = 0; set < 2 ** all.length; set++) {
    const chosen = all.filter((_, i) => set & (1 << i))
    const cost = chosen.reduce((sum, one) => sum + one.cost, 0)
    if (best && cost >= best.cost) continue
    if (new Set(chosen.flatMap(({ settles }) => settles)).size === wanted.size) best = { cost, chosen }
  }
  return best?.chosen ?? []
}

function greedily<C extends Covering>(all: readonly C[], wanted: ReadonlySet<string>): C[] {
  const left = new Set(wanted)
  const chosen: C[] = []
  while (left.size) {
    const worth = ({ settles, cost }: C) => settles.filter((one) => left.has(one)).length / cost
    const [most] = [...all].sort((a, b) => worth(b) - worth(a))
    if (!most || worth(most) === 0) break
    chosen.push(most)
    for (const one of most.settles) left.delete(one)
  }
  return chosen
}
