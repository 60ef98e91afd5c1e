import {
  comparators,
  Expectation,
  expectationOutcomes,
  type Chosen,
  type OwnLimit,
} from '@even-watt/contract'
import { expectationsOf, isMet, isNotMet, judgeLimit, unitOfChosen, type Expected } from '@even-watt/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import { ChooseFigure } from '../catalogue/ChooseFigure'
import { useOnRig } from '../catalogue/useOnRig'
import { capture } from '../outbox/capture'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import type { TrialState } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Asking } from '../ui/Asking'
import { shortDate, shortTime } from '../ui/dates'
import { same, SelectField, TextField } from '../ui/form'

interface Props {
  readonly state: TrialState
  readonly editable?: boolean
}

type Outcome = (typeof expectationOutcomes)[number]

const marks: Readonly<Record<Outcome, string>> = {
  confirmed: '● confirmed',
  refuted: '■ refuted',
  'cannot tell': '▲ cannot tell',
}
const hues: Readonly<Record<Outcome, string>> = {
  confirmed: 'text-moss',
  refuted: 'text-madder',
  'cannot tell': 'text-ochre',
}

/** What the tester expected, with when it was written, and how it came out. */
export function ExpectationList({ state, editable = false }: Props) {
  const expected = expectationsOf(state.view.record)
  const [marking, setMarking] = useState<{ readonly of: Expected; readonly outcome: Outcome }>()
  if (!expected.length && !editable) return null
  const mark = (because: string) => {
    if (!marking) return
    const { of, outcome } = marking
    capture(state.trial.id, {
      revision: state.analysis.record.revision.number,
      kind: 'came out',
      reading: { expectation: of.entry.id, outcome, because },
    })
    answer(`Marked: ${outcome}.`)
    setMarking(undefined)
  }
  return (
    <section className="mt-5 max-w-[46rem] break-inside-avoid">
      <h2>What was expected</h2>
      <ul>
        {expected.map((one) => (
          <li key={one.entry.id} className="border-b border-rule py-1">
            {!one.cameOut && one.entry.reading.holds && (
              <ByData limit={one.entry.reading.holds} state={state} />
            )}
            {one.cameOut && (
              <span className={`mr-2 font-semibold ${hues[one.cameOut.reading.outcome]}`}>
                {marks[one.cameOut.reading.outcome]}
              </span>
            )}
            {one.entry.reading.words}{' '}
            <span className="text-quiet">
              {shortDate(one.entry.at)} {shortTime(one.entry.at)}
              {one.afterReading && ', after reading had begun'}
              {one.cameOut?.reading.because && `; ${one.cameOut.reading.because}`}
            </span>
            {editable && (
              <span className="no-print ml-3 inline-flex gap-3">
                {expectationOutcomes.map((outcome) => (
                  <button
                    key={outcome}
                    type="button"
                    className="plain-link"
                    onClick={() => setMarking({ of: one, outcome })}
                  >
                    {outcome}
                  </button>
                ))}
              </span>
            )}
          </li>
        ))}
      </ul>
      {editable && <Expecting />}
      <Asking
        open={marking !== undefined}
        title={`It was ${marking?.outcome ?? ''}`}
        label="By what evidence?"
        action="Mark it"
        onAnswer={mark}
        onClose={() => setMarking(undefined)}
      />
    </section>
  )
}

interface DataProps {
  readonly limit: OwnLimit
  readonly state: TrialState
}

/** How it came out by what was read, until the tester says it. */
function ByData({ limit, state: { view, analysis } }: DataProps) {
  const { outcome, sentence } = judgeLimit(limit, useOnRig(view.analyses, analysis))
  const came: Outcome = isMet(outcome) ? 'confirmed' : isNotMet(outcome) ? 'refuted' : 'cannot tell'
  return (
    <>
      <span className={`mr-2 font-semibold ${hues[came]}`}>{marks[came]}</span>
      <span className="text-quiet">{sentence}</span>{' '}
    </>
  )
}

function Expecting() {
  const [id] = useState(() => v7())
  const [of, setOf] = useState<Chosen>()
  const state = useCaptureForm({
    what: 'expectation',
    start: { words: '', is: 'at least', value: '' },
    schema: Expectation,
    read: ({ text, number, report }) => {
      const value = number('value')
      if (of && value === undefined) report('value', 'Enter the figure that you expect.')
      const holds = of && value !== undefined ? { id, of, is: text('is'), value } : undefined
      return { words: text('words') ?? '', ...(holds ? { holds } : {}) }
    },
    entry: (reading) => ({ kind: 'expectation', reading }),
  })
  return (
    <CaptureForm title="Expect something" state={state} className="mt-2">
      <TextField
        label="Before it is tested"
        placeholder="the breaker will go at 1500 W; the new revision regulates better"
        {...state.field('words')}
      />
      {of ? (
        <div className="mt-2 grid grid-cols-2 items-start gap-3 md:grid-cols-4">
          <ChooseFigure value={of} of="all" onChange={setOf} />
          <SelectField label="Is" {...state.field('is')} options={same(comparators)} />
          <TextField
            label="Figure expected"
            unit={unitOfChosen(of)}
            inputMode="decimal"
            {...state.field('value')}
          />
          <button type="button" className="plain-link mt-6" onClick={() => setOf(undefined)}>
            In words only
          </button>
        </div>
      ) : (
        <button
          type="button"
          className="plain-link mt-2"
          onClick={() => setOf({ figure: 'regulation from no load' })}
        >
          Hold a figure against it
        </button>
      )}
    </CaptureForm>
  )
}
