import { BankForSurge } from '../schedule/BankForSurge'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { AttemptForm } from './AttemptForm'
import { AttemptTable } from './AttemptTable'

/** Attempts at starting motors, typed in. */
export function MotorsPage() {
  const { analysis, view } = useTrial()
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2">
        Motors restart by themselves after a trip: keep clear, unplug before touching. Change one thing
        between attempts.
      </p>
      <BankForSurge />
      <AttemptTable record={view.record} analysis={analysis} editable />
      <AttemptForm key={analysis.record.revision.number} />
    </>
  )
}
