import { nameOfTest, recordedOf, sayTest, type Analysis, type TrialRecord } from '@even-watt/core'
import { useState } from 'react'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'

interface Props {
  readonly record: TrialRecord
  readonly analysis: Analysis
  readonly editable?: boolean
}

const order = Object.keys(nameOfTest) as (keyof typeof nameOfTest)[]

/** All tests of limits on one rig, in sentences, by what was tested. */
export function TestList({ record, analysis, editable = false }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  const all = recordedOf(analysis.record, 'limit')
  return (
    <>
      {order.map((test) => {
        const tests = all.filter(({ reading }) => reading.test === test)
        if (!tests.length) return null
        return (
          <section key={test} className="mt-3">
            <h3 className="font-semibold">{nameOfTest[test]}</h3>
            <ul className="max-w-4xl">
              {tests.map((entry) => {
                const why = record.struckWhy.get(entry.id)
                return (
                  <li key={entry.id} className="flex items-baseline gap-x-3 border-b border-rule py-0.5">
                    <span className={why === undefined ? '' : 'line-through'}>
                      {sayTest(entry, analysis)}
                      {entry.reading.note && <span className="text-quiet"> {entry.reading.note}</span>}
                    </span>
                    {why !== undefined && !editable && <span className="text-ochre">taken back: {why}</span>}
                    {editable && (
                      <span className="no-print ml-auto whitespace-nowrap">
                        {why === undefined ? (
                          <button
                            type="button"
                            className="plain-link"
                            onClick={() => setTakingBack(entry.id)}
                          >
                            Take back
                          </button>
                        ) : (
                          <Struck entry={entry.id} why={why} what="this test" />
                        )}
                      </span>
                    )}
                  </li>
                )
              })}
            </ul>
          </section>
        )
      })}
      <TakingBack entry={takingBack} what="this test" onDone={() => setTakingBack(undefined)} />
    </>
  )
}
