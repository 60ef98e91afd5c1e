import { caughtBy, legs, MotorAttempt, openedBy, startOutcomes } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { useEffect } from 'react'
import { api } from '../api/api'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'

const numbers = [
  ['baseLoad', 'Base load', 'W'],
  ['bankBefore', 'Bank before', 'V'],
  ['lasted', 'Until it ran or gave up', 's'],
  ['lowestOutput', 'Lowest at C', 'V'],
  ['lowestInput', 'Lowest at B', 'V'],
  ['peakCurrent', 'Peak current', 'A'],
  ['runningCurrent', 'Running current', 'A'],
  ['runningWatts', 'Running watts', 'W'],
  ['seenWatts', 'Highest watts seen', 'W'],
  ['assist', 'Soft starter divides by', '×'],
] as const

const startable = new Set(['induction motor', 'brush motor', 'microwave', 'electronic'])
const notNoted = ['', 'not noted'] as const

/** One attempt: what was tried and how it ended; what a meter kept of it, where one did. */
export function AttemptForm({ chosen }: { chosen: string | undefined }) {
  const { analysis } = useTrial()
  const { data: shelf = [] } = api.useLoadsQuery()
  const split = analysis.record.revision.unit.phase === 'split'
  const state = useCaptureForm({
    what: 'attempt',
    start: { number: String(readingsOf(analysis.record, 'motors').length + 1), outcome: 'started' },
    schema: MotorAttempt,
    read: ({ number, text }) => ({
      number: number('number'),
      load: text('load') ?? '',
      state: text('state'),
      leg: text('leg'),
      caught: text('caught'),
      opened: text('opened'),
      outcome: text('outcome'),
      note: text('note'),
      ...Object.fromEntries(numbers.map(([name]) => [name, number(name)])),
    }),
    entry: (reading) => ({ kind: 'motors', reading }),
    next: ({ number, load }) => ({ number: String(number + 1), load }),
  })
  const { field, form } = state
  useEffect(() => {
    if (chosen === undefined) return
    form.setValue('load', chosen, { shouldDirty: true })
    form.setFocus('load')
  }, [chosen, form])
  return (
    <CaptureForm title="Add an attempt" state={state}>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-5">
        <TextField label="Motor" {...field('load')} placeholder="transfer pump" list="machines" />
        <datalist id="machines">
          {shelf
            .filter(({ kind }) => startable.has(kind))
            .map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
        </datalist>
        <TextField label="Its state" {...field('state')} placeholder="tank empty" />
        <SelectField label="Outcome" {...field('outcome')} options={same(startOutcomes)} />
        <SelectField label="What opened" {...field('opened')} options={[notNoted, ...same(openedBy)]} />
        <TextField label="Attempt" {...field('number')} inputMode="numeric" />
        {numbers.map(([name, label, unit]) => (
          <TextField key={name} label={label} unit={unit} {...field(name)} inputMode="decimal" />
        ))}
        <SelectField label="Caught by" {...field('caught')} options={[notNoted, ...same(caughtBy)]} />
        {split && <SelectField label="Leg" {...field('leg')} options={[notNoted, ...same(legs)]} />}
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
      <p className="text-quiet mt-1 max-w-prose text-[0.9rem]">
        Motor and outcome are enough. The lowest volts at outlet and terminals tell who stopped it. For that a
        meter must read twice while it lasts; a capture tells it all.
      </p>
    </CaptureForm>
  )
}
