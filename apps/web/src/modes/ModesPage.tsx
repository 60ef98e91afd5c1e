import { testsOfModes, type ModeTest } from '@even-watt/contract'
import { TestsFrame } from '../benchTests/TestsFrame'
import { useTrial } from '../trials/useTrial'
import { ModeForm } from './ModeForm'
import { ModeList } from './ModeList'

/** What each mode draws, where it wakes, how it goes over between grid and battery. */
export function ModesPage() {
  const { analysis } = useTrial()
  return (
    <TestsFrame<ModeTest>
      kind="mode"
      tests={testsOfModes}
      at="modes"
      and={['search-mode draw']}
      none="No mode is tested yet. Each draws something of its own. Read its watts, or let it stand for hours and note what it lost."
      list={<ModeList analysis={analysis} editable />}
      wave={['transfer', 'what was recorded of the last transfer']}
      add="Test a mode"
      form={(test, count) => (
        <ModeForm key={`${analysis.record.revision.number} ${test} ${count}`} test={test} />
      )}
    />
  )
}
