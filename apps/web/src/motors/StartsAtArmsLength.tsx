import { openedBy, startOutcomes, type EntryOf } from '@even-watt/contract'
import { parseNumber, readingsOf } from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState, type KeyboardEvent } from 'react'
import { capture } from '../outbox/capture'
import { useTrial } from '../trials/useTrial'
import type { Untried } from './tryNext'

type Reading = EntryOf<'motors'>['reading']

const numbers = [
  ['lasted', 'How long did it last?', 's'],
  ['lowestInput', 'B · lowest volts at the terminals', 'V'],
  ['lowestOutput', 'C · lowest volts at the outlet', 'V'],
] as const

interface Props {
  readonly untried: readonly Untried[]
  readonly onClose: () => void
}

/** Attempt by attempt, one question at a time, large enough to be read from where the machine stands. */
export function StartsAtArmsLength({ untried, onClose }: Props) {
  const { trial, analysis } = useTrial()
  const [draft, setDraft] = useState<Partial<Reading>>({})
  const [at, setAt] = useState(0)
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string>()
  const [captured, setCaptured] = useState<string>()
  const attempts = readingsOf(analysis.record, 'motors')
  const failed = draft.outcome !== undefined && draft.outcome !== 'started'
  const done = analysis.motors.attempts.find(({ entry }) => entry.id === captured)
  const to = (step: number) => {
    setAt(step)
    setText('')
    setFault(undefined)
  }
  const keep = (reading: Partial<Reading>) => {
    const number = Math.max(0, ...attempts.map((one) => one.reading.number)) + 1
    const result = capture(trial.id, {
      kind: 'motors',
      revision: analysis.record.revision.number,
      reading: { load: '', outcome: 'started', ...reading, number },
    })
    if ('faults' in result) return setFault(result.faults[0]?.message)
    setCaptured(result.entry.id)
    setDraft({})
    return to(0)
  }
  const motor = (load: string) => {
    if (!load.trim()) return setFault('Enter the motor.')
    setDraft({ load: load.trim() })
    return to(1)
  }
  const outcome = (chosen: Reading['outcome']) => {
    const next = { ...draft, outcome: chosen }
    setDraft(next)
    if (chosen === 'started') keep(next)
    else to(2)
  }
  const number = numbers[at - 3]
  const answerNumber = (skip: boolean) => {
    if (!number) return
    const parsed = text.trim() && !skip ? parseNumber(text) : undefined
    if (parsed && !parsed.ok) return setFault(parsed.why)
    const next = parsed?.ok ? { ...draft, [number[0]]: parsed.value } : draft
    setDraft(next)
    if (at - 3 === numbers.length - 1) keep(next)
    else to(at + 1)
  }
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    if (at === 0) motor(text)
    else answerNumber(false)
  }
  const big = 'action w-full py-4 text-left text-2xl whitespace-normal'
  const field = (label: string, unit?: string) => (
    <label className="block text-2xl font-bold">
      {label}
      <span className="flex items-baseline gap-3">
        <input
          key={at}
          autoFocus
          autoComplete="off"
          inputMode={unit ? 'decimal' : 'text'}
          className={`figures w-full min-w-0 border-b border-quiet bg-transparent leading-tight ${unit ? 'text-[clamp(4.5rem,22vw,13rem)]' : 'text-[clamp(2rem,7vw,4rem)]'}`}
          value={text}
          aria-invalid={fault !== undefined}
          onChange={(event) => {
            setText(event.target.value)
            setFault(undefined)
          }}
          onKeyDown={onKey}
        />
        {unit && <span className="text-quiet text-4xl">{unit}</span>}
      </span>
    </label>
  )
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogPanel className="bg-ground fixed inset-0 flex flex-col overflow-y-auto">
        <div className="border-b border-rule px-5 py-3">
          <DialogTitle className="truncate text-lg font-bold">{draft.load ?? 'Next attempt'}</DialogTitle>
        </div>
        <div className="flex flex-1 flex-col gap-3 px-5 py-4">
          {at === 0 && done && (
            <p className="max-w-3xl text-2xl" role="status">
              {done.entry.reading.load}, attempt {done.entry.reading.number}: {done.outcome}
              {done.ended && `. ${done.ended.say().why}`}
            </p>
          )}
          {at === 0 && (
            <>
              {field('What is started?')}
              {[
                ...(attempts.at(-1) ? [attempts.at(-1)?.reading.load ?? ''] : []),
                ...untried.map(({ load }) => load.name),
              ]
                .slice(0, 4)
                .map((name, i) => (
                  <button key={name} type="button" className={big} onClick={() => motor(name)}>
                    {i === 0 && attempts.length ? `Again: ${name}` : name}
                  </button>
                ))}
            </>
          )}
          {at === 1 && (
            <>
              <p className="text-2xl font-bold">What did it do?</p>
              {startOutcomes.map((one) => (
                <button key={one} type="button" className={big} onClick={() => outcome(one)}>
                  {one}
                </button>
              ))}
            </>
          )}
          {at === 2 && failed && (
            <>
              <p className="text-2xl font-bold">What opened, or went off?</p>
              {openedBy.map((opened) => (
                <button
                  key={opened}
                  type="button"
                  className={big}
                  onClick={() => {
                    setDraft({ ...draft, opened })
                    to(3)
                  }}
                >
                  {opened}
                </button>
              ))}
              <button type="button" className={big} onClick={() => to(3)}>
                not looked
              </button>
            </>
          )}
          {number && field(number[1], number[2])}
          <p className="text-madder min-h-8 text-xl" role="alert">
            {fault && `■ ${fault}`}
          </p>
        </div>
        <div className="sticky bottom-0 flex border-t-2 border-ink bg-ground">
          <button type="button" className="flex-1 py-5 text-lg font-bold" onClick={onClose}>
            Leave
          </button>
          <button
            type="button"
            className="flex-1 py-5 text-lg font-bold"
            disabled={at === 0}
            onClick={() => to(at - 1)}
          >
            Back
          </button>
          {number && (
            <button
              type="button"
              className="flex-1 py-5 text-lg font-bold"
              onClick={() => answerNumber(true)}
            >
              Not read
            </button>
          )}
          {(at === 0 || number) && (
            <button
              type="button"
              className="bg-ink text-ground flex-[2] py-5 text-lg font-bold"
              onClick={() => (at === 0 ? motor(text) : answerNumber(false))}
            >
              {at - 3 === numbers.length - 1 ? 'Capture' : 'Continue'}
            </button>
          )}
        </div>
      </DialogPanel>
    </Dialog>
  )
}
