import { ChargingReading, chargeSources } from '@even-watt/contract'
import { askedOf } from '@even-watt/core'
import { CaptureForm } from '../trials/CaptureForm'
import { MeterFields, readByMeters } from '../trials/metersRead'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'

/** What its input takes at one setting of the source: a watts-meter is enough. */
export function InputForm() {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const asked = askedOf('charge', revision).filter(({ quantity }) => !quantity.startsWith('E_'))
  const state = useCaptureForm({
    what: 'reading of a charging input',
    start: { source: 'solar' },
    schema: ChargingReading,
    read: (from) => {
      const { number, text, report } = from
      const values = readByMeters(asked, from)
      if (!values.length)
        report(asked[0]?.quantity ?? 'note', 'Nothing is read yet: watts, or volts and amps.')
      return {
        test: 'input',
        source: text('source'),
        values,
        irradiance: number('irradiance'),
        panelHeat: number('panelHeat'),
        beside: text('beside'),
        note: text('note'),
      }
    },
    entry: (reading) => ({ kind: 'charging', reading }),
    next: (reading) => ({ source: reading.test === 'input' ? reading.source : 'solar' }),
  })
  const { field } = state
  return (
    <CaptureForm title="What its input takes" state={state}>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <MeterFields asked={asked} meters={revision.meters} state={state} />
        <SelectField label="Charged by" {...field('source')} options={same(chargeSources)} />
        <TextField label="Irradiance" unit="W/m²" inputMode="decimal" {...field('irradiance')} />
        <TextField label="Panels" unit="°C" inputMode="decimal" {...field('panelHeat')} />
        <TextField label="Beside it" placeholder="the wall charger" {...field('beside')} />
        <TextField label="Note" {...field('note')} />
      </div>
    </CaptureForm>
  )
}
