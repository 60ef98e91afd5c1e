import { MotorAttempt, startOutcomes } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'

const numbers = [
  ['baseLoad', 'Base load', 'W'],
  ['bankBefore', 'Bank before', 'V'],
  ['lowestOutput', 'Lowest at C', 'V'],
  ['peakCurrent', 'Peak', 'A'],
] as const

/** One attempt typed in, by eye or from a meter’s extremes. */
export function AttemptForm() {
  const { analysis } = useTrial()
  const state = useCaptureForm({
    what: 'attempt',
    start: { number: String(readingsOf(analysis.record, 'motors').length + 1), outcome: 'started' },
    schema: MotorAttempt,
    read: ({ number, text }) => ({
      number: number('number'),
      load: text('load') ?? '',
      state: text('state'),
      outcome: text('outcome'),
      note: text('note'),
      ...Object.fromEntries(numbers.map(([name]) => [name, number(name)])),
    }),
    entry: (reading) => ({ kind: 'motors', reading }),
    next: ({ number, load }) => ({ number: String(number + 1), load }),
  })
  const { field } = state
  return (
    <CaptureForm title="Add an attempt" state={state}>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Attempt" {...field('number')} inputMode="numeric" />
        <TextField label="Motor" {...field('load')} placeholder="transfer pump" />
        <TextField label="Its state" {...field('state')} placeholder="tank empty" />
        <SelectField label="Outcome" {...field('outcome')} options={same(startOutcomes)} />
        {numbers.map(([name, label, unit]) => (
          <TextField key={name} label={label} unit={unit} {...field(name)} inputMode="decimal" />
        ))}
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
    </CaptureForm>
  )
}
