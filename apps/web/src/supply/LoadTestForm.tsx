import { LoadTest } from '@even-watt/contract'
import { dcMeters } from '../meters/dcMeters'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { SelectField, TextField } from '../ui/form'
import { TenSeconds } from './TenSeconds'

/** One load test typed in. */
export function LoadTestForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const { voltmeters, ammeters, wattmeters, ammeterless, usual } = dcMeters(rig, meters)
  const state = useCaptureForm({
    what: 'load test',
    start: {
      battery: '',
      restCurrent: '0',
      voltmeter: usual.voltmeter,
      ammeter: usual.ammeter,
      wattmeter: usual.wattmeter,
    },
    schema: LoadTest,
    read: ({ number, text }) => ({
      battery: text('battery'),
      restVoltage: number('restVoltage'),
      restCurrent: ammeterless ? 0 : number('restCurrent'),
      loadedVoltage: number('loadedVoltage'),
      loadedCurrent: ammeterless ? undefined : number('loadedCurrent'),
      loadedPower: ammeterless ? number('loadedPower') : undefined,
      recoveredVoltage: number('recoveredVoltage'),
      voltmeter: text('voltmeter'),
      ammeter: ammeterless ? undefined : text('ammeter'),
      wattmeter: ammeterless ? text('wattmeter') : undefined,
      note: text('note'),
    }),
    entry: (reading) => ({ kind: 'load test', reading }),
  })
  const { field, errorAt } = state
  return (
    <CaptureForm title="Add a load test" state={state}>
      <TenSeconds />
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
        {ammeterless ? (
          <>
            <TextField
              label="At the outlet at 10 s"
              unit="W"
              hint="no ammeter: the current is bounded by it, and taken as none at rest"
              {...field('loadedPower')}
              error={field('loadedPower').error ?? errorAt('loadedCurrent')}
              inputMode="decimal"
            />
            <SelectField label="Watts read on" {...field('wattmeter')} options={wattmeters} />
          </>
        ) : (
          <>
            <TextField label="Current at rest" unit="A" {...field('restCurrent')} inputMode="decimal" />
            <TextField label="Current at 10 s" unit="A" {...field('loadedCurrent')} inputMode="decimal" />
            <SelectField label="Amps read on" {...field('ammeter')} options={ammeters} />
          </>
        )}
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
    </CaptureForm>
  )
}
