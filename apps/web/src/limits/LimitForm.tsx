import { LimitReading, type LimitTest } from '@even-watt/contract'
import { nameOfTest } from '@even-watt/core'
import { useEffect } from 'react'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { readFields, startOf } from '../trials/fields'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { TextField } from '../ui/form'
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
    start: startOf(fields),
    schema: LimitReading,
    read: (from) => ({ test, note: from.text('note'), ...readFields(fields, from) }),
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
      <FieldGrid fields={fields} state={state} more={{ what: { list: 'checks' } }}>
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
      </FieldGrid>
    </CaptureForm>
  )
}
