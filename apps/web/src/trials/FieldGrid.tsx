import type { ReactNode } from 'react'
import { LinesField, same, SelectField, TextField } from '../ui/form'
import { unitOf } from '../ui/units'
import type { Field } from './fields'
import type { CaptureFormState } from './useCaptureForm'

interface Props {
  readonly fields: readonly Field[]
  readonly state: Pick<CaptureFormState, 'field'>
  /** More attributes of single fields, by name. */
  readonly more?: Readonly<Record<string, object>>
  readonly children?: ReactNode
}

/** The fields of a form that captures, side by side, in the order they are told. */
export function FieldGrid({ fields, state: { field }, more = {}, children }: Props) {
  return (
    <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
      {fields.map((one) => {
        const { name, label } = one
        switch (one.is) {
          case 'choice':
          case 'yes or no':
            return (
              <SelectField
                key={name}
                label={label}
                {...field(name)}
                options={one.optional ? [['', 'not noted'], ...same(one.of)] : same(one.of)}
              />
            )
          case 'tick':
            return (
              <SelectField
                key={name}
                label={label}
                {...field(name)}
                options={[
                  ['', 'not seen'],
                  ['yes', 'yes'],
                ]}
              />
            )
          case 'number':
            return (
              <TextField
                key={name}
                label={label}
                unit={unitOf(one.unit)}
                {...(one.hint ? { hint: one.hint } : {})}
                {...field(name)}
                inputMode="decimal"
                {...more[name]}
              />
            )
          case 'words':
            return (
              <TextField
                key={name}
                label={label}
                {...field(name)}
                {...(one.example ? { placeholder: one.example } : {})}
                {...more[name]}
              />
            )
          case 'lines':
            return (
              <LinesField
                key={name}
                label={label}
                {...field(name)}
                placeholder={one.example}
                rows={4}
                className="col-span-2"
              />
            )
        }
      })}
      {children}
    </div>
  )
}
