import { ModeReading, testsOfModes, type ModeTest } from '@even-watt/contract'
import { askedOf, shortened, wakeOf } from '@even-watt/core'
import { MeterFields, readByMeters } from '../trials/metersRead'
import { TestForm } from '../benchTests/TestForm'
import { useTrial } from '../trials/useTrial'

const counted = /^E_/

/** One test of a mode. The next small load of a search for its threshold is put in already. */
export function ModeForm({ test }: { readonly test: ModeTest }) {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const station = revision.unit.kind === 'power station'
  const asked =
    test === 'draw' && !station
      ? askedOf('idle', revision).filter(
          ({ quantity, meter }) => meter !== undefined && !counted.test(quantity),
        )
      : []
  const next = test === 'wake' ? wakeOf(analysis.record)?.tryNext : undefined
  return (
    <TestForm
      tests={testsOfModes}
      test={test}
      what="test of a mode"
      schema={ModeReading}
      entry={(reading) => ({ kind: 'mode', reading })}
      start={next === undefined ? {} : { watts: String(shortened(next, 2)) }}
      apart={(from) => {
        if (test !== 'draw') return {}
        const values = readByMeters(asked, from)
        if (!values.length && from.number('hours') === undefined)
          from.report(
            'hours',
            'Either watts are read, or the hours that it stood, with what it lost or what filled it again.',
          )
        return { values }
      }}
    >
      {(state) => <MeterFields asked={asked} meters={revision.meters} state={state} />}
    </TestForm>
  )
}
