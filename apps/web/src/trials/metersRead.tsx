import type { Revision, Value } from '@even-watt/contract'
import { quantityData, type askedOf } from '@even-watt/core'
import { TextField } from '../ui/form'
import { typedDecimals } from '../ui/readValue'
import type { CaptureFormState, Read } from './useCaptureForm'

type Asked = ReturnType<typeof askedOf>

/** What the meters of a rig read in a form: what stands on no meter is the unit's own display. */
export const readByMeters = (asked: Asked, { number, text }: Read): Value[] =>
  asked.flatMap(({ quantity, meter }): Value[] => {
    const value = number(quantity)
    return value === undefined
      ? []
      : [
          {
            quantity,
            value,
            grade: meter ? 'measured' : 'display',
            ...typedDecimals(text(quantity) ?? ''),
            ...(meter ? { meter } : {}),
          },
        ]
  })

/** A field for each of them, with the name of the meter. */
export const MeterFields = ({
  asked,
  meters,
  state,
}: {
  readonly asked: Asked
  readonly meters: Revision['meters']
  readonly state: Pick<CaptureFormState, 'field'>
}) =>
  asked.map(({ quantity, meter }) => (
    <TextField
      key={quantity}
      label={quantityData[quantity].words}
      unit={quantityData[quantity].unit}
      hint={meters.find(({ id }) => id === meter)?.name ?? 'no meter there: noted as what the unit shows'}
      inputMode="decimal"
      {...state.field(quantity)}
    />
  ))
