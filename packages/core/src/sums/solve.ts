import { quantityIds, quantityOf, type QuantityId } from './quantities'
import { relations, type Relation, type Values } from './relations'
import { rootOf } from './root'

export interface Solved {
  readonly values: ReadonlyMap<QuantityId, number>
  /** By which relation each that was not given was worked out. */
  readonly by: ReadonlyMap<QuantityId, Relation>
  /** What was taken because nothing given tells it. */
  readonly assumed: ReadonlySet<QuantityId>
  /** What would have to be worked out and cannot be: nothing fits, or what fits is out of its bounds. */
  readonly impossible: readonly {
    readonly id: QuantityId
    readonly relation: Relation
    readonly value?: number
  }[]
}

/**
 * Works out all that follows from what is known, each relation used for whichever of its quantities is missing; then takes what
 * may be assumed, one after the other, and goes on (docs/method/sums.md). Values are in the units that quantities are kept in.
 * What follows does not depend on the order in which it was given.
 */
export function solve(
  known: ReadonlyMap<QuantityId, number>,
  assuming: ReadonlyMap<QuantityId, number> = usual,
): Solved {
  const values = new Map(known)
  const by = new Map<QuantityId, Relation>()
  const assumed = new Set<QuantityId>()
  const impossible = new Map<Relation, Solved['impossible'][number]>()
  const goOn = () => {
    for (let more = true; more;) {
      more = false
      for (const relation of relations) {
        const id = onlyUnknown(relation, values)
        if (id === undefined || impossible.has(relation)) continue
        const value = solveFor(id, relation, values)
        if (value !== undefined && isPossible(id, value)) {
          values.set(id, value)
          by.set(id, relation)
          more = true
        } else if (!relation.only)
          impossible.set(relation, { id, relation, ...(value === undefined ? {} : { value }) })
      }
    }
  }
  goOn()
  for (const [id, value] of assuming) {
    if (values.has(id)) continue
    values.set(id, value)
    assumed.add(id)
    goOn()
  }
  // What another relation gave is held against this one, like all that is known twice.
  return { values, by, assumed, impossible: [...impossible.values()].filter(({ id }) => !values.has(id)) }
}

/** What is taken where nothing tells it. */
export const usual: ReadonlyMap<QuantityId, number> = new Map(
  quantityIds.flatMap((id) => {
    const { assumed } = quantityOf(id)
    return assumed === undefined ? [] : [[id, assumed] as const]
  }),
)

/** Whether a quantity may have a value at all. */
export function isPossible(id: QuantityId, value: number): boolean {
  const { signed, most = Infinity } = quantityOf(id)
  return Number.isFinite(value) && (signed || value >= -1e-9) && value <= most * (1 + 1e-9)
}

function onlyUnknown(
  { of, only }: Relation,
  values: ReadonlyMap<QuantityId, number>,
): QuantityId | undefined {
  const [unknown, ...others] = of.filter((id) => !values.has(id))
  if (unknown === undefined || others.length > 0 || quantityOf(unknown).stands) return undefined
  return only !== undefined && unknown !== only ? undefined : unknown
}

/** The value of one quantity by one relation, from all its others. */
export function solveFor(
  id: QuantityId,
  relation: Relation,
  values: ReadonlyMap<QuantityId, number>,
): number | undefined {
  // One object for every look, for a root is looked for at hundreds of places.
  const there: Partial<Record<QuantityId, number>> = {}
  for (const other of relation.of) there[other] = values.get(other) ?? NaN
  return rootOf((x) => {
    there[id] = x
    return relation.gap(there as Values)
  })
}
