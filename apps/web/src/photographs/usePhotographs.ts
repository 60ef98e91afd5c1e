import type { EntryOf } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { useMemo } from 'react'
import type { TrialState } from '../trials/useTrial'
import type { Subject } from './take'

export type PhotographEntry = EntryOf<'photograph'>

/** When it was photographed: as its file says, else when it came here. */
export const takenAt = ({ at, reading }: PhotographEntry): string => reading.takenAt ?? at

/** Photographs of a trial that stand, on whichever rig, in the order in which they were taken. */
export function usePhotographs({ view }: Pick<TrialState, 'view'>): readonly PhotographEntry[] {
  return useMemo(
    () => [...readingsOf(view.record, 'photograph')].sort((a, b) => (takenAt(a) < takenAt(b) ? -1 : 1)),
    [view],
  )
}

/** Whether a photograph belongs to a subject: it is of the same thing, or a mark on it is; else by what it shows. */
export const isOf = ({ reading }: PhotographEntry, { about, shows }: Subject): boolean =>
  about === undefined
    ? shows !== undefined && reading.shows === shows
    : reading.about === about || reading.marks.some((mark) => mark.about === about)
