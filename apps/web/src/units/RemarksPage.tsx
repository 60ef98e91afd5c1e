import { Remark, remarkKinds } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { capture } from '../outbox/capture'
import { Strip } from '../photographs/Strip'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { choice, readFields, startOf, words } from '../trials/fields'
import { StageHead } from '../trials/StageHead'
import { TakingBack } from '../trials/TakingBack'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Asking } from '../ui/Asking'
import { Wish } from './Wish'

const fields = [
  choice('kind', 'It is a', remarkKinds),
  words('words', 'In words', 'the lamp cannot be switched off'),
  words('present', 'Of a wish: what there is', 'USB-A 2.4 A'),
  words('wanted', '… and should be', 'USB-C 60 W'),
]

/** Wishes, complaints, workarounds and open questions, as they come up on the bench. */
export function RemarksPage() {
  const { trial, view } = useTrial()
  const remarks = readingsOf(view.record, 'remark')
  const [takingBack, setTakingBack] = useState<string>()
  const [settling, setSettling] = useState<string>()
  const state = useCaptureForm({
    what: 'remark',
    start: startOf(fields),
    schema: Remark,
    read: (from) => readFields(fields, from),
    entry: (reading) => ({ kind: 'remark', reading }),
    next: ({ kind }) => ({ kind }),
  })
  const settle = (settled: string) => {
    const entry = remarks.find(({ id }) => id === settling)
    setSettling(undefined)
    if (!entry) return
    const captured = capture(trial.id, {
      kind: 'remark',
      at: entry.at,
      revision: entry.revision,
      reading: { ...entry.reading, settled },
      replaces: { entry: entry.id, why: 'what became of it' },
    })
    answer('faults' in captured ? captured.faults.map(({ message }) => message).join(' ') : 'It is settled.')
  }
  return (
    <>
      <StageHead title="Remarks" revisions={false} />
      {remarks.length === 0 && (
        <p className="max-w-prose">
          Nothing remarked yet: what annoys, what is missing, how one gets round it, what nobody could answer.
          It stands in the report, and under the unit in later trials.
        </p>
      )}
      <ul>
        {remarks.map(({ id, reading }) => (
          <li
            key={id}
            className="grid items-center gap-x-4 gap-y-1 border-b border-rule py-1.5 md:grid-cols-[8rem_1fr_auto_auto]"
          >
            <span className="text-quiet">{reading.kind}</span>
            <span className="min-w-0 break-words">
              {reading.words}
              <Wish of={reading} />
              {reading.settled && <span className="text-moss"> ● {reading.settled}</span>}
            </span>
            <Strip subject={{ about: id }} of={`this ${reading.kind}`} />
            <span className="no-print flex gap-3">
              {!reading.settled && (
                <button type="button" className="plain-link" onClick={() => setSettling(id)}>
                  Settle
                </button>
              )}
              <button type="button" className="plain-link" onClick={() => setTakingBack(id)}>
                Take back
              </button>
            </span>
          </li>
        ))}
      </ul>
      <CaptureForm title="Remark" state={state} className="mt-4" action="Keep it">
        <FieldGrid fields={fields} state={state} />
      </CaptureForm>
      <Asking
        open={settling !== undefined}
        title="What became of it"
        label="Answered, mended, or lived with: in words"
        action="Settle it"
        onAnswer={settle}
        onClose={() => setSettling(undefined)}
      />
      <TakingBack entry={takingBack} what="this remark" onDone={() => setTakingBack(undefined)} />
    </>
  )
}
