import { formatVersion } from './format'

type Loose = Readonly<Record<string, unknown>>

const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Format 1 called the kind of an entry its stage. */
export function upgradeEntry(entry: unknown): unknown {
  if (!isLoose(entry) || !('stage' in entry) || 'kind' in entry) return entry
  const { stage, ...rest } = entry
  return { ...rest, kind: stage }
}

/** What each format version needs to become the next. */
const steps: Readonly<Record<number, (document: Loose) => Loose>> = {
  1: (document) => ({
    ...document,
    entries: Array.isArray(document['entries']) ? document['entries'].map(upgradeEntry) : document['entries'],
  }),
  // Format 3 may name files, the page's clock, and what a plan used; none of it was there before.
  2: (document) => document,
  // Format 4 may doubt readings, and say temperatures, conditions of claims and what is not known of a rig.
  3: (document) => document,
  // Format 5 may read watts, Ah and Wh at the terminals, count bars, and test without an ammeter.
  4: (document) => document,
  // Format 6 may hold captures of waves, and the promise of one.
  5: (document) => document,
  // Format 7 may hold tests of limits, the course of a capture, more of a motor attempt, and nameplates.
  6: (document) => document,
  // Format 8 may hold logs, noise, ports, charging, modes, and units without a DC input.
  7: (document) => document,
  // Format 9 may hold photographs, checklists, what a box holds and remarks on a unit.
  8: (document) => document,
}

/**
 * Brings an older document forward, one version after another. What is no document, or of a version not known, comes
 * back as it is: the schema refuses it in words.
 */
export function upgradeDocument(content: unknown): unknown {
  if (!isLoose(content)) return content
  let document = content
  for (;;) {
    const version = document['formatVersion']
    const step = typeof version === 'number' && version < formatVersion ? steps[version] : undefined
    if (typeof version !== 'number' || !step) return document
    document = { ...step(document), formatVersion: version + 1 }
  }
}
