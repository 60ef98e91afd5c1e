import {
  chargeSources,
  claimQuantities,
  comparators,
  energyMeanings,
  modeNames,
  type ClaimQuantity,
} from '@even-watt/contract'
import { promiseOf } from '@even-watt/core'
import { useFieldArray } from 'react-hook-form'
import { v7 } from 'uuid'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, same, SelectField, TextField } from '../ui/form'
import type { ClaimForm, UnitForm } from './form'
import { unitOf } from '../ui/units'

/** Units in which a promise of a kind is printed; one that was stored otherwise keeps its own. */
const unitsOf = ({ quantity, unit }: Pick<ClaimForm, 'quantity' | 'unit'>) => [
  ...new Set([...promiseOf(quantity).units, unit]),
]

/** The promises of a unit, as printed. */
export function ClaimFields({ form, errorAt }: FieldsProps<UnitForm>) {
  const { register, control, setValue } = form
  const claims = useFieldArray({ control, name: 'claims', keyName: 'key' })
  const field = fieldOf(form, errorAt)
  return (
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
                onChange: (event: { target: { value: ClaimQuantity } }) => {
                  const { usual } = promiseOf(event.target.value)
                  setValue(`claims.${i}.unit`, usual.unit)
                  setValue(`claims.${i}.comparator`, usual.comparator)
                  // "Pure sine" is printed without a figure: a sine may have up to 5 %.
                  if (usual.value !== undefined) setValue(`claims.${i}.value`, usual.value)
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
            <SelectField
              label="Unit"
              {...field(`claims.${i}.unit`)}
              options={same(unitsOf(form.watch(`claims.${i}`)))}
            />
            <TextField
              label="Read where"
              {...field(`claims.${i}.readWhere`)}
              placeholder="label, manual p. 4 …"
            />
            <RemoveButton what={`claim ${i + 1}`} onRemove={() => claims.remove(i)} />
            <StatedFor at={i} form={form} errorAt={errorAt} />
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
            eachLeg: 'no',
            load: '',
            volts: '',
            room: '',
            readWhere: '',
            port: '',
            portVolts: '',
            mode: '',
            means: '',
            source: '',
          })
        }
      >
        Add a claim
      </button>
    </section>
  )
}

const conditions = [
  ['duration', 'For', 's', 'no time'],
  ['load', 'At load', 'W', 'none'],
  ['volts', 'At input', 'V', 'none'],
  ['room', 'In a room up to', '°C', 'none'],
] as const

/** What a promise is stated for; folded away where the label states nothing. */
function StatedFor({ at, form, errorAt }: FieldsProps<UnitForm> & { readonly at: number }) {
  const field = fieldOf(form, errorAt)
  const claim = form.watch(`claims.${at}`)
  const asks = promiseOf(claim.quantity).asks ?? []
  const open =
    asks.length > 0 ||
    claim.eachLeg === 'yes' ||
    conditions.some(([key]) => claim[key].trim() || errorAt(`claims.${at}.${key}`))
  const split = form.getValues('phase') === 'split'
  return (
    <details className="col-span-full" open={open || undefined}>
      <summary className="text-quiet cursor-pointer text-[0.85rem]">
        stated for a time, a load, an input or a room
      </summary>
      <div className="mt-1 grid grid-cols-2 gap-2 md:grid-cols-4">
        {asks.includes('port') && (
          <>
            <TextField label="Which port" {...field(`claims.${at}.port`)} placeholder="USB-C" />
            <TextField
              label="At port volts"
              unit="V"
              {...field(`claims.${at}.portVolts`)}
              inputMode="decimal"
            />
          </>
        )}
        {asks.includes('mode') && (
          <SelectField
            label="In which mode"
            {...field(`claims.${at}.mode`)}
            options={[['', 'choose it'], ...same(modeNames)]}
          />
        )}
        {asks.includes('means') && (
          <SelectField
            label="What its Wh mean"
            {...field(`claims.${at}.means`)}
            options={[['', 'not said'], ...same(energyMeanings)]}
          />
        )}
        {asks.includes('source') && (
          <SelectField
            label="Charged by"
            {...field(`claims.${at}.source`)}
            options={[['', 'not said'], ...same(chargeSources)]}
          />
        )}
        {conditions.map(([key, label, unit, none]) => (
          <TextField
            key={key}
            label={label}
            unit={unitOf(unit)}
            {...field(`claims.${at}.${key}`)}
            placeholder={none}
            inputMode="decimal"
          />
        ))}
        {split && (
          <SelectField
            label="Promised of"
            {...field(`claims.${at}.eachLeg`)}
            options={[
              ['no', 'both legs together'],
              ['yes', 'each leg'],
            ]}
          />
        )}
      </div>
    </details>
  )
}
