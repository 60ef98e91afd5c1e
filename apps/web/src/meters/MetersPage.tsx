import type { StoredMeter } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'
import { MeterRanges } from './MeterRanges'

const columns: readonly ListColumn<StoredMeter>[] = [
  {
    id: 'reads',
    head: 'reads',
    value: ({ ranges }) => [...new Set(ranges.map(({ reads }) => reads))].join(', '),
    cell: ({ ranges }) => <MeterRanges ranges={ranges} />,
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
    value: ({ needsZeroing, typical, note }) =>
      [typical && 'Typical of its kind, not from its manual', needsZeroing && 'needs zeroing', note]
        .filter(Boolean)
        .join('. ') || '–',
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
