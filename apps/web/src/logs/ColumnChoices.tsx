import { places, type LogQuantity } from '@even-watt/contract'
import { isTapQuantity, quantityData } from '@even-watt/core'
import { timeKinds } from '@even-watt/core/logs/read/index'
import { useTrial } from '../trials/useTrial'
import { factorsOf, metersFor, type Chosen, type Mapping, type usualOf } from './columns'

/** How times of a table are written. */
export function TimeChoice({
  time,
  onChange,
}: {
  time: Mapping['time']
  onChange: (time: Mapping['time']) => void
}) {
  return (
    <>
      <select
        className="input"
        aria-label="How times are written"
        value={time.kind}
        onChange={(event) =>
          onChange({ ...time, kind: timeKinds.find((kind) => kind === event.target.value) ?? time.kind })
        }
      >
        {timeKinds.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </select>
      {time.kind === 'date and time' && (
        <label className="flex items-center gap-1 font-normal">
          <input
            type="checkbox"
            checked={time.monthFirst}
            onChange={(event) => onChange({ ...time, monthFirst: event.target.checked })}
          />
          month first
        </label>
      )}
    </>
  )
}

/** The unit of a column, and the meter, battery or place that it is of. */
export function OfChoice({
  chosen,
  onChange,
}: {
  chosen: Chosen
  onChange: (patch: Partial<Chosen>) => void
}) {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const { quantity, factor, of, heading } = chosen
  if (quantity === undefined) return null
  const units = factorsOf(quantity)
  return (
    <>
      {units.length > 1 && (
        <select
          className="input"
          aria-label={`Unit of ${heading}`}
          value={String(factor)}
          onChange={(event) => onChange({ factor: Number(event.target.value) })}
        >
          {units.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </select>
      )}
      <select
        className="input"
        aria-label={`On what ${heading} was read`}
        value={of}
        onChange={(event) => onChange({ of: event.target.value })}
      >
        {ofChoices(quantity, revision).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </>
  )
}

function ofChoices(
  quantity: LogQuantity,
  revision: Parameters<typeof usualOf>[1],
): (readonly [string, string])[] {
  const { rig } = revision
  if (quantity === 'T')
    return [
      ...places
        .filter((place) => place !== 'room' && place !== 'part of the rig')
        .map((place) => [place, place] as const),
      ...[...rig.positive, ...rig.negative].map(({ id, name }) => [id, name] as const),
    ]
  if (quantity === 'charge')
    return [['', 'its own gauge'], ...rig.bank.strings.flat().map(({ id, name }) => [id, name] as const)]
  if (quantity === 'V_battery' || quantity === 'I_battery')
    return rig.bank.strings.flat().map(({ id, name }) => [id, name] as const)
  if (!isTapQuantity(quantity)) return [['', 'as it stands']]
  return [
    ['', 'no meter named'],
    ...metersFor(quantity, quantityData[quantity].reads, revision).map(({ id, name }) => [id, name] as const),
  ]
}
