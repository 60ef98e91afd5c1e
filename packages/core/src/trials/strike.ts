import type { Entry } from '@even-watt/contract'

/** As much of an entry as tells what it strikes out. */
export interface Striking {
  readonly id: string
  readonly kind: Entry['kind']
  /** The entry taken back, where the kind is `take back`. */
  readonly entry?: string
  readonly why?: string
  readonly replaces?: { readonly entry: string; readonly why: string } | undefined
}

/** Lists of what strikes, by what is struck. */
function byTarget(entries: readonly Striking[], targetOf: (entry: Striking) => string | undefined) {
  const lists = new Map<string, Striking[]>()
  for (const entry of entries) {
    const target = targetOf(entry)
    if (target === undefined) continue
    const others = lists.get(target)
    if (others) others.push(entry)
    else lists.set(target, [entry])
  }
  return lists
}

/** Why each entry was taken back, by its id, by those that were not taken back in their turn. */
function takenBackBy(entries: readonly Striking[]): Map<string, string> {
  const takers = byTarget(entries, ({ kind, entry }) => (kind === 'take back' ? entry : undefined))
  const why = new Map<string, string>()
  const settled = new Set<string>()
  const open = new Set<string>()
  for (const target of takers.keys()) {
    const path = [target]
    for (let id = path.at(-1); id !== undefined; id = path.at(-1)) {
      const taking = takers.get(id) ?? []
      if (!settled.has(id) && !open.has(id)) {
        open.add(id)
        // Whether a taker counts must be known before what it takes back.
        for (const one of taking) if (!settled.has(one.id) && !open.has(one.id)) path.push(one.id)
        continue
      }
      path.pop()
      if (settled.has(id)) continue
      settled.add(id)
      const counting = taking.find((one) => !why.has(one.id))
      if (counting) why.set(id, counting.why ?? '')
    }
  }
  return why
}

/**
 * Why each entry no longer counts, by id: it was taken back, or corrected by an entry that stands or was corrected in
 * its turn. What took an entry back may be taken back itself: then the entry is restored. Entries may come in any
 * order, and chains be of any length.
 * Linear in the number of entries.
 */
export function struckBy(entries: readonly Striking[]): Map<string, string> {
  const takenBack = takenBackBy(entries)
  const corrections = byTarget(entries, ({ replaces }) => replaces?.entry)
  const reasons = new Map<string, string | undefined>()
  // Entries that stand, or in whose place a later correction stands: what they correct stays struck.
  const effective = new Set<string>()
  const open = new Set<string>()
  for (const root of entries) {
    const path: Striking[] = [root]
    for (let entry = path.at(-1); entry; entry = path.at(-1)) {
      const { id } = entry
      const correcting = corrections.get(id) ?? []
      if (!reasons.has(id) && !open.has(id)) {
        open.add(id)
        // Whether a correction counts must be known before what it corrects.
        for (const one of correcting) if (!reasons.has(one.id) && !open.has(one.id)) path.push(one)
        continue
      }
      path.pop()
      if (reasons.has(id)) continue
      const counting = correcting.find((one) => effective.has(one.id))
      reasons.set(id, takenBack.get(id) ?? counting?.replaces?.why)
      if (counting || !takenBack.has(id)) effective.add(id)
    }
  }
  const struck = new Map<string, string>()
  for (const [id, reason] of reasons) if (reason !== undefined) struck.set(id, reason)
  return struck
}
