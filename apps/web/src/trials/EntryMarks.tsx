import type { Entry } from '@even-watt/contract'
import { useTrial } from './useTrial'

/** What is to be known of an entry besides what it says: whose it is, from which rig, and whether it is sent. */
export function EntryMarks({ entry: { id, by, revision } }: { readonly entry: Entry }) {
  const { trial, analysis, unsent } = useTrial()
  return (
    <>
      {by !== undefined && by !== trial.by && <span className="text-quiet">read by {by}</span>}
      {revision !== analysis.record.revision.number && <span className="text-quiet">on rig {revision}</span>}
      {unsent.has(id) && <span className="text-ochre">▲ unsent</span>}
    </>
  )
}
