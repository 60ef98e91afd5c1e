import type { Quantity } from '@even-watt/contract'
import { quantityData, rangesThatHold, say } from '@even-watt/core'
import { useTrial } from '../trials/useTrial'

interface Props {
  readonly quantity: Quantity
  readonly meter: string | undefined
  /** What was read; undefined: nothing yet. */
  readonly value: number | undefined
  /** The range named; empty: the one the meter takes by itself. */
  readonly range: string
  readonly onChange: (range: string) => void
}

/** Asks on which range a meter stood, where more than one holds the value; else nothing. */
export function RangeChoice({ quantity, meter: id, value, range, onChange }: Props) {
  const { meters } = useTrial().analysis.record.revision
  const meter = meters.find((one) => one.id === id)
  const ranges = meter && value !== undefined ? rangesThatHold(meter, quantity, value) : []
  if (!meter || ranges.length < 2) return null
  return (
    <label className="flex items-center gap-1">
      <span className="text-quiet">
        range of {meter.name} for {quantity}
      </span>
      <select className="input w-auto" value={range} onChange={(event) => onChange(event.target.value)}>
        {ranges.map(({ id: one, upTo }, i) => (
          <option key={one} value={i === 0 ? '' : one}>
            {say(upTo, quantityData[quantity].unit)}
            {i === 0 && ', by itself'}
          </option>
        ))}
      </select>
    </label>
  )
}
