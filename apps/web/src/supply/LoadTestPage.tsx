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
        Let the surface charge go, and read the volts at rest. Put a load on for 10 s and read volts and amps.
        Take it off and read again. Batteries are compared by resistance. At equal watts the weaker one draws
        more amps as it sags, so its sag says too much.
      </p>
      <LoadTestTable analyses={view.analyses} editable={number} />
      <LoadTestForm key={number} />
    </>
  )
}
