import { LoadTest } from '@even-watt/contract'
import { isFigure, sayFigure, type Analysis, readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { dcMeters } from './dcMeters'
import { RigHead } from '../rigs/RigTabs'
import { TakingBack } from '../trials/TakingBack'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { Fig } from '../ui/Fig'
import { SelectField, TextField } from '../ui/form'

/** Short load tests of a battery or of the bank: R at 10 s. */
export function LoadTestPage() {
  const { analysis } = useTrial()
  return (
    <>
      <RigHead />
      <p className="text-quiet mb-2 max-w-3xl">
        Let the surface charge go, read the volts at rest, put a load on for 10 s, read volts and amps, take
        it off and read again. Batteries are compared by resistance: at equal watts the weaker one draws more
        current as it sags, so its sag overstates the difference.
      </p>
      <LoadTestTable analysis={analysis} editable />
      <LoadTestForm
        key={`${analysis.record.revision.number} ${readingsOf(analysis.record, 'load test').length}`}
      />
    </>
  )
}

export function LoadTestTable({ analysis, editable = false }: { analysis: Analysis; editable?: boolean }) {
  const [takingBack, setTakingBack] = useState<string>()
  const { loadTests } = analysis.supply
  if (!loadTests.length) return <p>No load test on this rig yet.</p>
  const known = loadTests.flatMap(({ R_10, what }) => (isFigure(R_10) ? [{ R: R_10, what }] : []))
  const [best, worst] = [...known]
    .sort((a, b) => a.R.x.value - b.R.x.value)
    .filter((_, i, all) => i === 0 || i === all.length - 1)
  return (
    <div className="overflow-x-auto">
      <table className="list-table max-w-4xl">
        <thead>
          <tr>
            <th>what</th>
            <th className="right">rest, V</th>
            <th className="right">at 10 s, V</th>
            <th className="right">A</th>
            <th className="right">sag</th>
            <th className="right">R at 10 s</th>
            <th className="right">recovered, V</th>
            {editable && <th className="no-print" />}
          </tr>
        </thead>
        <tbody>
          {loadTests.map(({ entry, what, R_10, sag }) => (
            <tr key={entry.id}>
              <td>
                {what}
                {entry.reading.note && <span className="text-quiet">, {entry.reading.note}</span>}
              </td>
              <td className="figures right">{entry.reading.restVoltage}</td>
              <td className="figures right">{entry.reading.loadedVoltage}</td>
              <td className="figures right">{entry.reading.loadedCurrent}</td>
              <td className="right">
                <Fig of={sag} withUnit />
              </td>
              <td className="right">
                <Fig of={R_10} withUnit className="font-semibold" />
              </td>
              <td className="figures right">{entry.reading.recoveredVoltage ?? '–'}</td>
              {editable && (
                <td className="no-print">
                  <button type="button" className="plain-link" onClick={() => setTakingBack(entry.id)}>
                    Take back
                  </button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {best && worst && best.what !== worst.what && (
        <p>
          {worst.what} has {sayFigure(worst.R)}, {best.what} {sayFigure(best.R)}: compare these, not their
          sag.
        </p>
      )}
      <TakingBack entry={takingBack} what="this load test" onDone={() => setTakingBack(undefined)} />
    </div>
  )
}

function LoadTestForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const { voltmeters, ammeters, usual } = dcMeters(rig, meters)
  const { field, submit } = useCaptureForm({
    start: {
      battery: '',
      restCurrent: '0',
      voltmeter: usual.voltmeter,
      ammeter: usual.ammeter,
    },
    schema: LoadTest,
    read: ({ number, text }) => ({
      battery: text('battery'),
      restVoltage: number('restVoltage'),
      restCurrent: number('restCurrent'),
      loadedVoltage: number('loadedVoltage'),
      loadedCurrent: number('loadedCurrent'),
      recoveredVoltage: number('recoveredVoltage'),
      voltmeter: text('voltmeter'),
      ammeter: text('ammeter'),
      note: text('note'),
    }),
    entry: (reading) => ({ kind: 'load test', reading }),
  })
  return (
    <form noValidate onSubmit={submit} className="no-print mt-5">
      <h2>Add a load test</h2>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <SelectField
          label="What"
          {...field('battery')}
          options={[
            ['', `the bank, ${rig.bank.name}`],
            ...rig.bank.strings.flat().map(({ id, name }) => [id, name] as const),
          ]}
        />
        <TextField label="At rest" unit="V" {...field('restVoltage')} inputMode="decimal" />
        <TextField label="At 10 s" unit="V" {...field('loadedVoltage')} inputMode="decimal" />
        <TextField label="Recovered" unit="V" {...field('recoveredVoltage')} inputMode="decimal" />
        <SelectField label="Volts read on" {...field('voltmeter')} options={voltmeters} />
        <TextField label="Current at rest" unit="A" {...field('restCurrent')} inputMode="decimal" />
        <TextField label="Current at 10 s" unit="A" {...field('loadedCurrent')} inputMode="decimal" />
        <SelectField label="Amps read on" {...field('ammeter')} options={ammeters} />
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
      <button type="submit" className="action action-main mt-3">
        Capture
      </button>
    </form>
  )
}
