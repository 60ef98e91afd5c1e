import { assignables, legQuantities, type Assignable } from '@even-watt/contract'
import { besideSteps, quantityData } from '@even-watt/core'
import { memo } from 'react'
import { useFieldArray } from 'react-hook-form'
import { api } from '../../api/api'
import type { FieldsProps } from '../../ui/DocumentEditor'
import { fieldOf, RemoveButton, SelectField } from '../../ui/form'
import type { RigForm } from './form'

const wordsFor = (quantity: Assignable) =>
  quantity === 'idle I' ? 'idle I: input current at idle' : `${quantity}: ${quantityData[quantity].words}`

const quantityOptions = assignables.map((quantity) => [quantity, wordsFor(quantity)] as const)

/** Bank current is hung up only where a support source makes it another current, legs only at a split phase. */
const unusual: ReadonlySet<Assignable> = new Set(['I_bank', ...legQuantities, ...besideSteps])
const usualOrder = assignables.filter((quantity) => !unusual.has(quantity))

const isCurrent = (quantity: string) => quantity === 'I' || quantity === 'I_bank' || quantity === 'idle I'

/** Which meter reads what, in reading order; an ammeter says which conductor it is on. */
export const MeterHanging = memo(function MeterHanging({ form, errorAt }: FieldsProps<RigForm>) {
  const { control } = form
  const { data: meters } = api.useMetersQuery()
  const assignments = useFieldArray({ control, name: 'assignments', keyName: 'key' })
  const [watched, positive, negative, bank] = form.watch(['assignments', 'positive', 'negative', 'bank'])
  const field = fieldOf(form, errorAt)
  // A list that comes later than its choice would show the wrong one.
  if (!meters) return <p className="text-quiet">Fetching the meters …</p>
  const meterOptions = [['', 'choose a meter'] as const, ...meters.map(({ id, name }) => [id, name] as const)]
  const conductors = [
    ['', 'the unit’s own lead'] as const,
    ...[...positive, ...negative].map(({ id, name }) => [id, name] as const),
    ...bank.strings.flat().map(({ id, name }) => [id, `battery ${name}`] as const),
  ]
  return (
    <section>
      <h2>Meters at the taps</h2>
      <p className="text-quiet">
        In reading order: the order in which your eye goes over the bench. One meter at both ends of a drop
        knows the drop best.
      </p>
      <div className="mt-1 grid gap-2">
        {assignments.fields.map((assignment, i) => (
          <fieldset
            key={assignment.key}
            className="grid grid-cols-2 items-end gap-2 border-b border-rule pb-2 md:grid-cols-[1.4fr_1.2fr_1fr_auto_auto_auto]"
          >
            <legend className="sr-only">Reading {i + 1}</legend>
            <SelectField label="Quantity" {...field(`assignments.${i}.quantity`)} options={quantityOptions} />
            <SelectField label="Meter" {...field(`assignments.${i}.meter`)} options={meterOptions} />
            {isCurrent(watched[i]?.quantity ?? '') ? (
              <SelectField label="On the conductor" {...field(`assignments.${i}.on`)} options={conductors} />
            ) : (
              <span className="hidden md:block" />
            )}
            <button
              type="button"
              className="action"
              disabled={i === 0}
              onClick={() => assignments.move(i, i - 1)}
              aria-label={`Move reading ${i + 1} up`}
            >
              ↑
            </button>
            <button
              type="button"
              className="action"
              disabled={i === assignments.fields.length - 1}
              onClick={() => assignments.move(i, i + 1)}
              aria-label={`Move reading ${i + 1} down`}
            >
              ↓
            </button>
            <RemoveButton className="py-1" what={`reading ${i + 1}`} onRemove={() => assignments.remove(i)} />
          </fieldset>
        ))}
      </div>
      <button
        type="button"
        className="action mt-2"
        onClick={() => {
          const used = new Set(form.getValues('assignments').map((assignment) => assignment.quantity))
          const next = usualOrder.find((quantity) => !used.has(quantity)) ?? 'V_A'
          assignments.append({ quantity: next, meter: '', on: '' })
        }}
      >
        Add a reading
      </button>
    </section>
  )
})
