import type { StoredUnit } from '@even-watt/contract'
import { sayClaim, plain, unitFacts } from '@even-watt/core'
import { Link } from 'react-router'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'

const columns: readonly ListColumn<StoredUnit>[] = [
  {
    id: 'kind',
    head: 'kind',
    value: ({ kind, wave }) => `${kind}, ${wave === 'unstated' ? 'wave not stated' : wave}`,
  },
  {
    id: 'volts',
    head: 'from → to',
    value: ({ inputVoltage, outputVoltage, outputFrequency }) =>
      `${inputVoltage === undefined ? 'store' : `${plain(inputVoltage)} V`} → ${plain(outputVoltage)} V ${plain(outputFrequency)} Hz`,
  },
  {
    id: 'claims',
    head: 'claims',
    value: ({ claims }) => claims.map((claim) => `${claim.quantity} ${sayClaim(claim)}`).join(' · ') || '–',
  },
  {
    id: 'life',
    head: 'its life',
    cell: ({ id }) => (
      <Link className="plain-link" to={`/units/${id}/life`}>
        trials, diary
      </Link>
    ),
  },
  {
    id: 'provenance',
    head: 'provenance',
    value: ({ provenance }) => provenance?.how ?? 'not said',
    cell: ({ provenance }) => provenance?.how ?? <span className="text-ochre">▲ not said</span>,
  },
]

export function UnitsPage() {
  return (
    <DocumentList<StoredUnit>
      title="Units"
      what="unit"
      path="/units"
      query={api.useUnitsQuery()}
      empty="No unit yet. Add the inverter on your bench: what its label promises, and where each promise was read."
      before={
        <p className="mb-3">
          Not tested yet, only to be chosen?{' '}
          <Link className="plain-link" to="/units/by-label">
            Choose by the label
          </Link>
        </p>
      }
      columns={columns}
      facts={unitFacts}
    />
  )
}
