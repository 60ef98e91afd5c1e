import { LimitReading, testsOfLimits, type LimitTest } from '@even-watt/contract'
import { useEffect } from 'react'
import { TestForm } from '../benchTests/TestForm'
import type { CaptureFormState } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'

/** Checks that testers make, for whoever does not remember them. */
const usualChecks = [
  'Remote switch',
  'Ground-fault button',
  'Lamps and display',
  'Reset',
  'Protection behaviour',
]

/** One test of limits. */
export function LimitForm({ test, load }: { test: LimitTest; load: string | undefined }) {
  const { analysis } = useTrial()
  const { phase } = analysis.record.revision.unit
  return (
    <TestForm
      tests={testsOfLimits}
      test={test}
      what="test"
      schema={LimitReading}
      entry={(reading) => ({ kind: 'limit', reading })}
      asks={({ name }) => name !== 'leg' || phase === 'split'}
      more={{ what: { list: 'checks' } }}
    >
      {(state) => (
        <>
          <TakenLoad load={load} state={state} />
          {test === 'function' && (
            <datalist id="checks">
              {usualChecks.map((check) => (
                <option key={check} value={check} />
              ))}
            </datalist>
          )}
        </>
      )}
    </TestForm>
  )
}

/** Puts a load that was taken from the list into its field, and the hand at the watts. */
function TakenLoad({ load, state: { form } }: { load: string | undefined; state: CaptureFormState }) {
  useEffect(() => {
    if (load === undefined) return
    form.setValue('load', load, { shouldDirty: true })
    form.setFocus('watts')
  }, [load, form])
  return null
}
