import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { SurgePart } from './SurgePart'

/** What a peak is worth, and for how long. */
export function SurgePage() {
  const { trial, analysis, view } = useTrial()
  return (
    <>
      <StageHead title="Surge and time" />
      <SurgePart title={trial.title} analysis={analysis} findings={view.findings} />
    </>
  )
}
