import type { Entry, EntryOf, Revision, Trial } from '@even-watt/contract'

/** One step of a ladder: all its readings on one rig revision, the first taken first. */
export interface Step {
  readonly id: string
  readonly position: number
  /** Readings that stand. */
  readonly readings: readonly EntryOf<'ladder'>[]
  /** Readings taken back or corrected, kept for the record. */
  readonly struck: readonly EntryOf<'ladder'>[]
}

export interface RevisionRecord {
  readonly revision: Revision
  readonly noLoad: readonly EntryOf<'no load'>[]
  readonly steps: readonly Step[]
  readonly motors: readonly EntryOf<'motors'>[]
  readonly loadTests: readonly EntryOf<'load test'>[]
  readonly surveys: readonly EntryOf<'survey'>[]
  readonly predictions: readonly EntryOf<'prediction'>[]
  readonly struck: readonly Entry[]
}

export interface TrialRecord {
  readonly revisions: readonly RevisionRecord[]
  /** Cautions acknowledged, on any revision, in order of time. */
  readonly acknowledged: readonly EntryOf<'make safe'>[]
  /** What happened to the schedule, in order of time. */
  readonly run: readonly EntryOf<'run'>[]
  /** Why an entry no longer counts, by its id. */
  readonly struckWhy: ReadonlyMap<string, string>
  /** Oddities the tester looked at and kept, `entry|oddity` → why. */
  readonly kept: ReadonlyMap<string, string>
}

/**
 * What stands after all entries of a trial: an entry counts unless it was taken back, or corrected by an
 * entry that itself counts. The order in which entries arrived does not matter.
 */
export function replay(trial: Trial, entries: readonly Entry[]): TrialRecord {
  const takenBack = new Map<string, string>()
  const corrections = new Map<string, Entry[]>()
  const kept = new Map<string, string>()
  for (const entry of entries) {
    if (entry.stage === 'take back') takenBack.set(entry.entry, entry.why)
    if (entry.stage === 'keep') kept.set(`${entry.entry}|${entry.oddity}`, entry.why)
    if (entry.replaces) {
      const others = corrections.get(entry.replaces.entry) ?? []
      corrections.set(entry.replaces.entry, [...others, entry])
    }
  }

  const reasons = new Map<string, string | undefined>()
  const whyStruck = (entry: Entry, above: ReadonlySet<string>): string | undefined => {
    if (reasons.has(entry.id)) return reasons.get(entry.id)
    const own = takenBack.get(entry.id)
    const inside = new Set(above).add(entry.id)
    const standing = (corrections.get(entry.id) ?? []).find(
      (correction) => !inside.has(correction.id) && whyStruck(correction, inside) === undefined,
    )
    const reason = own ?? standing?.replaces?.why
    reasons.set(entry.id, reason)
    return reason
  }
  const struckWhy = new Map<string, string>()
  for (const entry of entries) {
    const reason = whyStruck(entry, new Set())
    if (reason !== undefined) struckWhy.set(entry.id, reason)
  }

  const ordered = [...entries].sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))
  return {
    struckWhy,
    kept,
    acknowledged: ordered
      .filter((entry) => entry.stage === 'make safe')
      .filter((entry) => !struckWhy.has(entry.id)),
    run: ordered.filter((entry) => entry.stage === 'run').filter((entry) => !struckWhy.has(entry.id)),
    revisions: trial.revisions.map((revision) => {
      const here = ordered.filter((entry) => entry.revision === revision.number)
      const standing = here.filter((entry) => !struckWhy.has(entry.id))
      return {
        revision,
        noLoad: standing.filter((entry) => entry.stage === 'no load'),
        motors: standing.filter((entry) => entry.stage === 'motors'),
        loadTests: standing.filter((entry) => entry.stage === 'load test'),
        surveys: standing.filter((entry) => entry.stage === 'survey'),
        predictions: standing.filter((entry) => entry.stage === 'prediction'),
        steps: groupSteps(
          here.filter((entry) => entry.stage === 'ladder'),
          struckWhy,
        ),
        struck: here.filter((entry) => struckWhy.has(entry.id)),
      }
    }),
  }
}

function groupSteps(readings: readonly EntryOf<'ladder'>[], struckWhy: ReadonlyMap<string, string>): Step[] {
  const groups = new Map<string, { readings: EntryOf<'ladder'>[]; struck: EntryOf<'ladder'>[] }>()
  for (const entry of readings) {
    const group = groups.get(entry.reading.step) ?? { readings: [], struck: [] }
    groups.set(entry.reading.step, group)
    if (struckWhy.has(entry.id)) group.struck.push(entry)
    else group.readings.push(entry)
  }
  return [...groups]
    .map(([id, group]) => ({
      id,
      ...group,
      position: (group.readings.at(-1) ?? group.struck.at(-1))?.reading.position ?? 0,
    }))
    .sort((a, b) => a.position - b.position)
}
