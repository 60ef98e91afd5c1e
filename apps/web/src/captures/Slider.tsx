import { plain } from '@even-watt/core'
import { useId } from 'react'

interface Props {
  readonly label: string
  readonly unit: string
  readonly low: number
  readonly high: number
  readonly value: number
  readonly onSlide: (value: number) => void
}

/** A number that is slid, and said beside. */
export function Slider({ label, unit, low, high, value, onSlide }: Props) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="text-quiet flex text-[0.9rem] font-semibold">
        {label}
        <output className="figures text-ink ml-auto font-normal">
          {plain(value)} {unit}
        </output>
      </label>
      <input
        id={id}
        type="range"
        className="w-full accent-(--petrol)"
        min={low}
        max={high}
        step={(high - low) / 100 < 1 ? 0.5 : 1}
        value={value}
        onChange={(event) => onSlide(Number(event.target.value))}
      />
    </div>
  )
}
