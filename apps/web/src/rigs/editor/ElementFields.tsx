import { materials } from '@even-watt/contract'
import { memo } from 'react'
import type { FieldsProps } from '../../ui/DocumentEditor'
import { fieldOf, same, SelectField, TextField } from '../../ui/form'
import type { Spot } from './edit'
import { blankConductor, type RigForm } from './form'
import { writing } from '@even-watt/core'

const rated = new Set(['fuse', 'breaker', 'shunt', 'isolator'])

/** The properties of the chosen element. */
export const ElementFields = memo(function ElementFields({
  form,
  errorAt,
  spot,
}: FieldsProps<RigForm> & { spot: Spot }) {
  const path = `${spot.side}.${spot.index}` as const
  const element = form.watch(path)
  const field = fieldOf(form, errorAt)
  if (!element) return null
  return (
    <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-6">
      <TextField label="Name" {...field(`${path}.name`)} className="col-span-2" />
      {element.kind === 'cable' ? (
        <TextField
          label="Insulation"
          unit={writing().temperature}
          {...field(`${path}.insulation`)}
          inputMode="decimal"
          hint="often 70, 90 or 105"
        />
      ) : (
        <TextField
          label={rated.has(element.kind) ? 'Rating' : 'Continuous rating'}
          unit="A"
          {...field(`${path}.continuous`)}
          inputMode="decimal"
        />
      )}
      <TextField label="Short time" unit="A" {...field(`${path}.shortCurrent`)} inputMode="decimal" />
      <TextField label="… for" unit="s" {...field(`${path}.shortSeconds`)} inputMode="decimal" />
      <TextField
        label="Expected resistance"
        unit="mΩ"
        {...field(`${path}.resistance`)}
        inputMode="decimal"
        hint={element.kind === 'cable' ? 'left empty: computed' : 'left empty: from the table'}
      />
      {element.kind !== 'cable' && (
        <>
          <TextField label="Its hole" unit="mm" {...field(`${path}.hole`)} inputMode="decimal" />
          <TextField label="On a stud of" unit="mm" {...field(`${path}.stud`)} inputMode="decimal" />
        </>
      )}
      <TextField
        label="Warning at it"
        {...field(`${path}.warning`)}
        className="col-span-2"
        placeholder="fine strands: ferrule first"
      />
      {element.conductors.map((_, i) => {
        const at = `${path}.conductors.${i}` as const
        return (
          <fieldset
            key={i}
            className="col-span-full grid grid-cols-2 items-start gap-3 border-t border-rule pt-2 md:grid-cols-4 lg:grid-cols-7"
          >
            <legend className="sr-only">Conductor {i + 1}</legend>
            <TextField
              label="Gauge"
              {...field(`${at}.gauge`)}
              placeholder="16 mm² or 4 AWG"
              hint="with its unit"
            />
            <TextField label="Length, one way" unit="m or ft" {...field(`${at}.length`)} placeholder="1.2" />
            <TextField label="Parallel runs" {...field(`${at}.runs`)} inputMode="numeric" />
            <SelectField label="Material" {...field(`${at}.material`)} options={same(materials)} />
            <TextField
              label="Stranding factor"
              {...field(`${at}.strandingFactor`)}
              inputMode="decimal"
              hint="1.12 for flexible leads"
            />
            <TextField
              label="Its ends"
              unit="mΩ"
              {...field(`${at}.ends`)}
              inputMode="decimal"
              hint="only for unlike runs"
            />
            {element.conductors.length > 1 && (
              <button
                type="button"
                className="plain-link mt-5 text-left"
                onClick={() =>
                  form.setValue(
                    `${path}.conductors`,
                    element.conductors.filter((_, k) => k !== i),
                    { shouldDirty: true },
                  )
                }
              >
                Remove this run
              </button>
            )}
          </fieldset>
        )
      })}
      {element.kind === 'cable' && (
        <p className="col-span-full">
          <button
            type="button"
            className="plain-link"
            onClick={() =>
              form.setValue(
                `${path}.conductors`,
                [
                  ...element.conductors,
                  {
                    ...blankConductor,
                    gauge: element.conductors[0]?.gauge ?? '',
                    length: element.conductors[0]?.length ?? '',
                  },
                ],
                {
                  shouldDirty: true,
                },
              )
            }
          >
            Add an unlike run in parallel
          </button>
        </p>
      )}
    </div>
  )
})
