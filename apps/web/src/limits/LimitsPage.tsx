import type { LimitTest } from '@even-watt/contract'
import { nameOfTest, promiseOf, readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { VerdictLines } from '../findings/VerdictLines'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { ChooseOne } from '../ui/ChooseOne'
import { AddWave } from '../captures/AddWave'
import { LimitForm } from './LimitForm'
import { SeenAlong } from './SeenAlong'
import { TierLoads } from './TierLoads'
import { TestList } from './TestList'

/** Where it gives up, and what else it does: each test in a sentence, its promises first. */
export function LimitsPage() {
  const { analysis, view } = useTrial()
  const [test, setTest] = useState<LimitTest>('overload')
  const [load, setLoad] = useState<string>()
  const tests = readingsOf(analysis.record, 'limit')
  const findings = view.findings.filter(({ claim }) => promiseOf(claim.quantity).at === 'limits')
  const oddities = useOddities().filter(
    ({ at, number }) => number === 28 || tests.some(({ id }) => id === at.entry),
  )
  const overload = tests.findLast(({ reading }) => reading.test === 'overload')
  return (
    <>
      <StageHead title="Limits" />
      <VerdictLines findings={findings} />
      <p className="text-quiet mt-2">
        It may come back by itself after a trip: stand clear, and switch the load off first. Never try reverse
        polarity.
      </p>
      <OddityNotices oddities={oddities} />
      {tests.length === 0 && (
        <p className="mt-2 max-w-prose">
          No limit is tested on this rig yet. Raise the load until something gives up, and note what it was,
          at how many watts and after how long.
        </p>
      )}
      <TestList record={view.record} analysis={analysis} editable />
      <SeenAlong analysis={analysis} />
      {overload && (
        <div className="mt-3">
          <AddWave belongsTo={{ about: overload.id }} words="what was recorded of the last overload" />
        </div>
      )}
      <section className="no-print mt-5">
        <h2>Add a test</h2>
        <ChooseOne
          label="What was tested"
          options={(Object.keys(nameOfTest) as LimitTest[]).map((one) => [one, nameOfTest[one]] as const)}
          value={test}
          onChange={setTest}
        />
        {test === 'overload' && <TierLoads onTake={setLoad} />}
        <LimitForm key={`${analysis.record.revision.number} ${test}`} test={test} load={load} />
      </section>
    </>
  )
}
