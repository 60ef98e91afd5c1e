import type { MeterRange } from '@even-watt/contract'

/** Whether the shape of a wave matters to what is read. */
const isOfWave = ({ reads }: MeterRange): boolean => reads.startsWith('AC') || reads === 'active power'

/** What a meter reads, each range with its accuracy. */
export const MeterRanges = ({ ranges }: { readonly ranges: readonly MeterRange[] }) => (
  <ul>
    {ranges.map((range) => (
      <li key={range.id}>
        {range.reads} to {range.upTo}:{' '}
        <span className="figures">
          ± {range.percent} % + {range.counts} × {range.count}
        </span>
        {range.response && `, ${range.response}`}
        {isOfWave(range) && !range.standsSteppedWave && ', not for stepped waves'}
      </li>
    ))}
  </ul>
)
