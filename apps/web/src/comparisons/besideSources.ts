import type { Picked, Revision, TrialDocument } from '@even-watt/contract'
import type { PhotographEntry } from '../photographs/usePhotographs'
import { photographsIn } from './photographsIn'

/** What a comparison shows of the trials themselves, beside what follows from them. */
export interface BesideSources {
  /** As they stand in the record, without what captures add to their meters. */
  readonly revisions: readonly Revision[]
  /** By the id of the trial. */
  readonly photographs: ReadonlyMap<string, readonly PhotographEntry[]>
}

export const sourcesOf = (
  of: readonly Picked[],
  documents: ReadonlyMap<string, TrialDocument>,
): BesideSources => ({
  revisions: of.flatMap(
    ({ trial, revision }) =>
      documents.get(trial)?.trial.revisions.filter(({ number }) => number === revision) ?? [],
  ),
  photographs: photographsIn(documents),
})
