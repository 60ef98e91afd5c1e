import { say, type KnownSupply } from '@even-watt/core'
import { startTransition, useEffect } from 'react'
import { Notice } from '../../ui/Notice'
import { useSetSlidCurrent } from './SlidCurrent'
import { useSlidLoad } from './useSlidLoad'

interface Props {
  readonly known: KnownSupply | undefined
  /** V of the bank. */
  readonly nominal: number
}

/** The load on the unit's input, within a SlidCurrent: slid or moved with the arrow keys, in amperes or watts. */
export function LoadSlider({ known, nominal }: Props) {
  const { by, value, most, slide, choose, current, beyond } = useSlidLoad(known, nominal)
  const set = useSetSlidCurrent()
  // The slide itself is drawn first: what hangs on it may take longer.
  useEffect(() => startTransition(() => set(current)), [current, set])
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <label className="flex items-center gap-2">
          <span className="text-quiet">into the unit</span>
          <select
            className="input w-auto"
            value={by}
            onChange={(event) => choose(event.target.value === 'W' ? 'W' : 'A')}
          >
            <option value="A">amperes</option>
            <option value="W">watts</option>
          </select>
        </label>
        <span className="figures min-w-36 font-semibold">
          {value} {by}
          {by === 'W' && beyond === undefined && (
            <span className="text-quiet font-normal"> = {current} A</span>
          )}
        </span>
        <input
          type="range"
          min={0}
          max={most}
          step={by === 'A' ? 1 : 10}
          value={value}
          onChange={(event) => slide(Number(event.target.value))}
          className="min-w-40 flex-1 accent-[var(--copper)]"
          aria-label={by === 'A' ? 'Current into the unit, A' : 'Power into the unit, W'}
        />
      </div>
      {beyond !== undefined && (
        <Notice kind="odd" word="Too much">
          The supply cannot deliver this: at most {say(beyond, 'W')} into the unit, at half its volts.
        </Notice>
      )}
    </div>
  )
}
