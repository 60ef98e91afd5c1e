import type { StoredMeter } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'

const columns: readonly ListColumn<StoredMeter>[] = [
  {
    id: 'reads',
    head: 'reads',
    value: ({ ranges }) => [...new Set(ranges.map(({ reads }) => reads))].join(', '),
    cell: ({ ranges }) => (
      <ul>
        {ranges.map((range) => (
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
  },
  {
    id: 'rate',
    head: 'readings/s',
    value: ({ updateRate }) => updateRate ?? -1,
    cell: ({ updateRate }) => updateRate ?? '–',
    right: true,
  },
  {
    id: 'note',
    head: 'note',
    value: ({ needsZeroing, note }) =>
      [needsZeroing && 'needs zeroing', note].filter(Boolean).join('. ') || '–',
  },
]

export function MetersPage() {
  return (
    <DocumentList<StoredMeter>
      title="Meters"
      what="meter"
      path="/meters"
      query={api.useMetersQuery()}
      empty="No meter yet. Add those on your bench with their accuracy: every uncertainty comes from here."
      columns={columns}
    />
  )
}
