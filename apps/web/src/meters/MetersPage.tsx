import { readables, type StoredMeter } from '@even-watt/contract'
import { useMemo, useState } from 'react'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import { readNumber, same, SelectField, TextField } from '../ui/form'
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

/** Meters that read something, up to so much of it. */
function fitting(meters: readonly StoredMeter[], reads: string, most: number | undefined): StoredMeter[] {
  return meters.filter(({ ranges }) =>
    ranges.some((range) => (!reads || range.reads === reads) && (most === undefined || range.upTo >= most)),
  )
}

export function MetersPage() {
  const query = api.useMetersQuery()
  const [reads, setReads] = useState('')
  const [most, setMost] = useState('')
  const { value, why } = readNumber(most)
  const all = query.data
  const shown = useMemo(() => all && fitting(all, reads, value), [all, reads, value])
  return (
    <DocumentList<StoredMeter>
      title="Meters"
      what="meter"
      path="/meters"
      query={{ ...query, data: all?.length ? shown : all }}
      empty={
        all?.length
          ? 'No meter reads that, up to so much.'
          : 'No meter yet. Add those on your bench with their accuracy: every uncertainty comes from here.'
      }
      before={
        all?.length ? (
          <div className="no-print mb-3 flex flex-wrap items-start gap-3">
            <SelectField
              label="That reads"
              value={reads}
              onChange={({ target }) => setReads(target.value)}
              options={[['', 'anything'], ...same(readables)]}
            />
            <TextField
              label="Up to at least"
              inputMode="decimal"
              value={most}
              error={why}
              onChange={({ target }) => setMost(target.value)}
            />
          </div>
        ) : undefined
      }
      columns={columns}
    />
  )
}
