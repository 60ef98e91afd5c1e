import { StageHead } from '../../trials/StageHead'
import { useTrial } from '../../trials/useTrial'
import { KeptPredictions } from './KeptPredictions'
import { Trying } from './Trying'

/** Changes tried out on the measured supply before a spanner is lifted. */
export function WhatIfPage() {
  const { analysis, view } = useTrial()
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2 max-w-3xl">
        What a change would do, from the values measured on this rig. It is a prediction until the change is
        made; kept, it stands beside what the change then did.
      </p>
      <Trying key={analysis.record.revision.number} />
      {view.analyses.map((one) => (
        <KeptPredictions key={one.record.revision.number} analysis={one} />
      ))}
    </>
  )
}
