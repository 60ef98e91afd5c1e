import { claimQuantities, claimUnits, comparators, phases, unitKinds, waves } from '@even-watt/contract'
import { useFieldArray } from 'react-hook-form'
import { v7 } from 'uuid'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, same, SelectField, TextField } from '../ui/form'
import type { UnitForm } from './form'

const provenances = [
  ['', 'not said yet'],
  ['bought', 'bought'],
  ['lent', 'lent'],
  ['given by the maker', 'given by the maker'],
] as const

const usualUnit: Record<string, string> = {
  efficiency: '%',
  'idle draw': 'W',
  regulation: '%',
  THD: '%',
  'output voltage': 'V',
  frequency: 'Hz',
  'alarm voltage': 'V',
  'cutoff voltage': 'V',
  'transfer time': 'ms',
  energy: 'Wh',
}

const usualComparator: Record<string, string> = {
  'idle draw': 'at most',
  'search-mode draw': 'at most',
  THD: 'at most',
  'transfer time': 'at most',
  regulation: 'within ±',
  frequency: 'within ±',
}

export function UnitFields({ form, errorAt }: FieldsProps<UnitForm>) {
  const { register, control, setValue } = form
  const claims = useFieldArray({ control, name: 'claims', keyName: 'key' })
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
        <TextField label="Nominal input" unit="V DC" {...field('inputVoltage')} inputMode="decimal" />
        <TextField label="Nominal output" unit="V AC" {...field('outputVoltage')} inputMode="decimal" />
        <TextField label="Output frequency" unit="Hz" {...field('outputFrequency')} inputMode="decimal" />
        <SelectField label="Phases" {...field('phase')} options={same(phases)} />
      </section>

      <section>
        <h2>Claims</h2>
        <p className="text-quiet">
          As printed, each with where it was read. A rating is AC watts at the outlet.
        </p>
        <div className="mt-1 grid gap-2">
          {claims.fields.map((claim, i) => (
            <fieldset
              key={claim.key}
              className="grid grid-cols-2 items-start gap-2 border-b border-rule pb-2 md:grid-cols-[1.3fr_1fr_0.8fr_0.7fr_2fr_auto]"
            >
              <legend className="sr-only">Claim {i + 1}</legend>
              <SelectField
                label="What"
                {...register(`claims.${i}.quantity`, {
                  onChange: (event: { target: { value: string } }) => {
                    setValue(`claims.${i}.unit`, usualUnit[event.target.value] ?? 'W')
                    setValue(`claims.${i}.comparator`, usualComparator[event.target.value] ?? 'at least')
                  },
                })}
                error={errorAt(`claims.${i}.quantity`)}
                options={same(claimQuantities)}
              />
              <SelectField
                label="Comparator"
                {...field(`claims.${i}.comparator`)}
                options={same(comparators)}
              />
              <TextField label="Value" {...field(`claims.${i}.value`)} inputMode="decimal" />
              <SelectField label="Unit" {...field(`claims.${i}.unit`)} options={same(claimUnits)} />
              <TextField
                label="Read where"
                {...field(`claims.${i}.readWhere`)}
                placeholder="label, manual p. 4 …"
              />
              <RemoveButton what={`claim ${i + 1}`} onRemove={() => claims.remove(i)} />
              <div className="col-span-full grid grid-cols-2 gap-2 md:grid-cols-[auto_repeat(4,7.5rem)] md:items-end">
                <span className="text-quiet col-span-full md:col-auto md:pb-1">stated</span>
                <TextField
                  label="For"
                  unit="s"
                  {...field(`claims.${i}.duration`)}
                  placeholder="no time"
                  inputMode="decimal"
                />
                <TextField
                  label="At load"
                  unit="W"
                  {...field(`claims.${i}.load`)}
                  placeholder="none"
                  inputMode="decimal"
                />
                <TextField
                  label="At input"
                  unit="V"
                  {...field(`claims.${i}.volts`)}
                  placeholder="none"
                  inputMode="decimal"
                />
                <TextField
                  label="Up to, room"
                  unit="°C"
                  {...field(`claims.${i}.room`)}
                  placeholder="none"
                  inputMode="decimal"
                />
              </div>
            </fieldset>
          ))}
        </div>
        <button
          type="button"
          className="action mt-2"
          onClick={() =>
            claims.append({
              id: v7(),
              quantity: 'continuous power',
              comparator: 'at least',
              value: '',
              unit: 'W',
              duration: '',
              load: '',
              volts: '',
              room: '',
              readWhere: '',
            })
          }
        >
          Add a claim
        </button>
      </section>

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
        <TextField label="Mass" unit="kg, or lb" {...field('mass')} placeholder="4.1 or 9 lb" />
        <TextField label="Length" unit="m, mm, in" {...field('size.0')} placeholder="340 mm" />
        <TextField label="Width" unit="m, mm, in" {...field('size.1')} />
        <TextField label="Height" unit="m, mm, in" {...field('size.2')} />
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </section>
    </div>
  )
}
