import { useFieldArray } from 'react-hook-form'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, TextField } from '../ui/form'
import type { UnitForm } from './form'

/** What the box holds, what is still to be bought, the leads that come with it, and what power comes out of. */
export function BoxFields({ form, errorAt }: FieldsProps<UnitForm>) {
  const { control } = form
  const box = useFieldArray({ control, name: 'box', keyName: 'key' })
  const outlets = useFieldArray({ control, name: 'outlets', keyName: 'key' })
  const field = fieldOf(form, errorAt)
  return (
    <section>
      <h2>In the box</h2>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Regional version" {...field('region')} placeholder="EU, UK …" />
        <TextField label="Leads in the box" {...field('leads.gauge')} placeholder="10 mm² or 6 AWG" />
        <TextField label="Each lead is long" unit="m, ft" {...field('leads.length')} placeholder="0.6 m" />
        <TextField label="Fuse in the box" unit="A" {...field('leads.fuse')} inputMode="decimal" />
      </div>
      {box.fields.map((line, i) => (
        <fieldset key={line.key} className="mt-2 grid grid-cols-2 gap-2 md:grid-cols-[2fr_5rem_2fr_2fr_auto]">
          <legend className="sr-only">Thing {i + 1} in the box</legend>
          <TextField label="In the box" {...field(`box.${i}.what`)} placeholder="remote switch" />
          <TextField label="How many" {...field(`box.${i}.count`)} inputMode="numeric" />
          <TextField label="Remark" {...field(`box.${i}.remark`)} placeholder="cable only 2 m" />
          <TextField
            label="To be bought before it works"
            {...field(`box.${i}.needs`)}
            placeholder="battery CR2032, 3 V"
          />
          <RemoveButton what={`thing ${i + 1} of the box`} onRemove={() => box.remove(i)} />
        </fieldset>
      ))}
      <button
        type="button"
        className="action mt-2"
        onClick={() => box.append({ what: '', count: '', remark: '', needs: '' })}
      >
        Add what is in the box
      </button>
      <h2 className="mt-4">Outlets and ports</h2>
      {outlets.fields.map((line, i) => (
        <fieldset
          key={line.key}
          className="mt-2 grid grid-cols-2 gap-2 md:grid-cols-[2fr_5rem_1fr_2fr_2fr_auto]"
        >
          <legend className="sr-only">Outlet or port {i + 1}</legend>
          <TextField label="Outlet or port" {...field(`outlets.${i}.what`)} placeholder="earthed socket" />
          <TextField label="How many" {...field(`outlets.${i}.count`)} inputMode="numeric" />
          <TextField label="Rated, each" {...field(`outlets.${i}.rated`)} placeholder="15 A" />
          <TextField label="Shares a limit" {...field(`outlets.${i}.shares`)} placeholder="USB block 100 W" />
          <TextField
            label="Remark"
            {...field(`outlets.${i}.remark`)}
            placeholder="too close for two adapters"
          />
          <RemoveButton what={`outlet or port ${i + 1}`} onRemove={() => outlets.remove(i)} />
        </fieldset>
      ))}
      <button
        type="button"
        className="action mt-2"
        onClick={() => outlets.append({ what: '', count: '', rated: '', shares: '', remark: '' })}
      >
        Add an outlet or port
      </button>
    </section>
  )
}
