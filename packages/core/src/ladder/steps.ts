import type { EntryOf } from '@even-watt/contract'
import { capturesOf } from '../evidence'
import { remembering } from '../remember'
import { readingsOf, type RevisionRecord } from '../trials'

/** One step of a ladder: all its readings on one rig revision, the first taken first. */
export interface Step {
  readonly id: string
  readonly position: number
  /** Readings that stand. */
  readonly readings: readonly EntryOf<'ladder'>[]
  /** Readings taken back or corrected, kept for the record. */
  readonly struck: readonly EntryOf<'ladder'>[]
  /** What was captured of it on a scope. */
  readonly captures: readonly EntryOf<'capture'>[]
}

/** Whether the unit carried the load of a reading, without a warning; else it tells of its limits only. */
export const isCarried = ({ reading: { end = 'carried', alarm = 'none' } }: EntryOf<'ladder'>): boolean =>
  alarm === 'none' && (end === 'carried' || end === 'stopped by hand')

/** Whether the input was lowered on purpose in any of its readings: the bank is then not to be judged by it. */
export const isLowered = ({ readings }: Pick<Step, 'readings'>): boolean =>
  readings.some(({ reading }) => reading.lowered)

const sameStep = remembering<EntryOf<'ladder'>, Step>()

/** The steps of a revision in the order of their places; a step whose readings stayed is the very same as before. */
export function stepsOf(record: RevisionRecord): Step[] {
  const groups = new Map<string, { readings: EntryOf<'ladder'>[]; struck: EntryOf<'ladder'>[] }>()
  const add = (entry: EntryOf<'ladder'>, list: 'readings' | 'struck') => {
    const group = groups.get(entry.reading.step) ?? { readings: [], struck: [] }
    groups.set(entry.reading.step, group)
    group[list].push(entry)
  }
  for (const entry of readingsOf(record, 'ladder')) add(entry, 'readings')
  for (const entry of record.struck) if (entry.kind === 'ladder') add(entry, 'struck')
  return [...groups]
    .flatMap(([id, group]) => {
      const last = group.readings.at(-1) ?? group.struck.at(-1)
      const captures = capturesOf(record, [...group.readings, ...group.struck])
      const step = { id, ...group, captures, position: last?.reading.position ?? 0 }
      return last
        ? sameStep(last, [...group.readings, 'struck', ...group.struck, 'captures', ...captures], () => step)
        : []
    })
    .sort((a, b) => a.position - b.position)
}

/** A place behind all steps, for the next one. */
export const nextPosition = (steps: readonly Step[]): number =>
  steps.reduce((most, { position }) => Math.max(most, position), 0) + 10
