import { usualFeatures } from '@even-watt/core'
import { useId } from 'react'
import { useFieldArray } from 'react-hook-form'
import type { FieldsProps } from '../ui/DocumentEditor'
import { fieldOf, RemoveButton, TextField } from '../ui/form'
import type { UnitForm } from './form'

/** What the unit has besides its promises, or has not: what uses ask for, and what models differ in. */
export function FeatureFields({ form, errorAt }: FieldsProps<UnitForm>) {
  const features = useFieldArray({ control: form.control, name: 'features', keyName: 'key' })
  const field = fieldOf(form, errorAt)
  const names = useId()
  return (
    <section>
      <h2>What it has, and has not</h2>
      <p className="text-quiet">
        Terminals for permanent wiring, warranty, support, enclosure, boards: what it is chosen by and
        compared in. “none” says that it has not, “not answered” leaves it open.
      </p>
      <datalist id={names}>
        {usualFeatures.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {features.fields.map((line, i) => (
        <fieldset key={line.key} className="mt-2 grid grid-cols-2 gap-2 md:grid-cols-[2fr_4fr_auto]">
          <legend className="sr-only">Feature {i + 1}</legend>
          <TextField
            label="Feature"
            {...field(`features.${i}.what`)}
            list={names}
            placeholder="hardwiring terminals"
          />
          <TextField label="What of it" {...field(`features.${i}.says`)} placeholder="none" />
          <RemoveButton what={`feature ${i + 1}`} onRemove={() => features.remove(i)} />
        </fieldset>
      ))}
      <button type="button" className="action mt-2" onClick={() => features.append({ what: '', says: '' })}>
        Add a feature
      </button>
    </section>
  )
}
