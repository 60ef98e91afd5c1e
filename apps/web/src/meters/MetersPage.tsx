import type { StoredMeter } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'

export function MetersPage() {
  return (
    <DocumentList<StoredMeter>
      title="Meters"
      what="meter"
      path="/meters"
      query={api.useMetersQuery()}
      empty="No meter yet. Add those on your bench with their accuracy: every uncertainty comes from here."
      columns={[
        [
          'reads',
          (meter) => (
            <ul>
              {meter.ranges.map((range) => (
                <li key={range.id}>
                  {range.reads} to {range.upTo}:{' '}
                  <span className="figures">
                    ± {range.percent} % + {range.counts} × {range.count}
                  </span>
                  {range.response && `, ${range.response}`}
                  {!range.standsSteppedWave && ', not for stepped waves'}
                </li>
              ))}
            </ul>
          ),
        ],
        ['readings/s', (meter) => meter.updateRate ?? '–'],
        [
          'note',
          (meter) => [meter.needsZeroing && 'needs zeroing', meter.note].filter(Boolean).join('. ') || '–',
        ],
      ]}
    />
  )
}
