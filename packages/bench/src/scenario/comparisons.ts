import type { StoredComparison, TrialDocument } from '@even-watt/contract'
import { seeded } from '../random'

const savedAt = '2026-05-06T15:40:00.000Z'

/** What the station compared: two revisions of one unit, and two units that are not alike. */
export function comparisonsOf(trials: readonly TrialDocument[]): StoredComparison[] {
  const random = seeded(1601)
  const of = (begins: string) => {
    const trial = trials.find((one) => one.trial.title.startsWith(begins))?.trial
    if (!trial) throw new Error(`No trial begins with ${begins}`)
    return { trial: trial.id, revision: trial.revisions.length }
  }
  const kept = (name: string, begins: readonly string[], more: Partial<StoredComparison> = {}) => ({
    id: random.id(Date.parse(savedAt)),
    version: 1,
    savedAt,
    name,
    of: begins.map(of),
    ...more,
  })
  return [
    kept('Ottrel, revision B and C', ['Ottrel 1400-24 for', 'Ottrel 1400-24 rev C'], {
      weights: { idle: 2, duty: 5, volts: 1 },
      note: 'Is it worth changing launch 2 to revision C?',
    }),
    kept('Ottrel and Pellam', ['Ottrel 1400-24 for', 'Pellam 900-12 for'], { weights: { idle: 1, THD: 1 } }),
  ]
}
