import { readingsOf } from '@even-watt/core'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { LoadTestForm } from './LoadTestForm'
import { LoadTestTable } from './LoadTestTable'

/** Short load tests of a battery or of the bank: R at 10 s. */
export function LoadTestPage() {
  const { analysis } = useTrial()
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2 max-w-3xl">
        Let the surface charge go, read the volts at rest, put a load on for 10 s, read volts and amps, take
        it off and read again. Batteries are compared by resistance: at equal watts the weaker one draws more
        current as it sags, so its sag overstates the difference.
      </p>
      <LoadTestTable analysis={analysis} editable />
      <LoadTestForm
        key={`${analysis.record.revision.number} ${readingsOf(analysis.record, 'load test').length}`}
      />
    </>
  )
}
