import type { ClaimQuantity, OddityNumber, Tests } from '@even-watt/contract'
import { promiseOf, readingsOf } from '@even-watt/core'
import { useState, type ReactNode } from 'react'
import { AddWave } from '../captures/AddWave'
import { VerdictLines } from '../findings/VerdictLines'
import { OddityNotices } from '../oddities/OddityNotices'
import { StationRibbon } from '../station/StationRibbon'
import { ChooseOne } from '../ui/ChooseOne'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'

interface Props<Test extends string> {
  readonly kind: 'limit' | 'mode' | 'outlet' | 'port'
  readonly tests: Tests & Readonly<Record<Test, Tests[string]>>
  readonly title?: string
  /** The promises that are decided here, and those that are looked at here too. */
  readonly at?: ReturnType<typeof promiseOf>['at']
  readonly and?: readonly ClaimQuantity[]
  /** Oddities of the whole that belong here. */
  readonly odd?: readonly OddityNumber[]
  readonly caution?: string
  /** What is said where nothing was tested. */
  readonly none: string
  /** All that was tested, in sentences. */
  readonly list: ReactNode
  /** Of which test a wave may be added to the last one, and what it is of. */
  readonly wave?: readonly [test: Test, words: string]
  /** "Test a mode". */
  readonly add: string
  readonly form: (test: Test, count: number) => ReactNode
  readonly children?: ReactNode
}

/** The frame of a page of tests of one kind: their promises first, each test in a sentence, and the next one. */
export function TestsFrame<Test extends string>(props: Props<Test>) {
  const { kind, tests, at, and = [], odd = [], wave } = props
  const { analysis, view } = useTrial()
  const choices = Object.keys(tests) as Test[]
  const [test, setTest] = useState(choices[0] as Test)
  const taken = readingsOf(analysis.record, kind)
  const last = wave && taken.findLast(({ reading }) => reading.test === wave[0])
  const oddities = useOddities().filter(
    ({ at: where, number }) => odd.includes(number) || taken.some(({ id }) => id === where.entry),
  )
  return (
    <>
      {props.title === undefined ? <StageHead /> : <StageHead title={props.title} />}
      <StationRibbon analysis={analysis} />
      <VerdictLines
        findings={view.findings.filter(
          ({ claim: { quantity } }) => promiseOf(quantity).at === at || and.includes(quantity),
        )}
      />
      {props.caution !== undefined && <p className="text-quiet mt-2">{props.caution}</p>}
      <OddityNotices oddities={oddities} />
      {taken.length === 0 && <p className="mt-2 max-w-prose">{props.none}</p>}
      {props.list}
      {wave && last && (
        <div className="mt-3">
          <AddWave belongsTo={{ about: last.id }} words={wave[1]} />
        </div>
      )}
      <section className="no-print mt-5">
        <h2>{props.add}</h2>
        <ChooseOne
          label="What was tested"
          options={choices.map((one) => [one, tests[one].name] as const)}
          value={test}
          onChange={setTest}
        />
        {props.form(test, taken.length)}
      </section>
      {props.children}
    </>
  )
}
