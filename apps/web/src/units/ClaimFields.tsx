import {
  chargeSources,
  claimQuantities,
  claimUnits,
  comparators,
  energyMeanings,
  modeNames,
} from '@even-watt/contract'
import { useFieldArray } from 'react-hook-form'
import { v7 } from 'uuid'
import type { FieldsProps } from '../ui/DocumentEditor'
import { RemoveButton, fieldOf, same, SelectField, TextField } from '../ui/form'
import type { UnitForm } from './form'
import { unitOf } from '../ui/units'

const usualUnit: Record<string, string> = {
  efficiency: '%',
  'idle draw': 'W',
  regulation: '%',
  THD: '%',
  wave: '%',
  'output voltage': 'V',
  frequency: 'Hz',
  'alarm voltage': 'V',
  'cutoff voltage': 'V',
  'transfer time': 'ms',
  energy: 'Wh',
  'run time': 'h',
  'charge time': 'h',
  noise: 'dB(A)',
  'case temperature': '°C',
  'overload time': 's',
  cycles: 'cycles',
  recovery: 's',
  'start-up time': 's',
  'soft start': 's',
}

const usualComparator: Record<string, string> = {
  'idle draw': 'at most',
  'search-mode draw': 'at most',
  THD: 'at most',
  wave: 'at most',
  'transfer time': 'at most',
  regulation: 'within ±',
  frequency: 'within ±',
  'charge time': 'at most',
  'mode draw': 'at most',
  noise: 'at most',
  'case temperature': 'at most',
}

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
                onChange: (event: { target: { value: string } }) => {
                  setValue(`claims.${i}.unit`, usualUnit[event.target.value] ?? 'W')
                  setValue(`claims.${i}.comparator`, usualComparator[event.target.value] ?? 'at least')
                  // "Pure sine" is printed without a figure: a sine may have up to 5 %.
                  if (event.target.value === 'wave') setValue(`claims.${i}.value`, '5')
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

/** Promises that say little without what they are of. */
const detailed: ReadonlySet<string> = new Set([
  'port',
  'mode draw',
  'energy',
  'charge power',
  'charge time',
  'run time',
  'overload time',
])

/** What a promise is stated for; folded away where the label states nothing. */
function StatedFor({ at, form, errorAt }: FieldsProps<UnitForm> & { readonly at: number }) {
  const field = fieldOf(form, errorAt)
  const claim = form.watch(`claims.${at}`)
  const open =
    detailed.has(claim.quantity) ||
    claim.eachLeg === 'yes' ||
    conditions.some(([key]) => claim[key].trim() || errorAt(`claims.${at}.${key}`))
  const split = form.getValues('phase') === 'split'
  return (
    <details className="col-span-full" open={open || undefined}>
      <summary className="text-quiet cursor-pointer text-[0.85rem]">
        stated for a time, a load, an input or a room
      </summary>
      <div className="mt-1 grid grid-cols-2 gap-2 md:grid-cols-4">
        {claim.quantity === 'port' && (
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
        {claim.quantity === 'mode draw' && (
          <SelectField
            label="In which mode"
            {...field(`claims.${at}.mode`)}
            options={[['', 'choose it'], ...same(modeNames)]}
          />
        )}
        {claim.quantity === 'energy' && (
          <SelectField
            label="What its Wh mean"
            {...field(`claims.${at}.means`)}
            options={[['', 'not said'], ...same(energyMeanings)]}
          />
        )}
        {(claim.quantity === 'charge power' || claim.quantity === 'charge time') && (
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
