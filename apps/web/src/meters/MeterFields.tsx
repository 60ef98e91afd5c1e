import { readables, responses } from '@even-watt/contract'
import { meterKinds, typicalMeter, type MeterKind } from '@even-watt/core'
import { useFieldArray } from 'react-hook-form'
import { v7 } from 'uuid'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, same, SelectField, TextField } from '../ui/form'
import { meterToForm, type MeterForm } from './form'

const responseOptions = [['', 'DC, or not stated'] as const, ...same(responses)]

export function MeterFields({ form, errorAt }: FieldsProps<MeterForm>) {
  const { register, control, setValue, getValues } = form
  const ranges = useFieldArray({ control, name: 'ranges', keyName: 'key' })
  const field = fieldOf(form, errorAt)
  const fill = (kind: MeterKind) => {
    const usual = meterToForm(typicalMeter(kind, v7))
    ranges.replace(usual.ranges)
    setValue('typical', true, { shouldDirty: true })
    setValue('needsZeroing', usual.needsZeroing)
    if (!getValues('name').trim()) setValue('name', kind)
  }
  return (
    <div className="grid gap-5">
      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Name" {...field('name')} className="col-span-2" />
        <TextField label="Update rate" unit="readings/s" {...field('updateRate')} inputMode="decimal" />
        <label className="mt-6 flex items-center gap-2">
          <input type="checkbox" {...register('needsZeroing')} /> needs zeroing
        </label>
        <label className="col-span-2 flex items-center gap-2">
          <input type="checkbox" {...register('typical')} /> typical of its kind, not from its manual
        </label>
        <SelectField
          label="Fill in as usual for"
          value=""
          onChange={(event) => {
            const kind = meterKinds.find((one) => one === event.target.value)
            if (kind) fill(kind)
          }}
          options={[['', 'a kind of meter …'], ...same(meterKinds)]}
          className="col-span-2"
        />
        <TextField
          label="Last adjusted"
          hint="empty: as it left its maker"
          placeholder="April 2026"
          {...field('adjusted')}
        />
        <TextField label="Note" {...field('note')} className="col-span-2 md:col-span-3" />
      </section>
      <section>
        <h2>Ranges</h2>
        <p className="text-quiet">
          One line for each quantity and range: accuracy ± (% of reading + counts × the size of a count).
        </p>
        {errorAt('ranges') && <p className="text-madder">{errorAt('ranges')}</p>}
        <div className="mt-1 grid gap-2">
          {ranges.fields.map((range, i) => (
            <fieldset
              key={range.key}
              className="grid grid-cols-2 items-start gap-2 border-b border-rule pb-2 md:grid-cols-[1.3fr_0.9fr_0.7fr_0.7fr_0.9fr_1fr_0.9fr_1fr_auto]"
            >
              <legend className="sr-only">Range {i + 1}</legend>
              <SelectField label="Reads" {...field(`ranges.${i}.reads`)} options={same(readables)} />
              <TextField label="Full scale" {...field(`ranges.${i}.upTo`)} inputMode="decimal" />
              <TextField label="± %" {...field(`ranges.${i}.percent`)} inputMode="decimal" />
              <TextField label="± counts" {...field(`ranges.${i}.counts`)} inputMode="decimal" />
              <TextField label="Size of a count" {...field(`ranges.${i}.count`)} placeholder="0.01" />
              <SelectField label="Response" {...field(`ranges.${i}.response`)} options={responseOptions} />
              <TextField label="Bandwidth" unit="Hz" {...field(`ranges.${i}.bandwidth`)} placeholder="1k" />
              <label className="mt-6 flex items-center gap-2">
                <input type="checkbox" {...register(`ranges.${i}.standsSteppedWave`)} /> valid on stepped
                waves
              </label>
              <RemoveButton what={`range ${i + 1}`} onRemove={() => ranges.remove(i)} />
            </fieldset>
          ))}
        </div>
        <button
          type="button"
          className="action mt-2"
          onClick={() =>
            ranges.append({
              id: v7(),
              reads: 'DC voltage',
              upTo: '',
              percent: '',
              counts: '',
              count: '',
              response: '',
              bandwidth: '',
              // Its manual has to say so.
              standsSteppedWave: false,
            })
          }
        >
          Add a range
        </button>
      </section>
    </div>
  )
}
