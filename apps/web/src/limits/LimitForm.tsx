import { LimitReading, type LimitTest } from '@even-watt/contract'
import { nameOfTest } from '@even-watt/core'
import { useEffect } from 'react'
import { CaptureForm } from '../trials/CaptureForm'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { same, SelectField, TextField } from '../ui/form'
import { fieldsOfTest } from './fields'

/** Checks that testers make, for whoever does not remember them. */
const usualChecks = [
  'Remote switch',
  'Ground-fault button',
  'Lamps and display',
  'Reset',
  'Protection behaviour',
]

/** One test of limits: its own fields, the needed ones first. */
export function LimitForm({ test, load }: { test: LimitTest; load: string | undefined }) {
  const { analysis } = useTrial()
  const { phase } = analysis.record.revision.unit
  const fields = fieldsOfTest[test].filter(({ name }) => name !== 'leg' || phase === 'split')
  const state = useCaptureForm({
    what: `test (${nameOfTest[test].toLowerCase()})`,
    start: Object.fromEntries(
      fields.flatMap((field) =>
        field.is === 'choice' && !field.optional ? [[field.name, field.of[0] ?? '']] : [],
      ),
    ),
    schema: LimitReading,
    read: ({ number, text }) => ({
      test,
      note: text('note'),
      ...Object.fromEntries(
        fields.map((field) => [
          field.name,
          field.is === 'number'
            ? number(field.name)
            : field.is === 'tick'
              ? text(field.name) === 'yes' || undefined
              : text(field.name),
        ]),
      ),
    }),
    entry: (reading) => ({ kind: 'limit', reading }),
  })
  const { field, form } = state
  useEffect(() => {
    if (load === undefined) return
    form.setValue('load', load, { shouldDirty: true })
    form.setFocus('watts')
  }, [load, form])
  return (
    <CaptureForm title={`${nameOfTest[test]}: what was seen`} state={state} className="mt-2">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        {fields.map((one) => {
          if (one.is === 'choice')
            return (
              <SelectField
                key={one.name}
                label={one.label}
                {...field(one.name)}
                options={one.optional ? [['', 'not noted'], ...same(one.of)] : same(one.of)}
              />
            )
          if (one.is === 'tick')
            return (
              <SelectField
                key={one.name}
                label={one.label}
                {...field(one.name)}
                options={[
                  ['', 'not seen'],
                  ['yes', 'yes'],
                ]}
              />
            )
          return one.is === 'number' ? (
            <TextField
              key={one.name}
              label={one.label}
              unit={one.unit}
              {...field(one.name)}
              inputMode="decimal"
            />
          ) : (
            <TextField
              key={one.name}
              label={one.label}
              {...field(one.name)}
              {...(one.example ? { placeholder: one.example } : {})}
              {...(one.name === 'what' ? { list: 'checks' } : {})}
            />
          )
        })}
        {test === 'function' && (
          <datalist id="checks">
            {usualChecks.map((check) => (
              <option key={check} value={check} />
            ))}
          </datalist>
        )}
        <TextField
          label={test === 'function' ? 'In words' : 'Note'}
          {...field('note')}
          className="col-span-full"
        />
      </div>
    </CaptureForm>
  )
}
