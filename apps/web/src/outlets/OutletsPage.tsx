import { testsOfOutlets, type OutletTest } from '@even-watt/contract'
import { TestsFrame } from '../benchTests/TestsFrame'
import { useTrial } from '../trials/useTrial'
import { OutletForm } from './OutletForm'
import { OutletList } from './OutletList'

/** Behind the outlets: are they alike, what does a cord take, what opens, what would the mains give. */
export function OutletsPage() {
  const { analysis } = useTrial()
  return (
    <TestsFrame<OutletTest>
      kind="outlet"
      tests={testsOfOutlets}
      caution="Mains volts kill. Nothing is opened while it is live; what is fixed wiring is for a licensed electrician."
      none="Nothing behind the outlets is tested yet. A long cord, a breaker or a bad outlet is easily laid to the unit."
      list={<OutletList analysis={analysis} editable />}
      add="Test behind an outlet"
      form={(test, count) => (
        <OutletForm key={`${analysis.record.revision.number} ${test} ${count}`} test={test} />
      )}
    />
  )
}
