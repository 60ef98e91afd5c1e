import { testsOfLimits, type LimitTest } from '@even-watt/contract'
import { recordedOf, sayTest, type Analysis, type TrialRecord } from '@even-watt/core'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'

interface Props {
  readonly record: TrialRecord
  readonly analysis: Analysis
  readonly editable?: boolean
}

const order = Object.keys(testsOfLimits) as LimitTest[]

/** All tests of limits on one rig, in sentences, by what was tested. */
export function TestList({ record, analysis, editable = false }: Props) {
  const all = recordedOf(analysis.record, 'limit')
  return order.map((test) => {
    const tests = all.filter(({ reading }) => reading.test === test)
    if (!tests.length) return null
    return (
      <section key={test} className="mt-3">
        <h3 className="font-semibold">{testsOfLimits[test].name}</h3>
        <SentenceList
          what="this test"
          editable={editable}
          beside={(entry) => <Strip subject={{ about: entry }} of="this test" />}
          lines={tests.map((entry) => ({
            entry: entry.id,
            sentence: sayTest(entry, analysis),
            note: entry.reading.note,
            why: record.struckWhy.get(entry.id),
          }))}
        />
      </section>
    )
  })
}
