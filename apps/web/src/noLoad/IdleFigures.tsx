import type { NoLoadFigures } from '@even-watt/core'
import { Fig } from '../ui/Fig'

/** Idle draw, what it costs, and what stands at the outlet. */
export function IdleFigures({ figures }: { figures: NoLoadFigures }) {
  const rows = [
    ['input current', figures.I_idle],
    ['idle power', figures.P_idle],
    ['energy per day', figures.perDay],
    ['charge per day', figures.chargePerDay],
    ['share of the usable bank in a 12 h night', figures.perNight],
    ['days until the bank is flat', figures.daysUntilFlat],
    ['output voltage', figures.read.V_C],
    ['frequency', figures.read.f],
    ['distortion', figures.read.THD],
  ] as const
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5">
      {rows.map(([words, figure]) => (
        <div key={words} className="contents">
          <dt className="text-quiet">{words}</dt>
          <dd>
            <Fig of={figure} withUnit />
          </dd>
        </div>
      ))}
    </dl>
  )
}
