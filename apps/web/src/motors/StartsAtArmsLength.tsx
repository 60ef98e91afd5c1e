import { openedBy, startOutcomes, type EntryOf } from '@even-watt/contract'
import { parseNumber, readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { capture } from '../outbox/capture'
import { useTrial } from '../trials/useTrial'
import { AtArmsLength, FootButton, LargeChoice } from '../ui/atArmsLength/AtArmsLength'
import { LargeField, PromptNote } from '../ui/atArmsLength/LargeField'
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
  const go = () => (at === 0 ? motor(text) : answerNumber(false))
  const field = (label: string, unit?: string) => (
    <LargeField
      prompt={at}
      label={label}
      unit={unit}
      value={text}
      invalid={fault !== undefined}
      onChange={(typed) => {
        setText(typed)
        setFault(undefined)
      }}
      onEnter={go}
    />
  )
  const names = [
    ...attempts.slice(-1).map(({ reading }) => reading.load),
    ...untried.map(({ load }) => load.name),
  ].slice(0, 4)
  return (
    <AtArmsLength
      title={draft.load ?? 'Next attempt'}
      onClose={onClose}
      foot={
        <>
          <FootButton disabled={at === 0} onClick={() => to(at - 1)}>
            Back
          </FootButton>
          {number && <FootButton onClick={() => answerNumber(true)}>Not read</FootButton>}
          {(at === 0 || number) && (
            <FootButton main onClick={go}>
              {at - 3 === numbers.length - 1 ? 'Capture' : 'Continue'}
            </FootButton>
          )}
        </>
      }
    >
      {at === 0 && done && (
        <p className="max-w-3xl text-2xl" role="status">
          {done.entry.reading.load}, attempt {done.entry.reading.number}: {done.outcome}
          {done.ended && `. ${done.ended.say().why}`}
        </p>
      )}
      {at === 0 && (
        <>
          {field('What is started?')}
          {names.map((name, i) => (
            <LargeChoice key={name} onClick={() => motor(name)}>
              {i === 0 && attempts.length ? `Again: ${name}` : name}
            </LargeChoice>
          ))}
        </>
      )}
      {at === 1 && (
        <>
          <p className="text-2xl font-bold">What did it do?</p>
          {startOutcomes.map((one) => (
            <LargeChoice key={one} onClick={() => outcome(one)}>
              {one}
            </LargeChoice>
          ))}
        </>
      )}
      {at === 2 && failed && (
        <>
          <p className="text-2xl font-bold">What opened, or went off?</p>
          {openedBy.map((opened) => (
            <LargeChoice
              key={opened}
              onClick={() => {
                setDraft({ ...draft, opened })
                to(3)
              }}
            >
              {opened}
            </LargeChoice>
          ))}
          <LargeChoice onClick={() => to(3)}>not looked</LargeChoice>
        </>
      )}
      {number && field(number[1], number[2])}
      <PromptNote fault={fault} />
    </AtArmsLength>
  )
}
