import { chemistries } from '@even-watt/contract'
import { memo } from 'react'
import { v7 } from 'uuid'
import type { FieldsProps } from '../../ui/DocumentEditor'
import { fieldOf, same, SelectField, TextField } from '../../ui/form'
import { addInSeries, removeBattery } from './edit'
import type { RigForm } from './form'

/** The properties of the chosen battery. */
export const BatteryFields = memo(function BatteryFields({
  form,
  errorAt,
  string,
  index,
}: FieldsProps<RigForm> & { string: number; index: number }) {
  const path = `bank.strings.${string}.${index}` as const
  const field = fieldOf(form, errorAt)
  const bank = form.watch('bank')
  const only = bank.strings.flat().length === 1
  return (
    <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-5">
      <TextField label="Battery" {...field(`${path}.name`)} />
      <SelectField label="Chemistry" {...field(`${path}.chemistry`)} options={same(chemistries)} />
      <TextField label="Nominal" unit="V" {...field(`${path}.nominal`)} inputMode="decimal" />
      <TextField label="Capacity" unit="Ah" {...field(`${path}.capacity`)} inputMode="decimal" />
      <TextField label="Age" unit="years" {...field(`${path}.age`)} inputMode="decimal" />
      <TextField
        label="Rest volts"
        unit="V"
        {...field(`${path}.rest`)}
        inputMode="decimal"
        hint="left empty: usual for its chemistry"
      />
      <TextField
        label="Internal resistance"
        unit="mΩ"
        {...field(`${path}.resistance`)}
        inputMode="decimal"
        hint="when known; a load test tells"
      />
      <TextField label="BMS limit" unit="A" {...field(`${path}.limit`)} inputMode="decimal" />
      <SelectField
        label="Carries current"
        {...field(`${path}.open`)}
        options={[
          ['no', 'yes'],
          ['yes', 'no: dead or switched off'],
        ]}
      />
      <p className="flex flex-wrap items-end gap-4">
        <button
          type="button"
          className="plain-link"
          onClick={() =>
            form.setValue('bank', addInSeries(form.getValues('bank'), string, v7()), { shouldDirty: true })
          }
        >
          Add one in series
        </button>
        <button
          type="button"
          className="plain-link"
          disabled={only}
          onClick={() =>
            form.setValue('bank', removeBattery(form.getValues('bank'), string, index), { shouldDirty: true })
          }
        >
          Remove it
        </button>
      </p>
    </div>
  )
})

/**
 * How the strings are joined and where the leads of the unit are taken off. Memoised like its neighbours: sliding the
 * load must not draw the fields anew.
 */
export const JoinFields = memo(function JoinFields({ form, errorAt }: FieldsProps<RigForm>) {
  const field = fieldOf(form, errorAt)
  const { strings, join } = form.watch('bank')
  const places = strings.map((string, i) => [String(i + 1), `${i + 1}: ${string[0]?.name ?? ''}`] as const)
  return (
    <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-6">
      <TextField label="Bank" {...field('bank.name')} />
      <TextField label="Usable share" unit="%" {...field('bank.usableShare')} inputMode="decimal" />
      <TextField
        label="Ripple resistance"
        unit="mΩ"
        {...field('bank.rippleResistance')}
        inputMode="decimal"
        hint="known: the ripple correction is on"
      />
      {strings.length > 1 && (
        <>
          <SelectField
            label="Joined"
            {...field('bank.join.kind')}
            options={[
              ['in line', 'in line, neighbour to neighbour'],
              ['busbars', 'each to busbars'],
            ]}
          />
          {join.kind === 'in line' && (
            <>
              <SelectField label="Positive lead on" {...field('bank.join.positiveAt')} options={places} />
              <SelectField label="Negative lead on" {...field('bank.join.negativeAt')} options={places} />
              {strings
                .slice(1)
                .map((_, i) =>
                  (['positive', 'negative'] as const).map((side) => (
                    <TextField
                      key={`${side}${i}`}
                      label={`${side === 'positive' ? '+' : '−'} link ${i + 1}–${i + 2}`}
                      unit="mΩ, or “open”"
                      {...field(`bank.join.${side}.${i}`)}
                    />
                  )),
                )}
            </>
          )}
          {join.kind === 'busbars' &&
            strings.map((_, i) => (
              <TextField
                key={i}
                label={`Leads of ${i + 1}`}
                unit="mΩ"
                {...field(`bank.join.leads.${i}`)}
                inputMode="decimal"
              />
            ))}
        </>
      )}
    </div>
  )
})

/** A charger or alternator helping at the posts. */
export const SupportFields = memo(function SupportFields({ form, errorAt }: FieldsProps<RigForm>) {
  const field = fieldOf(form, errorAt)
  const kind = form.watch('support.kind')
  return (
    <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-6">
      <SelectField
        label="Support source"
        {...field('support.kind')}
        options={same(['none', 'charger', 'alternator'])}
      />
      {kind !== 'none' && (
        <>
          <TextField label="Its name" {...field('support.name')} />
          <TextField label="It can give" unit="A" {...field('support.current')} inputMode="decimal" />
          <TextField
            label="Engine and vehicle use"
            unit="A"
            {...field('support.ownUse')}
            inputMode="decimal"
          />
        </>
      )}
    </div>
  )
})
