import { loadKinds } from '@even-watt/contract'
import { writing } from '@even-watt/core'
import { useFieldArray } from 'react-hook-form'
import { v7 } from 'uuid'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, same, SelectField, TextField } from '../ui/form'
import type { LoadForm } from './form'

export function LoadFields({ form, errorAt }: FieldsProps<LoadForm>) {
  const field = fieldOf(form, errorAt)
  const settings = useFieldArray({ control: form.control, name: 'settings', keyName: 'key' })
  return (
    <div className="grid gap-5">
      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Name" {...field('name')} className="col-span-2" />
        <SelectField label="Kind" {...field('kind')} options={same(loadKinds)} />
        <TextField label="Label volts" unit="V" {...field('volts')} inputMode="decimal" />
        <TextField label="Power factor" {...field('powerFactor')} inputMode="decimal" hint="left empty: 1" />
        <TextField label="Inrush" unit="times running" {...field('inrush')} inputMode="decimal" />
        <TextField label="Nameplate current" unit="A" {...field('nameplate.current')} inputMode="decimal" />
        <TextField
          label="Shaft power on the plate"
          unit={writing().motors}
          {...field('nameplate.shaft')}
          placeholder={writing().motors === 'hp' ? '0.5' : '370'}
        />
        <TextField
          label="Code letter"
          {...field('nameplate.code')}
          maxLength={2}
          hint="locked rotor, on the plate"
        />
        <TextField label="Soft starter divides by" unit="×" {...field('assist')} inputMode="decimal" />
        <TextField label="Cord or outlet carries" unit="A" {...field('cord')} inputMode="decimal" />
        <SelectField
          label="Too loud for the sound test"
          {...field('loud')}
          options={[
            ['no', 'no'],
            ['yes', 'yes'],
          ]}
        />
        <TextField label="Cold it takes" unit="% of settled" {...field('cold')} inputMode="decimal" />
        <TextField label="Settling time constant" unit="s" {...field('seconds')} inputMode="decimal" />
        <TextField label="Note" {...field('note')} className="col-span-2" />
      </section>
      <section>
        <h2>Settings</h2>
        <div className="grid gap-2">
          {settings.fields.map((setting, i) => (
            <fieldset
              key={setting.key}
              className="grid grid-cols-[1fr_1fr_auto] items-end gap-3 border-b border-rule pb-2"
            >
              <legend className="sr-only">Setting {i + 1}</legend>
              <TextField label="Setting" {...field(`settings.${i}.name`)} placeholder="low" />
              <TextField label="Label watts" unit="W, kW or hp" {...field(`settings.${i}.watts`)} />
              <RemoveButton
                className="py-1"
                what={`setting ${i + 1}`}
                disabled={settings.fields.length === 1}
                onRemove={() => settings.remove(i)}
              />
            </fieldset>
          ))}
        </div>
        <button
          type="button"
          className="action mt-2"
          onClick={() => settings.append({ id: v7(), name: '', watts: '' })}
        >
          Add a setting
        </button>
      </section>
    </div>
  )
}
