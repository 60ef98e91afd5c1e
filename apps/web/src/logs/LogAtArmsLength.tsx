import type { CheckIn, LogEnd, Unit, Value } from '@even-watt/contract'
import { askedOf, parseNumber, plain, quantityData, runDownsOf, type Log } from '@even-watt/core'
import { useState } from 'react'
import { capture } from '../outbox/capture'
import { useNow } from '../schedule/useNow'
import { useTrial } from '../trials/useTrial'
import { AtArmsLength, FootButton } from '../ui/atArmsLength/AtArmsLength'
import { LargeField, PromptNote } from '../ui/atArmsLength/LargeField'
import { clockTime } from '../ui/dates'
import { nameOfLog, sayMinutes } from './words'

interface Props {
  readonly log: Log
  readonly onClose: () => void
}

/** How a log of its kind usually ends. */
const overOf = ({ entry }: Log, { kind }: Unit): { why: LogEnd; words: string } =>
  entry.reading.what === 'charge'
    ? { why: 'full', words: 'It is full' }
    : entry.reading.what !== 'run-down'
      ? { why: 'time was up', words: 'Its time is up' }
      : kind === 'power station'
        ? { why: 'BMS', words: 'It is empty' }
        : { why: 'low voltage', words: 'It ended: low voltage' }

/** A check-in one figure at a time, large enough to be read across the bench; Enter goes on, empty skips. */
export function LogAtArmsLength({ log, onClose }: Props) {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const asked = askedOf(log.entry.reading.what, revision)
  const [values, setValues] = useState<readonly Value[]>([])
  const [charge, setCharge] = useState<number>()
  const [at, setAt] = useState(0)
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string>()
  const now = useNow()
  const current = asked[at]
  const questions = asked.length + 1
  const keep = (read: readonly Value[], share: number | undefined, more: Partial<CheckIn> = {}) => {
    if (!read.length && share === undefined && more.ended === undefined && more.event === undefined)
      return setFault('Nothing is read yet: one value makes a check-in.')
    const made = capture(trial.id, {
      kind: 'check-in',
      revision: revision.number,
      reading: {
        log: log.entry.id,
        values: [...read],
        ...(share === undefined ? {} : { charge: share }),
        ...more,
      },
    })
    if ('faults' in made) return setFault(made.faults[0]?.message)
    setValues([])
    setCharge(undefined)
    setAt(0)
    setText('')
    return setFault(undefined)
  }
  const go = () => {
    const parsed = text.trim() ? parseNumber(text) : undefined
    if (parsed && !parsed.ok) return setFault(parsed.why)
    if (current) {
      const next = parsed?.ok
        ? [
            ...values,
            {
              quantity: current.quantity,
              value: parsed.value,
              grade: current.meter ? ('measured' as const) : ('display' as const),
              at: new Date().toISOString(),
              ...(current.meter ? { meter: current.meter } : {}),
            },
          ]
        : values
      setValues(next)
      setAt(at + 1)
      setText('')
      return setFault(undefined)
    }
    if (parsed?.ok && (parsed.value < 0 || parsed.value > 100)) return setFault('Its gauge: from 0 to 100 %.')
    return keep(values, parsed?.ok ? parsed.value / 100 : charge)
  }
  const run = runDownsOf(analysis).find((one) => one.log === log)
  const end = run?.predicted?.predictions.at(-1)?.end
  const over = overOf(log, revision.unit)
  const ends =
    end === undefined
      ? ''
      : ` · ends about ${clockTime(new Date(Date.parse(log.entry.at) + end * 1000).toISOString())}`
  return (
    <AtArmsLength
      title={nameOfLog(log)}
      under={`${sayMinutes(Math.max(0, (now - Date.parse(log.entry.at)) / 1000))} · ${log.checkIns.length} ${log.checkIns.length === 1 ? 'check-in' : 'check-ins'}${ends}`}
      onClose={onClose}
      foot={
        <>
          <FootButton onClick={() => keep(values, charge, { event: 'stopped' })}>It stopped</FootButton>
          <FootButton onClick={() => keep(values, charge, { event: 'resumed' })}>It resumed</FootButton>
          <FootButton onClick={() => keep(values, charge, { ended: over.why })}>{over.words}</FootButton>
          <FootButton main onClick={go}>
            {at === questions - 1 ? 'Capture' : 'Next'}
          </FootButton>
        </>
      }
    >
      <LargeField
        prompt={at}
        label={current ? quantityData[current.quantity].words : 'What does its gauge say?'}
        unit={current ? quantityData[current.quantity].unit : '%'}
        value={text}
        invalid={fault !== undefined}
        onChange={(typed) => {
          setText(typed)
          setFault(undefined)
        }}
        onEnter={go}
      />
      <PromptNote fault={fault} />
      <p className="text-quiet text-xl">
        {at + 1} of {questions}
        {values.map(({ quantity, value }) => ` · ${plain(value)} ${quantityData[quantity].unit}`).join('')}
      </p>
    </AtArmsLength>
  )
}
