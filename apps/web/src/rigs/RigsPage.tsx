import type { StoredRig } from '@even-watt/contract'
import { cables, describeBank, describeElement, protections } from '@even-watt/core'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'

export function RigsPage() {
  return (
    <DocumentList<StoredRig>
      title="Rigs"
      what="rig"
      path="/rigs"
      query={api.useRigsQuery()}
      empty="No rig yet. Draw it from the bank to the unit: batteries, leads, fuse, and which meter hangs where. Meters come first."
      columns={[
        ['bank', (rig) => describeBank(rig.bank)],
        [
          'leads',
          (rig) =>
            cables(rig)
              .map(({ side, element }) => `${side === 'positive' ? '+' : '−'} ${describeElement(element)}`)
              .join('; ') || '–',
        ],
        [
          'protection',
          (rig) =>
            protections(rig)
              .map(({ element }) => describeElement(element))
              .join(', ') || <span className="text-madder">■ none</span>,
        ],
        ['readings', (rig) => rig.assignments.map((assignment) => assignment.quantity).join(', ') || '–'],
      ]}
    />
  )
}
