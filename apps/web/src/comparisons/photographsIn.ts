import type { TrialDocument } from '@even-watt/contract'
import { readingsOf, replay } from '@even-watt/core'
import type { PhotographEntry } from '../photographs/usePhotographs'

/** The photographs of each trial that stand, by its id. */
export const photographsIn = (
  documents: ReadonlyMap<string, TrialDocument>,
): ReadonlyMap<string, readonly PhotographEntry[]> =>
  new Map(
    [...documents].map(([id, { trial, entries }]) => [id, readingsOf(replay(trial, entries), 'photograph')]),
  )
