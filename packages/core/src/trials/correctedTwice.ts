import type { Entry } from '@even-watt/contract'

/**
 * Corrections of one and the same entry that stand beside each other, as two people make them who do not know of each other;
 * each list in the order of the record, two at least. A correction of a correction is one of what was first read.
 */
export function correctedTwice(
  entries: readonly Entry[],
  struckWhy: ReadonlyMap<string, string>,
): readonly (readonly Entry[])[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  const firstOf = (entry: Entry): Entry => {
    const seen = new Set<string>()
    let first = entry
    for (let next: Entry | undefined = entry; next && !seen.has(next.id);) {
      seen.add(next.id)
      first = next
      next = next.replaces && byId.get(next.replaces.entry)
    }
    return first
  }
  const groups = new Map<string, Entry[]>()
  for (const entry of entries) {
    if (!entry.replaces || struckWhy.has(entry.id)) continue
    const { id } = firstOf(entry)
    groups.set(id, [...(groups.get(id) ?? []), entry])
  }
  return [...groups.values()].filter(({ length }) => length > 1)
}
