import { testsOfLimits, type LimitTest } from '@even-watt/contract'
import { useState } from 'react'
import { TestsFrame } from '../benchTests/TestsFrame'
import { useTrial } from '../trials/useTrial'
import { LimitForm } from './LimitForm'
import { SeenAlong } from './SeenAlong'
import { TierLoads } from './TierLoads'
import { TestList } from './TestList'

/** Where it gives up, and what else it does: each test in a sentence, its promises first. */
export function LimitsPage() {
  const { analysis, view } = useTrial()
  const [load, setLoad] = useState<string>()
  return (
    <TestsFrame<LimitTest>
      kind="limit"
      tests={testsOfLimits}
      title="Limits"
      at="limits"
      odd={[28]}
      caution="It may come back by itself after a trip: stand clear, and switch the load off first. Never try reverse polarity."
      none="No limit is tested on this rig yet. Raise the load until something gives up, and note what it was, at how many watts and after how long."
      list={
        <>
          <TestList record={view.record} analysis={analysis} editable />
          <SeenAlong analysis={analysis} />
        </>
      }
      wave={['overload', 'what was recorded of the last overload']}
      add="Add a test"
      form={(test) => (
        <>
          {test === 'overload' && <TierLoads onTake={setLoad} />}
          <LimitForm key={`${analysis.record.revision.number} ${test}`} test={test} load={load} />
        </>
      )}
    />
  )
}
