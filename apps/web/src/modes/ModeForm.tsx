import { ModeReading, type ModeTest, type Value } from '@even-watt/contract'
import { askedOf, quantityData, wakeOf } from '@even-watt/core'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { readFields, startOf } from '../trials/fields'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { TextField } from '../ui/form'
import { typedDecimals } from '../ui/readValue'
import { fieldsOfMode, nameOfModeTest } from './fields'

const counted = /^E_/

/** One test of a mode. The next small load of a search for its threshold is put in already. */
export function ModeForm({ test }: { readonly test: ModeTest }) {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const fields = fieldsOfMode[test]
  const station = revision.unit.kind === 'power station'
  const asked =
    test === 'draw' && !station
      ? askedOf('idle', revision).filter(
          ({ quantity, meter }) => meter !== undefined && !counted.test(quantity),
        )
      : []
  const next = test === 'wake' ? wakeOf(analysis.record)?.tryNext : undefined
  const state = useCaptureForm({
    what: `test of a mode (${nameOfModeTest[test].toLowerCase()})`,
    start: {
      ...startOf(fields),
      ...(next === undefined ? {} : { watts: String(Number(next.toPrecision(2))) }),
    },
    schema: ModeReading,
    read: (from) => {
      const { number, text, report } = from
      const values = asked.flatMap(({ quantity, meter }): Value[] => {
        const value = number(quantity)
        return value === undefined
          ? []
          : [
              {
                quantity,
                value,
                grade: 'measured',
                ...typedDecimals(text(quantity) ?? ''),
                ...(meter ? { meter } : {}),
              },
            ]
      })
      if (test === 'draw' && !values.length && number('hours') === undefined)
        report(
          'hours',
          'Either watts are read, or the hours that it stood, with what it lost or what filled it again.',
        )
      return {
        test,
        ...readFields(fields, from),
        ...(test === 'draw' ? { values } : {}),
        ...(test === 'wake' ? { woke: text('woke') === 'yes' } : {}),
        ...(test === 'transfer'
          ? {
              rodeThrough:
                text('rodeThrough') === undefined ? undefined : text('rodeThrough') === 'rode through',
            }
          : {}),
        note: text('note'),
      }
    },
    entry: (reading) => ({ kind: 'mode', reading }),
  })
  return (
    <CaptureForm title={nameOfModeTest[test]} state={state} className="mt-2">
      <FieldGrid fields={fields} state={state}>
        {asked.map(({ quantity, meter }) => (
          <TextField
            key={quantity}
            label={quantityData[quantity].words}
            unit={quantityData[quantity].unit}
            hint={revision.meters.find(({ id }) => id === meter)?.name}
            inputMode="decimal"
            {...state.field(quantity)}
          />
        ))}
        <TextField label="Note" {...state.field('note')} className="col-span-2" />
      </FieldGrid>
    </CaptureForm>
  )
}
