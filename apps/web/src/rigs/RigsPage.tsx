import type { StoredRig } from '@even-watt/contract'
import { cables, describeBank, describeElement, protections, rigFacts } from '@even-watt/core'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'

const protectionOf = (rig: StoredRig) =>
  protections(rig)
    .map(({ element }) => describeElement(element))
    .join(', ')

const columns: readonly ListColumn<StoredRig>[] = [
  { id: 'bank', head: 'bank', value: ({ bank }) => describeBank(bank) },
  {
    id: 'leads',
    head: 'leads',
    value: (rig) =>
      cables(rig)
        .map(({ side, element }) => `${side === 'positive' ? '+' : '−'} ${describeElement(element)}`)
        .join('; ') || '–',
  },
  {
    id: 'protection',
    head: 'protection',
    value: (rig) => protectionOf(rig) || 'none',
    cell: (rig) => protectionOf(rig) || <span className="text-madder">■ none</span>,
  },
  {
    id: 'readings',
    head: 'readings',
    value: ({ assignments }) => assignments.map(({ quantity }) => quantity).join(', ') || '–',
  },
]

export function RigsPage() {
  return (
    <DocumentList<StoredRig>
      title="Rigs"
      what="rig"
      path="/rigs"
      query={api.useRigsQuery()}
      empty="No rig yet. Draw it from the bank to the unit: batteries, leads, fuse, and which meter hangs where. Meters come first."
      columns={columns}
      facts={rigFacts}
    />
  )
}
