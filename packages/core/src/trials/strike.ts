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

/**
 * Why each entry no longer counts, by id: it was taken back, or corrected by an entry that stands or was corrected in
 * its turn. Entries may come in any order, and chains of corrections be of any length.
 * Linear in the number of entries.
 */
export function struckBy(entries: readonly Striking[]): Map<string, string> {
  const takenBack = new Map<string, string>()
  const corrections = new Map<string, Striking[]>()
  for (const entry of entries) {
    if (entry.kind === 'take back' && entry.entry !== undefined) takenBack.set(entry.entry, entry.why ?? '')
    if (!entry.replaces) continue
    const others = corrections.get(entry.replaces.entry)
    if (others) others.push(entry)
    else corrections.set(entry.replaces.entry, [entry])
  }
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
        path.push(...correcting.filter((one) => !reasons.has(one.id) && !open.has(one.id)))
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
