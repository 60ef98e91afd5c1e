import { TextField } from '../ui/form'

import type { NeedsForm } from './form'
import { writing } from '@even-watt/core'

interface Props {
  readonly form: NeedsForm
  readonly faults: ReadonlyMap<string, string>
  readonly onChange: (change: Partial<NeedsForm>) => void
}

const fields = [
  ['days', 'Without a charge', 'days'],
  ['volts', 'One battery', 'V'],
  ['capacity', 'It holds', 'Ah'],
  ['usable', 'Of which for use', '%'],
  ['limit', 'It carries', 'A at most'],
  ['length', 'Leads, one way', ''],
] as const

/** What the bank is to be built of, and how far it stands from the unit. */
export function SupplyFields({ form, faults, onChange }: Props) {
  return (
    <section className="no-print mt-5">
      <h2>The bank and its leads</h2>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-6">
        {fields.map(([name, label, unit]) => (
          <TextField
            key={name}
            label={label}
            unit={unit || writing().length}
            inputMode="decimal"
            value={form[name]}
            error={faults.get(name)}
            onChange={({ target }) => onChange({ [name]: target.value })}
          />
        ))}
      </div>
    </section>
  )
}
