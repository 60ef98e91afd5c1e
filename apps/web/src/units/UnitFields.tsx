import { bondings, phases, unitKinds, waves } from '@even-watt/contract'
import type { FieldsProps } from '../ui/DocumentEditor'
import { fieldOf, same, SelectField, TextField } from '../ui/form'
import { BoxFields } from './BoxFields'
import { ClaimFields } from './ClaimFields'
import { FeatureFields } from './FeatureFields'
import type { UnitForm } from './form'
import { writing } from '@even-watt/core'
import { sideUnit } from '../ui/units'

const provenances = [
  ['', 'not said yet'],
  ['bought', 'bought'],
  ['lent', 'lent'],
  ['given by the maker', 'given by the maker'],
] as const

export function UnitFields({ form, errorAt }: FieldsProps<UnitForm>) {
  const { register } = form
  const field = fieldOf(form, errorAt)
  return (
    <div className="grid gap-5">
      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Name" {...field('name')} className="col-span-2" />
        <SelectField label="Kind" {...field('kind')} options={same(unitKinds)} />
        <SelectField
          label="Output wave"
          {...field('wave')}
          options={same(waves)}
          hint="as stated, or as seen"
        />
        <TextField
          label="Nominal input"
          unit="V DC"
          hint={form.watch('kind') === 'power station' ? 'a station has none' : undefined}
          {...field('inputVoltage')}
          inputMode="decimal"
        />
        <TextField label="Nominal output" unit="V AC" {...field('outputVoltage')} inputMode="decimal" />
        <TextField label="Output frequency" unit="Hz" {...field('outputFrequency')} inputMode="decimal" />
        <SelectField label="Phases" {...field('phase')} options={same(phases)} />
      </section>

      <ClaimFields form={form} errorAt={errorAt} />

      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <h2 className="col-span-full">Where it came from</h2>
        <SelectField
          label="How it came"
          {...field('provenance.how')}
          options={provenances}
          hint="disclosed in the report"
        />
        <label className="mt-6 flex items-center gap-2">
          <input type="checkbox" {...register('provenance.preProduction')} /> pre-production
        </label>
        <TextField label="Note on that" {...field('provenance.note')} className="col-span-2" />
        <TextField label="Revision" {...field('revision')} />
        <TextField label="Date code" {...field('dateCode')} />
        <TextField label="Firmware" {...field('firmware')} />
        <div className="grid grid-cols-[2fr_1fr] gap-1">
          <TextField label="Price" {...field('price.amount')} inputMode="decimal" />
          <TextField label="Currency" {...field('price.currency')} />
        </div>
        <TextField label="Price asked on" type="date" {...field('price.on')} />
        <TextField label="Mass" unit={writing().mass} {...field('mass')} placeholder="4.1" />
        <TextField label="Length" unit={sideUnit()} {...field('size.0')} placeholder="340" />
        <TextField label="Width" unit={sideUnit()} {...field('size.1')} />
        <TextField label="Height" unit={sideUnit()} {...field('size.2')} />
        <SelectField
          label="Neutral and earth"
          {...field('bonding')}
          options={[['', 'not said'], ...same(bondings)]}
          hint="as its manual says"
          className="col-span-2"
        />
        <TextField label="Note" {...field('note')} className="col-span-2" />
      </section>

      <BoxFields form={form} errorAt={errorAt} />
      <FeatureFields form={form} errorAt={errorAt} />
    </div>
  )
}
