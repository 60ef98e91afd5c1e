import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { LoadTestForm } from './LoadTestForm'
import { LoadTestTable } from './LoadTestTable'

/** Short load tests of a battery or of the bank: R at 10 s. */
export function LoadTestPage() {
  const { analysis, view } = useTrial()
  const { number } = analysis.record.revision
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2 max-w-3xl">
        Let the surface charge go, read the volts at rest, put a load on for 10 s, read volts and amps, take
        it off and read again. Batteries are compared by resistance: at equal watts the weaker one draws more
        current as it sags, so its sag overstates the difference.
      </p>
      <LoadTestTable analyses={view.analyses} editable={number} />
      <LoadTestForm key={number} />
    </>
  )
}
