import type { MeterRange } from '@even-watt/contract'
import { plain, shownFactor, unitRead } from '@even-watt/core'

/** Whether the shape of a wave matters to what is read. */
const isOfWave = ({ reads }: MeterRange): boolean => reads.startsWith('AC') || reads === 'active power'

/** What a meter reads, each range with its accuracy. */
export const MeterRanges = ({ ranges }: { readonly ranges: readonly MeterRange[] }) => (
  <ul className="gap-x-8 print:columns-2">
    {ranges.map((range) => (
      <li key={range.id}>
        {range.reads} to {inUnit(range, range.upTo)}:{' '}
        <span className="figures">
          ± {plain(range.percent)} % + {range.counts} × {inUnit(range, range.count)}
        </span>
        {range.response && `, ${range.response}`}
        {isOfWave(range) && !range.standsSteppedWave && ', not for stepped waves'}
      </li>
    ))}
  </ul>
)

/** "0.01 V", as a specification is printed. */
function inUnit({ reads }: Pick<MeterRange, 'reads'>, x: number): string {
  const unit = unitRead(reads)
  return `${plain(x * shownFactor(unit))}${unit && ` ${unit}`}`
}
