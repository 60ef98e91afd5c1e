import { MotorAttempt, startOutcomes } from '@even-watt/contract'
import { say, type Analysis, readingsOf, recordedOf } from '@even-watt/core'
import { useState } from 'react'
import { BankForSurge } from '../schedule/BankForSurge'
import { StageHead } from '../trials/StageHead'
import { TakingBack } from '../trials/TakingBack'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'

/** Attempts at starting motors, typed in. */
export function MotorsPage() {
  const { analysis } = useTrial()
  return (
    <>
      <StageHead title="Motors" />
      <p className="text-quiet mb-2">
        Motors restart by themselves after a trip: keep clear, unplug before touching. Change one thing
        between attempts.
      </p>
      <BankForSurge />
      <AttemptTable analysis={analysis} editable />
      <AttemptForm
        key={`${analysis.record.revision.number} ${readingsOf(analysis.record, 'motors').length}`}
      />
    </>
  )
}

export function AttemptTable({ analysis, editable = false }: { analysis: Analysis; editable?: boolean }) {
  const { view } = useTrial()
  const [takingBack, setTakingBack] = useState<string>()
  const all = [...recordedOf(analysis.record, 'motors')].sort((a, b) => a.reading.number - b.reading.number)
  if (!all.length) return <p>No attempt on this rig yet.</p>
  const outcomeColour = {
    started: 'text-moss',
    'started late': 'text-ochre',
    stalled: 'text-madder',
    tripped: 'text-madder',
    'tripped and recovered': 'text-ochre',
  }
  return (
    <div className="overflow-x-auto">
      <table className="list-table">
        <thead>
          <tr>
            <th>no.</th>
            <th>motor, its state</th>
            <th className="right">base load, W</th>
            <th className="right">bank before, V</th>
            <th className="right">lowest at C, V</th>
            <th className="right">peak, A</th>
            <th>outcome</th>
            {editable && <th className="no-print" />}
          </tr>
        </thead>
        <tbody>
          {all.map(({ id, reading }) => {
            const why = view.record.struckWhy.get(id)
            return (
              <tr key={id} className={why === undefined ? '' : 'line-through opacity-70'}>
                <td className="figures">{reading.number}</td>
                <td>
                  {reading.load}
                  {reading.state && <span className="text-quiet">, {reading.state}</span>}
                  {reading.note && <span className="text-quiet">. {reading.note}</span>}
                  {why !== undefined && <span className="text-ochre"> taken back: {why}</span>}
                </td>
                {[reading.baseLoad, reading.bankBefore, reading.lowestOutput, reading.peakCurrent].map(
                  (value, i) => (
                    <td key={i} className="figures right">
                      {value === undefined ? (
                        <span title="not read">–</span>
                      ) : (
                        say(value, '', i === 1 ? 4 : 3)
                      )}
                    </td>
                  ),
                )}
                <td className={`font-semibold ${outcomeColour[reading.outcome]}`}>{reading.outcome}</td>
                {editable && (
                  <td className="no-print">
                    {why === undefined && (
                      <button type="button" className="plain-link" onClick={() => setTakingBack(id)}>
                        Take back
                      </button>
                    )}
                  </td>
                )}
              </tr>
            )
          })}
        </tbody>
      </table>
      <TakingBack entry={takingBack} what="this attempt" onDone={() => setTakingBack(undefined)} />
    </div>
  )
}

const numbers = [
  ['baseLoad', 'Base load', 'W'],
  ['bankBefore', 'Bank before', 'V'],
  ['lowestOutput', 'Lowest at C', 'V'],
  ['peakCurrent', 'Peak', 'A'],
] as const

function AttemptForm() {
  const { analysis } = useTrial()
  const { field, submit } = useCaptureForm({
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
  })
  return (
    <form noValidate onSubmit={submit} className="no-print mt-5">
      <h2>Add an attempt</h2>
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
      <button type="submit" className="action action-main mt-3">
        Capture
      </button>
    </form>
  )
}
