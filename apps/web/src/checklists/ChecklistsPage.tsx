import type { StoredChecklist } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'

const columns: readonly ListColumn<StoredChecklist>[] = [
  { id: 'lines', head: 'lines', value: ({ lines }) => lines.length, right: true },
  {
    id: 'torques',
    head: 'with a torque',
    value: ({ lines }) => lines.filter(({ torque }) => torque !== undefined).length,
    right: true,
  },
  { id: 'first', head: 'begins with', value: ({ lines: [first] }) => first?.words ?? '–' },
]

/** Ordered lists that a tester makes once: terminals and torques, power-on, how a dead unit's fault is narrowed down. */
export function ChecklistsPage() {
  return (
    <DocumentList<StoredChecklist>
      title="Checklists"
      what="checklist"
      path="/checklists"
      query={api.useChecklistsQuery()}
      empty="No list yet. Make one of what you do before every test: terminals with their torque, ferrules, data cable, breakers; or of how the fault of a dead unit is narrowed down. It is worked under Look over, on each rig anew."
      columns={columns}
    />
  )
}
