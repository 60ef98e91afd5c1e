import { usualResistance } from '@even-watt/core'
import { memo } from 'react'
import type { FieldsProps } from '../../ui/DocumentEditor'
import { TextField, typed } from '../../ui/form'
import type { RigForm } from './form'

/** The small table of what joints and devices usually measure; a rig may say better. */
export const TypicalFields = memo(function TypicalFields({ form, errorAt }: FieldsProps<RigForm>) {
  return (
    <details>
      <summary className="font-semibold">Usual resistances of joints and devices</summary>
      <p className="text-quiet">
        What a sound one is expected to measure, in mΩ; each stands for anything from nothing to twice as
        much. Left empty, the value in grey holds.
      </p>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-8">
        {Object.entries(usualResistance).map(([kind, usual]) => (
          <TextField
            key={kind}
            label={kind}
            unit="mΩ"
            {...form.register(`typical.${kind}`)}
            error={errorAt(`typical.${kind}`)}
            placeholder={typed(usual, 1000)}
            inputMode="decimal"
          />
        ))}
      </div>
    </details>
  )
})
